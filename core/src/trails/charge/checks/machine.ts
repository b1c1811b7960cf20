import { nodeOf, type Check, type CheckMaker } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import { OPEN_OHMS, type MachineState } from '../../../machine/part.ts';
import type { Scene } from '../../../machine/scene.ts';
import { seen } from '../../../machine/seen.ts';
import { given } from '../charging.ts';
import { BELT, CUTOUT, engineRpm, makingOf, REGULATOR, SOURCE } from '../making.ts';
import { FAST, IDLE, LOADED, running } from './volts.ts';

const OFF: MachineState = { key: 'off', points: 'open' };
const kindOf = ({ partById }: Machine) => partById.get(SOURCE)?.kind.kind ?? '';
const stator = (machine: Machine) => kindOf(machine).startsWith('stator');

/** Press the belt. */
export const pressBelt: CheckMaker = () => [
  {
    id: 'charge-belt',
    station: BELT,
    label: 'Belt, pressed at mid-span',
    set: 'Engine off, key out.',
    touch: 'Press with a thumb halfway between the pulleys.',
    watch: 'Ten to fifteen millimetres; shiny flanks and black dust say that it slips.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const gives = scene.params[BELT]!['deflectionMetres']!;
        const gone = seen(gives > 0.1, 0.99);
        const slack = (1 - gone) * seen(gives > 0.016 && gives <= 0.1, 0.94);
        return { firm: 1 - gone - slack, slack, gone };
      },
    },
    state: OFF,
    words: ['firm', 'slack', 'gone'],
    needs: [BELT],
    minutes: 0.6,
    opens: [],
    cautions: ['rotating parts'],
    look: true,
  },
];

/** Alternating volts that ride on the battery's. */
export const ripple: CheckMaker = (machine) =>
  kindOf(machine) === 'alternator'
    ? [
        {
          ...running(machine, 'fast, all on', LOADED),
          id: 'charge-ripple',
          station: SOURCE,
          label: 'AC volts at the alternator, fast, all on',
          touch: 'Meter on AC volts from the thick terminal to bare metal.',
          watch: 'A tenth or two. Half a volt and more: a diode or a leg.',
          instrument: 'AC voltmeter',
          probe: {
            kind: 'figure',
            value: (scene) =>
              (scene.params[SOURCE]!['ripple'] ?? 0.08) *
              Math.min(1, given(scene, LOADED) / (8 * (12 / machine.fit.volts))),
          },
          needs: [SOURCE, 'charge-wire'],
          minutes: 1,
        },
      ]
    : [];

const LEGS = [
  [1, 2],
  [2, 3],
  [3, 1],
] as const;

/** Volts of a leg with the connector apart: leg one is the failed one where one has failed. */
function legVolts(scene: Scene, machine: Machine, legs: readonly number[]): number {
  const own = scene.params[SOURCE]!;
  const making = makingOf(machine.fit.charge!.kind, machine.fit);
  const full =
    own['voltsPerRpm']! *
    engineRpm(machine.fit) *
    (own['strength'] ?? 1) *
    (making.winding === 'three' ? Math.sqrt(3) : 1);
  const touched = legs.includes(1);
  if (touched && (own['openLeg'] ?? 0) > 0.5) return 0.01;
  const shorted = touched ? (own['shortedLeg'] ?? 1) : 1;
  return full * (making.winding === 'three' ? (1 + shorted) / 2 : shorted);
}

/** The stator by its connector: volts between legs, ohms, and to the core. */
export const statorLegs: CheckMaker = (machine) => {
  if (!stator(machine)) return [];
  const three = makingOf(machine.fit.charge!.kind, machine.fit).winding === 'three';
  const legs: readonly (readonly number[])[] = three ? LEGS : [[1]];
  const name = (l: readonly number[]) => (three ? `between legs ${l.join(' and ')}` : 'of the coil');
  const volts = legs.map((l): Check => ({
    ...running(machine, 'at its idle, connector of the stator apart', IDLE),
    id: `charge-leg-volts-${l.join('-')}`,
    station: SOURCE,
    label: `AC volts ${name(l)}, open, idling`,
    touch: three
      ? `Meter on AC volts on the stator’s wires ${l.join(' and ')}.`
      : 'Meter on AC volts on the coil’s two wires.',
    watch: three ? 'All three alike within a tenth.' : 'Some tens of volts that rise with speed.',
    instrument: 'AC voltmeter',
    probe: { kind: 'figure', value: (scene) => legVolts(scene, machine, l) },
    needs: [SOURCE],
    minutes: 1.2,
    opens: ['connectors apart'],
  }));
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
    set: 'Engine off, connector of the stator apart.',
    touch: touchWords,
    watch,
    instrument: 'ohmmeter',
    probe: { kind: 'figure', value },
    state: OFF,
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
        'Some tenths, all alike.',
        (scene) => {
          const own = scene.params[SOURCE]!;
          const touched = l.includes(1);
          if (touched && (own['openLeg'] ?? 0) > 0.5) return OPEN_OHMS;
          return own['ohms']! * (three ? 2 : 1) * (touched ? (1 + (own['shortedLeg'] ?? 1)) / 2 : 1);
        },
      ),
    ),
    ohms(
      'charge-core-ohms',
      'Ohms from the stator to its core',
      'One probe on a wire of the stator, the other on bare metal.',
      'OL, or megohms.',
      (scene) => scene.params[SOURCE]!['coreOhms']!,
    ),
  ];
};

/** The magnets by the pull of the hand. */
export const magnetsPull: CheckMaker = (machine) =>
  stator(machine)
    ? [
        {
          id: 'charge-magnets',
          station: SOURCE,
          label: 'Magnets, held against a blade',
          set: 'Engine off, cover off the flywheel.',
          touch: 'A screwdriver’s blade to each magnet in turn; try each for looseness.',
          watch: 'All pull alike and hard; none moves.',
          instrument: 'eyes',
          probe: {
            kind: 'look',
            sees: (scene) => {
              const weak = seen((scene.params[SOURCE]!['strength'] ?? 1) < 0.8, 0.88);
              return { 'pull hard': 1 - weak, 'weak or loose': weak };
            },
          },
          state: OFF,
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
          ...running(machine, 'fast', FAST),
          id: 'charge-lamps-volts',
          station: 'charge-wire',
          label: 'AC volts at the lamp’s terminal, fast',
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
              const blown = seen(scene.params['lamps']!['watts']! < 1, 0.97);
              return { whole: 1 - blown, blown };
            },
          },
          state: OFF,
          words: ['whole', 'blown'],
          needs: ['lamps'],
          minutes: 1,
          opens: [],
          cautions: [],
          look: true,
        },
      ]
    : [];

/** Field or rotor, and the machine opened. */
export const insideMachine: CheckMaker = (machine) => {
  const kind = kindOf(machine);
  if (kind !== 'alternator' && kind !== 'generator') return [];
  const what = kind === 'alternator' ? 'Rotor, ring to ring' : 'Field, its terminal to earth';
  return [
    {
      id: 'charge-field-ohms',
      station: SOURCE,
      label: what,
      set: 'Battery earth off, wires off the field terminals.',
      touch: 'A probe on either end of the field.',
      watch: 'A few ohms; OL: brushes, or the winding itself.',
      instrument: 'ohmmeter',
      probe: { kind: 'figure', value: (scene) => scene.params[SOURCE]!['fieldOhms']! },
      state: OFF,
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
          const own = scene.params[SOURCE]!;
          const worn = seen((own['worn'] ?? 0) > 0.5, 0.95);
          const diode = (1 - worn) * seen((own['ripple'] ?? 0) > 0.3, 0.88);
          const burnt =
            (1 - worn - diode) *
            seen((own['share'] ?? 1) < 0.9 || (own['fieldOhms']! >= OPEN_OHMS && (own['worn'] ?? 0) < 0.5), 0.85);
          return {
            sound: 1 - worn - diode - burnt,
            'brushes worn': worn,
            'diodes or a leg': diode,
            'a winding': burnt,
          };
        },
      },
      state: OFF,
      words: ['sound', 'brushes worn', 'diodes or a leg', 'a winding'],
      needs: [SOURCE],
      minutes: 6,
      opens: ['unit opened'],
      cautions: ['battery'],
    },
  ];
};

/** Fed past its regulator for a moment. */
export const fullField: CheckMaker = (machine) => {
  const kind = kindOf(machine);
  if (kind !== 'generator' && machine.fit.charge?.kind !== 'alternator-apart') return [];
  return [
    {
      ...running(machine, 'a little above idle', { ...FAST }),
      id: 'charge-full-field',
      station: REGULATOR,
      label: 'Full field for a moment: do the volts rise?',
      set: 'Engine a little above idle, lamps and radio off, meter on the battery. Two seconds, no more.',
      touch: 'Feed the field past the regulator as its circuit asks.',
      watch: 'Volts rise at once: the regulator, or what feeds it. They do not: the machine itself.',
      instrument: 'eyes',
      probe: {
        kind: 'look',
        sees: (scene) => {
          const own = scene.params[SOURCE]!;
          const able = own['fieldOhms']! < OPEN_OHMS && own['ohms']! < OPEN_OHMS && (own['residual'] ?? 1) > 0.008;
          const carried = scene.params[BELT]!['carried']! > 0.6 && (own['share'] ?? 1) > 0.55;
          const through =
            scene.params['charge-wire']!['ohms']! < 0.3 * machine.fit.volts &&
            (scene.params[CUTOUT]?.['stays'] ?? 0) > -0.5;
          return able && carried && through ? { rise: 0.95, 'no change': 0.05 } : { rise: 0.04, 'no change': 0.96 };
        },
      },
      words: ['rise', 'no change'],
      needs: [SOURCE, BELT],
      minutes: 3,
      cautions: ['full field', 'charging battery', 'rotating parts', 'exhaust gas'],
    },
  ];
};

/** A generator by itself: what magnetism is left, and its cut-out. */
export const generatorChecks: CheckMaker = (machine) =>
  kindOf(machine) === 'generator'
    ? [
        {
          ...running(machine, 'fast, field wire off', FAST),
          id: 'charge-residual',
          station: SOURCE,
          label: 'Volts of the generator, field wire off, fast',
          touch: 'From the armature terminal to bare metal.',
          watch: 'One to three volts the right way round. Nothing: no magnetism, or no brush.',
          instrument: 'voltmeter',
          probe: {
            kind: 'figure',
            value: (scene) => {
              const own = scene.params[SOURCE]!;
              if (own['ohms']! >= OPEN_OHMS) return 0;
              return (
                own['residual']! *
                own['voltsPerRpm']! *
                engineRpm(machine.fit, 'fast') *
                1.7 *
                2 *
                scene.params[BELT]!['carried']! *
                (own['share'] ?? 1)
              );
            },
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
              const stays = scene.params[CUTOUT]!['stays'] ?? 0;
              const never = seen(stays < -0.5 || (scene.params[CUTOUT]!['closesFast'] ?? 0) < 0.5, 0.95);
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

/** The joints of the charge wire by hand and eye. */
export const lookChargeWire: CheckMaker = () => [
  {
    id: 'charge-wire-look',
    station: 'charge-wire',
    label: 'Plugs, joints and fuse of the charge wire',
    set: 'Engine off.',
    touch: 'Pull apart, look into the plug, feel for what was hot.',
    watch: 'Brown or melted plastic, a fuse that is gone, a loose ring.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const bad = seen(scene.params['charge-wire']!['ohms']! > 0.15, 0.75);
        return { sound: 1 - bad, 'melted, loose or open': bad };
      },
    },
    state: OFF,
    words: ['sound', 'melted, loose or open'],
    needs: ['charge-wire'],
    minutes: 1.5,
    opens: [],
    cautions: [],
    look: true,
  },
];
