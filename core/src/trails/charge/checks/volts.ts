import { atSpeed } from '../../../engine/speeds.ts';
import { figuresAt } from '../../../machine/figures.ts';
import { FAST, IDLE, KEY_OFF, LOADED } from '../../../machine/state.ts';
import { block, earthPost, nodeOf, touch, type Check, type CheckMaker } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import type { MachineState } from '../../../machine/part.ts';
import { batteryVolts, given, intoBattery, sourceVolts } from '../charging.ts';
import { regulatorEarthDrop } from '../fieldCircuit.ts';
import { REGULATOR, REGULATOR_EARTH, SOURCE } from '../making.ts';

const RUNNING_CAUTIONS = ['charging battery', 'rotating parts', 'exhaust gas'] as const;
export const running = (
  machine: Machine,
  state: MachineState,
  ...words: readonly string[]
): Pick<Check, 'set' | 'state' | 'opens' | 'cautions'> => ({
  set: `Engine running ${[atSpeed(machine.fit, state), ...words].join(', ')}, out of doors or with the exhaust led away.`,
  state,
  opens: [],
  cautions: [...RUNNING_CAUTIONS, ...(machine.fit.marine ? (['marine'] as const) : [])],
});
const sourceName = ({ partById }: Machine): string => partById.get(SOURCE)!.label.toLowerCase();
const charges = ({ partById }: Machine): boolean => partById.has(SOURCE);

/** Volts at the battery against speed and load, and at the machine. */
export const chargeVolts: CheckMaker = (machine) => {
  if (!charges(machine)) return [];
  const set = machine.fit.volts === 6 ? '7.1' : machine.fit.volts === 24 ? '28.4' : '14.2';
  const posts = touch(machine, 'post', earthPost(machine));
  const live = nodeOf(machine, SOURCE, 'a');
  const battery = (id: string, label: string, words: string, state: MachineState, watch: string): Check => ({
    ...running(machine, state, words),
    id,
    station: 'battery',
    label,
    touch: posts,
    watch,
    instrument: 'voltmeter',
    probe: { kind: 'figure', value: (scene) => batteryVolts(scene, state) },
    needs: ['battery', 'charge-wire'],
    minutes: 1,
  });
  return [
    battery(
      'charge-idle',
      'Battery volts, idling',
      'all off',
      IDLE,
      'Above what it had at rest, from the speed at which it cuts in.',
    ),
    battery(
      'charge-fast',
      'Battery volts at speed, all off',
      'all off',
      FAST,
      `About ${set} V. Much more boils the battery; as at rest: nothing arrives.`,
    ),
    battery(
      'charge-loaded',
      'Battery volts at speed, all on',
      'lamps and everything else on',
      LOADED,
      'Falls a little; below the rest volts the machine gives less than is taken.',
    ),
    {
      ...running(machine, LOADED, 'all on'),
      id: 'charge-source',
      station: SOURCE,
      label: `Volts at the ${sourceName(machine)}’s own terminal, at speed`,
      touch: touch(machine, live, block(machine)),
      watch: 'Volts here and none at the battery: the wire. None here either: what makes them, or what excites it.',
      instrument: 'voltmeter',
      probe: { kind: 'figure', value: (scene) => sourceVolts(scene, LOADED) },
      minutes: 1.5,
      needs: [SOURCE],
    },
    {
      ...running(machine, LOADED, 'all on'),
      id: 'charge-drop',
      station: 'charge-wire',
      label: 'Voltage drop along the charge wire, at speed, all on',
      touch: touch(machine, 'chg-out', 'main'),
      watch: 'Three tenths at most.',
      instrument: 'voltmeter',
      probe: { kind: 'across', live: 'chg-out', earth: 'main' },
      minutes: 1.5,
    },
    {
      ...running(machine, LOADED, 'all on'),
      id: 'charge-amps',
      station: 'charge-wire',
      label: 'Current in the charge wire, at speed, all on',
      touch: 'Clamp around the charge wire, zeroed beside it first.',
      watch: 'What the loads take, and a few amperes for the battery.',
      instrument: 'clamp meter',
      probe: { kind: 'figure', value: (scene) => given(scene, LOADED) },
      needs: ['charge-wire'],
      minutes: 1.2,
    },
    {
      ...running(machine, FAST, 'all off'),
      id: 'charge-takes',
      station: 'battery',
      label: 'Current into the battery, at speed',
      touch: 'Clamp around the live battery cable, zeroed beside it first.',
      watch: 'A few amperes that fall as it fills. None with the volts up: the battery takes no charge.',
      instrument: 'clamp meter',
      probe: { kind: 'figure', value: (scene) => intoBattery(scene, FAST) },
      needs: ['live-clamp'],
      minutes: 1.2,
    },
    ...(machine.fit.charge?.kind === 'alternator-apart'
      ? [
          {
            ...running(machine, LOADED, 'all on'),
            id: 'charge-sense-drop',
            station: REGULATOR,
            label: 'Voltage drop, battery to the regulator’s sense wire',
            touch: 'One probe on the battery’s live post, the other on the sense terminal of the regulator.',
            watch: 'Next to nothing: what is lost here it adds to the charge.',
            instrument: 'voltmeter',
            probe: { kind: 'figure', value: ({ params }) => figuresAt(params, REGULATOR).senseVolts ?? 0 },
            needs: [REGULATOR],
            minutes: 1.5,
          } satisfies Check,
        ]
      : []),
    ...(machine.partById.has(REGULATOR_EARTH)
      ? [
          {
            ...running(machine, LOADED, 'all on'),
            id: 'charge-regulator-earth',
            station: REGULATOR_EARTH,
            label: 'Voltage drop, regulator’s case to the battery’s earth',
            touch: 'One probe on the regulator’s case, the other on the battery’s earth post.',
            watch: 'Next to nothing: it regulates against this.',
            instrument: 'voltmeter',
            probe: {
              kind: 'figure',
              value: (scene) => {
                const { ohms } = figuresAt(scene.params, REGULATOR_EARTH);
                return regulatorEarthDrop(machine.fit, ohms, machine.fit.volts);
              },
            },
            needs: [REGULATOR_EARTH],
            minutes: 1.2,
          } satisfies Check,
        ]
      : []),
  ];
};

/** What leaves the battery with everything off. */
export const drainAtRest: CheckMaker = (machine) =>
  charges(machine)
    ? [
        {
          id: 'charge-drain',
          does: ['works at the battery'],
          station: 'standing',
          label: 'Current at rest',
          set: 'Key out, doors shut, ten minutes after the last thing was switched.',
          touch: 'Battery earth off, the meter in series between post and clamp, on its 10 A socket.',
          watch: 'An old machine takes nothing, one with a clock or a radio a little. Nobody turns the key meanwhile.',
          instrument: 'ammeter',
          probe: { kind: 'figure', value: (scene) => scene.see('drainAmps', KEY_OFF) },
          state: KEY_OFF,
          needs: ['live-clamp', 'standing'],
          minutes: 3,
          opens: [],
          cautions: ['battery'],
        },
        {
          id: 'charge-drain-unplugged',
          does: ['works at the battery'],
          station: SOURCE,
          label: 'Current at rest, charge wire off',
          set: 'Battery earth off, charge wire off and kept from metal.',
          touch: 'The meter in series between the battery’s earth post and its clamp, as before.',
          watch: 'Gone now: diodes, or the cut-out. Still there: something else stays on.',
          instrument: 'ammeter',
          probe: {
            kind: 'figure',
            value: (scene) =>
              Math.abs(scene.solve({ key: 'off', points: 'open', unplugged: ['charge-wire'] }).amps('live-clamp')),
          },
          state: KEY_OFF,
          needs: ['live-clamp', 'charge-wire'],
          minutes: 4,
          opens: [],
          cautions: ['battery'],
        },
      ]
    : [];
