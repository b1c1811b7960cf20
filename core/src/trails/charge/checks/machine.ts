import { figuresAt, figuresIfAny, needed } from '../../../machine/figures.ts';
import { FAST, KEY_OFF, LOADED } from '../../../machine/state.ts';
import type { CheckMaker } from '../../../machine/check.ts';
import { OPEN_OHMS } from '../../../machine/part.ts';
import { seen } from '../../../machine/seen.ts';
import type { Scene } from '../../../machine/scene.ts';
import { given } from '../charging.ts';
import { circuitOf, residualVolts } from '../fieldCircuit.ts';
import { LEG_GONE, SOUND_RIPPLE, SOUND_TIMES } from '../harmed.ts';
import { LOOP_HENRIES, POLE_PAIRS } from '../waves.ts';
import { BELT, CUTOUT, engineRpm, makingOf, SOURCE } from '../making.ts';
import { running } from './volts.ts';
import { kindOf } from './which.ts';

/** What the swings of the current meet on their way through the battery: nothing slow, so its charging does not count. */
const QUICK_PATH = ['charge-wire', 'live-clamp', 'battery', 'strap'] as const;
function quickOhms(scene: Scene, times: number): number {
  const { fit } = scene.machine;
  const hertz = (engineRpm(fit, 'fast') / 60) * makingOf(fit.charge!.kind, fit).ratio * POLE_PAIRS * times;
  const ohms = QUICK_PATH.reduce((sum, id) => sum + (figuresIfAny(scene.params, id)?.ohms ?? 0), 0);
  return Math.hypot(ohms, 2 * Math.PI * hertz * LOOP_HENRIES);
}

/** Alternating volts that ride on the battery's. */
export const ripple: CheckMaker = (machine) =>
  kindOf(machine) === 'alternator'
    ? [
        {
          ...running(machine, LOADED, 'all on'),
          id: 'charge-ripple',
          station: SOURCE,
          label: 'AC volts at the alternator, at speed, all on',
          touch: 'Meter on AC volts from the B+ terminal to bare metal.',
          watch: 'About a tenth of a volt. Two tenths or more: a diode or a phase.',
          instrument: 'AC voltmeter',
          probe: {
            kind: 'figure',
            value: (scene) => {
              const own = figuresAt(scene.params, SOURCE);
              const harmed = own.ripple !== undefined;
              const times = !harmed ? SOUND_TIMES : (own.openLeg ?? 0) > 0.5 ? LEG_GONE.times : 1;
              return given(scene, LOADED) * (own.ripple ?? SOUND_RIPPLE) * quickOhms(scene, times);
            },
          },
          needs: [SOURCE, ...QUICK_PATH],
          minutes: 1,
        },
      ]
    : [];

/** Field or rotor, and the machine opened. */
export const insideMachine: CheckMaker = (machine) => {
  const kind = kindOf(machine);
  if (kind !== 'alternator' && kind !== 'generator') return [];
  const what =
    kind === 'alternator'
      ? 'Rotor, ring to ring'
      : circuitOf(machine.fit) === 'A'
        ? 'Field, its terminal to the armature’s'
        : 'Field, its terminal to earth';
  return [
    {
      id: 'charge-field-ohms',
      station: SOURCE,
      label: what,
      set: 'Battery earth off, wires off the field terminals.',
      touch: 'A probe on either end of the field.',
      watch: 'A few ohms; OL: brushes, or the winding itself.',
      instrument: 'ohmmeter',
      probe: { kind: 'figure', value: (scene) => needed(figuresAt(scene.params, SOURCE).fieldOhms, 'fieldOhms') },
      state: KEY_OFF,
      needs: [SOURCE],
      minutes: 3,
      opens: [],
      cautions: ['battery'],
    },
    {
      id: 'charge-opened',
      station: SOURCE,
      label: `${kind === 'alternator' ? 'Alternator' : 'Generator'} opened: brushes and ${kind === 'alternator' ? 'diodes' : 'commutator'}`,
      set: 'Battery earth off first. Out and on the bench.',
      touch: 'Brush length and springs; each diode both ways with the meter; windings to the shaft and to each other.',
      watch: 'Brushes short or stuck, a diode that passes both ways or none, a winding burnt.',
      instrument: 'eyes',
      probe: {
        kind: 'look',
        sees: (scene) => {
          const own = figuresAt(scene.params, SOURCE);
          const worn = seen((own.worn ?? 0) > 0.5, 0.95);
          const rides = (own.ripple ?? 0) > 0.3 || (own.openDiode ?? 0) > 0;
          const diode = kind === 'alternator' ? (1 - worn) * seen(rides, 0.88) : 0;
          const burnt =
            (1 - worn - diode) *
            seen(
              (own.share ?? 1) < 0.9 || (needed(own.fieldOhms, 'fieldOhms') >= OPEN_OHMS && (own.worn ?? 0) < 0.5),
              0.85,
            );
          return {
            sound: 1 - worn - diode - burnt,
            'brushes worn': worn,
            ...(kind === 'alternator' ? { 'diodes or a phase': diode } : {}),
            'a winding': burnt,
          };
        },
      },
      state: KEY_OFF,
      words: ['sound', 'brushes worn', ...(kind === 'alternator' ? ['diodes or a phase'] : []), 'a winding'],
      needs: [SOURCE],
      minutes: 6,
      opens: ['unit opened'],
      cautions: ['battery'],
    },
  ];
};

/** A generator by itself: what magnetism is left, and its cut-out. */
export const generatorChecks: CheckMaker = (machine) =>
  kindOf(machine) === 'generator'
    ? [
        {
          ...running(machine, FAST, 'field wire off'),
          id: 'charge-residual',
          station: SOURCE,
          label: 'Generator volts, field wire off, at speed',
          touch: 'From the armature terminal to bare metal.',
          watch: 'One to three volts the right way round. Nothing: no magnetism, or no brush.',
          instrument: 'voltmeter',
          probe: {
            kind: 'figure',
            value: residualVolts,
          },
          needs: [SOURCE, BELT],
          minutes: 2.5,
        },
        {
          id: 'charge-cut-out',
          station: CUTOUT,
          label: 'Cut-out, watched with the lid off',
          set: 'Lid off the regulator box. Key off; then idling and opened up slowly.',
          touch: 'Nothing: watch the armature of the cut-out.',
          watch: 'Open at rest, closes as the volts rise, opens as it stops.',
          instrument: 'eyes',
          probe: {
            kind: 'look',
            sees: (scene) => {
              const stays = figuresAt(scene.params, CUTOUT).stays ?? 0;
              const never = seen(stays < -0.5 || (figuresAt(scene.params, CUTOUT).closesFast ?? 0) < 0.5, 0.95);
              const shut = (1 - never) * seen(stays > 0.5, 0.95);
              return { 'as it should': 1 - never - shut, 'never closes': never, 'never opens': shut };
            },
          },
          state: FAST,
          words: ['as it should', 'never closes', 'never opens'],
          needs: [CUTOUT],
          minutes: 3,
          opens: [],
          cautions: ['charging battery', 'rotating parts'],
        },
      ]
    : [];
