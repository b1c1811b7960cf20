import { figuresAt, needed } from '../../../machine/figures.ts';
import { FAST, IDLE, KEY_OFF } from '../../../machine/state.ts';
import { nodeOf, type Check, type CheckMaker } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import { OPEN_OHMS, type MachineState } from '../../../machine/part.ts';
import type { Scene } from '../../../machine/scene.ts';
import { seen, seenFrom } from '../../../machine/seen.ts';
import { engineRpm, makingOf, SOURCE } from '../making.ts';
import { running } from './volts.ts';
import { isStator } from './which.ts';

const LEGS = [
  [1, 2],
  [2, 3],
  [3, 1],
] as const;

/** Volts of a leg with the connector apart. */
function legVolts(scene: Scene, machine: Machine, legs: readonly number[], fast: boolean): number {
  const own = figuresAt(scene.params, SOURCE);
  const making = makingOf(machine.fit.charge!.kind, machine.fit);
  const full =
    own.voltsPerRpm *
    engineRpm(machine.fit, fast ? 'fast' : 'idle') *
    (own.strength ?? 1) *
    (making.winding === 'three' ? Math.sqrt(3) : 1);
  const touched = legs.includes(own.failedLeg ?? 1);
  if (touched && (own.openLeg ?? 0) > 0.5) return 0.01;
  const shorted = touched ? (own.shortedLeg ?? 1) : 1;
  return full * (making.winding === 'three' ? (1 + shorted) / 2 : shorted);
}

/** The stator by its connector: volts between legs, ohms, and to the core. */
export const statorLegs: CheckMaker = (machine) => {
  if (!isStator(machine)) return [];
  const three = makingOf(machine.fit.charge!.kind, machine.fit).winding === 'three';
  const legs: readonly (readonly number[])[] = three ? LEGS : [[1]];
  const name = (l: readonly number[]) => (three ? `between phases ${l.join(' and ')}` : 'of the coil');
  const legOpen = (l: readonly number[], state: MachineState): Check => ({
    ...running(machine, state, 'stator connector apart'),
    id: `charge-leg-volts-${state === FAST ? 'fast-' : ''}${l.join('-')}`,
    station: SOURCE,
    label: `AC volts ${name(l)}, open, ${state === FAST ? 'at speed' : 'idling'}`,
    touch: three
      ? `Meter on AC volts on the stator’s wires ${l.join(' and ')}.`
      : 'Meter on AC volts on the coil’s two wires.',
    watch: three ? 'All three alike within a tenth.' : 'Some tens of volts that rise with speed.',
    instrument: 'AC voltmeter',
    picksUp: 8,
    probe: { kind: 'figure', value: (scene) => legVolts(scene, machine, l, state === FAST) },
    needs: [SOURCE],
    minutes: 1.2,
    opens: ['connectors apart'],
  });
  const volts = [IDLE, FAST].flatMap((state) => legs.map((l) => legOpen(l, state)));
  const ohms = (
    id: string,
    label: string,
    touchWords: string,
    watch: string,
    value: (scene: Scene) => number,
  ): Check => ({
    id,
    station: SOURCE,
    label,
    set: 'Engine off, stator connector apart.',
    touch: touchWords,
    watch,
    instrument: 'ohmmeter',
    probe: { kind: 'figure', value },
    state: KEY_OFF,
    needs: [SOURCE],
    minutes: 1,
    opens: ['connectors apart'],
    cautions: [],
  });
  return [
    ...volts,
    ...legs.map((l) =>
      ohms(
        `charge-leg-ohms-${l.join('-')}`,
        `Ohms ${name(l)}`,
        'A probe on each wire.',
        'A few tenths of an ohm, all alike.',
        (scene) => {
          const own = figuresAt(scene.params, SOURCE);
          const touched = l.includes(own.failedLeg ?? 1);
          if (touched && (own.openLeg ?? 0) > 0.5) return OPEN_OHMS;
          return own.ohms * (three ? 2 : 1) * (touched ? (1 + (own.shortedLeg ?? 1)) / 2 : 1);
        },
      ),
    ),
    ohms(
      'charge-core-ohms',
      'Ohms from the stator to its core',
      'One probe on a wire of the stator, the other on bare metal.',
      'OL, or megohms.',
      (scene) => needed(figuresAt(scene.params, SOURCE).coreOhms, 'coreOhms'),
    ),
  ];
};

/** The magnets by the pull of the hand. */
export const magnetsPull: CheckMaker = (machine) =>
  isStator(machine)
    ? [
        {
          id: 'charge-magnets',
          station: SOURCE,
          label: 'Flywheel magnets, tried with a steel blade',
          set: 'Engine off, cover off the flywheel.',
          touch: 'A screwdriver’s blade to each magnet in turn; try each for looseness.',
          watch: 'All pull alike and hard; none moves.',
          instrument: 'eyes',
          probe: {
            kind: 'look',
            sees: (scene) => {
              const weak = seenFrom(figuresAt(scene.params, SOURCE).strength ?? 1, 1, 0.7, 0.88);
              return { 'pull hard': 1 - weak, 'weak or loose': weak };
            },
          },
          state: KEY_OFF,
          words: ['pull hard', 'weak or loose'],
          needs: [SOURCE],
          minutes: 3,
          opens: ['cowl off'],
          cautions: ['rotating parts'],
        },
      ]
    : [];

/** Lamps of a coil that charges nothing. */
export const lampsAlone: CheckMaker = (machine) =>
  machine.partById.has('lamps')
    ? [
        {
          ...running(machine, FAST),
          id: 'charge-lamps-volts',
          station: 'charge-wire',
          label: 'AC volts at the lamp’s terminal, at speed',
          touch: 'Meter on AC volts from the lamp’s terminal to bare metal.',
          watch: 'About the lamp’s own volts. None here and some at the coil: the wire.',
          instrument: 'AC voltmeter',
          probe: {
            kind: 'figure',
            value: (scene) => {
              const at = scene.solve(FAST);
              return Math.abs(at.volts('lamps') - at.volts(nodeOf(machine, 'lamps', 'b')));
            },
          },
          needs: ['lamps'],
          minutes: 1,
        },
        {
          id: 'charge-lamps-look',
          station: 'charge-wire',
          label: 'The lamp itself',
          set: 'Lamp out of its holder.',
          touch: 'Hold it to the light.',
          watch: 'Whole, or blown.',
          instrument: 'eyes',
          probe: {
            kind: 'look',
            sees: (scene) => {
              const blown = seen(figuresAt(scene.params, 'lamps').watts < 1, 0.97);
              return { whole: 1 - blown, blown };
            },
          },
          state: KEY_OFF,
          words: ['whole', 'blown'],
          needs: ['lamps'],
          minutes: 1,
          opens: [],
          cautions: [],
          look: true,
        },
      ]
    : [];
