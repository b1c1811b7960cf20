import { CRANKING, CRANKING_CLOSED, KEY_OFF } from '../../../machine/state.ts';
import { touch, type Check, type CheckMaker } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import { CRANK_PARTS } from '../parts/index.ts';
import { engagement, motorIn } from '../cranking.ts';
import { MOTOR, RELAY, SOLENOID } from '../ids.ts';
import { ISOLATOR } from '../../shared/supply.ts';
import { told, start } from './start.ts';
import { interlockName } from '../interlockName.ts';

/** Speed of the crank while it turns. */
export const crankingSpeed: CheckMaker = (machine) =>
  told(machine)
    ? [
        {
          ...start(machine),
          id: 'crank-rpm',
          station: 'starter',
          label: 'Cranking speed',
          touch: `Tachometer on; or a compression gauge in number one, its swings counted over ten seconds, times ${machine.fit.compression?.kind === 'two-stroke' ? 'six' : 'twelve'}.`,
          watch: 'Steady, and as fast warm as cold. Slow with the volts well up: starter or engine.',
          instrument: 'tachometer',
          probe: { kind: 'figure', value: (scene) => scene.see('crankingRpm', CRANKING) },
          needs: [MOTOR],
          minutes: 2,
        },
      ]
    : [];

/** Amperes of the starter by a clamp. */
export const crankingAmps: CheckMaker = (machine) =>
  told(machine)
    ? [
        {
          ...start(machine),
          id: 'crank-amps',
          station: 'starter',
          label: 'Starter current',
          touch: 'Clamp around the starter cable, zeroed beside it first.',
          watch:
            'The steady figure, not the first kick. High and slow: shorted, or something holds it. Low and slow: a poor joint.',
          instrument: 'clamp meter',
          probe: {
            kind: 'figure',
            value: (scene) => {
              const { home, pull, held } = engagement(scene, CRANKING_CLOSED);
              return pull >= 1 && held >= 1 ? motorIn(scene, home).amps : 0;
            },
          },
          needs: [MOTOR],
          minutes: 1.2,
        },
      ]
    : [];

/** Volts along the thick path and the thin one, key at start. */
export const crankingVolts: CheckMaker = (machine) => {
  if (!told(machine)) return [];
  const earth = machine.partById.get(SOLENOID)!.nodes['earth']!;
  const across = (
    id: string,
    station: string,
    label: string,
    [live, other]: readonly [string, string],
    watch: string,
    minutes = 1,
  ): Check => ({
    ...start(machine),
    id,
    station,
    label,
    touch: touch(machine, live, other),
    watch,
    instrument: 'voltmeter',
    probe: { kind: 'across', live, earth: other },
    minutes,
  });
  const locks = machine.stations.filter((s) => machine.partById.get(s.id)?.kind === CRANK_PARTS.startInterlock);
  return [
    across(
      'crank-cable-drop',
      'starter-cable',
      'Voltage drop along the starter cable',
      [machine.partById.has(ISOLATOR) ? 'main' : 'post', 'sol-batt'],
      'While it turns, a sound cable and its joints lose little.',
    ),
    across(
      'crank-contacts-drop',
      'solenoid',
      'Voltage drop across the solenoid contacts',
      ['sol-batt', 'motor'],
      'Little while it turns; all of the volts when they are open.',
    ),
    across(
      'crank-motor-volts',
      'starter',
      'Volts at the motor stud',
      ['motor', earth],
      'Volts there and it does not turn: the starter. No volts: something before it.',
    ),
    across(
      'crank-small-terminal',
      'solenoid',
      'Volts at the small terminal',
      ['sol-s', earth],
      'Two thirds of the battery’s volts at least, or the plunger does not pull in.',
    ),
    ...(machine.partById.has('shared-feed')
      ? [
          {
            ...across(
              'crank-small-cold',
              'shared-feed',
              'Volts at the small terminal, heat off',
              ['sol-s', earth],
              'Much more than with the heat on: the feed that they share.',
              1.5,
            ),
            set: 'Preheating unplugged. Out of gear, key to start for three seconds.',
            state: { ...CRANKING, loads: 'none' } as const,
          },
          across(
            'crank-feed-drop',
            'shared-feed',
            'Voltage drop along the shared feed, heat on',
            ['main', 'start-in'],
            'More than a little here starves the solenoid.',
          ),
        ]
      : []),
    across(
      'crank-switch-in',
      'start-switch',
      'Volts into the start switch',
      [machine.partById.get('start-switch')!.nodes['a']!, earth],
      'As much as at the battery. None: look at what feeds the switch.',
      2.5,
    ),
    across(
      'crank-switch-out',
      'start-switch',
      'Volts out of the start switch',
      [locks[0]?.id ?? 'start-out', earth],
      'As much as before it.',
      3,
    ),
    ...locks.map((lock) =>
      across(
        `crank-${lock.id}`,
        lock.id,
        `Voltage drop across the ${interlockName(lock.label)}`,
        machineEnds(machine, lock.id),
        'Almost nothing: a closed switch is as good as a wire.',
        3,
      ),
    ),
    ...(machine.partById.has(RELAY)
      ? [
          across(
            'crank-relay-coil',
            'start-relay',
            'Volts at the relay coil',
            ['relay-s', earth],
            'Full volts and no click: the relay.',
            1.2,
          ),
          across(
            'crank-relay-drop',
            'start-relay',
            'Voltage drop across the relay contact',
            ['main', 'sol-s'],
            'Next to nothing while it is closed.',
            1.2,
          ),
        ]
      : []),
  ];
};
const machineEnds = (machine: Machine, part: string): readonly [string, string] => {
  const { nodes } = machine.partById.get(part)!;
  return [nodes['a']!, nodes['b']!];
};

/** Windings of the solenoid with its leads off. */
export const solenoidOhms: CheckMaker = (machine) => {
  if (!told(machine)) return [];
  const { nodes } = machine.partById.get(SOLENOID)!;
  const bench = (id: string, label: string, red: string, black: string, watch: string): Check => ({
    id,
    station: 'solenoid',
    label,
    set: 'Battery earth off, leads off the solenoid.',
    touch: `One probe on ${machine.nodeNames[red] ?? red}, the other on ${machine.nodeNames[black] ?? black}.`,
    watch,
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red, black, bench: SOLENOID },
    state: KEY_OFF,
    minutes: 4,
    opens: [],
    cautions: ['battery'],
  });
  return [
    bench('crank-pull-ohms', 'Pull-in winding', nodes['s']!, nodes['b']!, 'A thick winding: the lower of the two.'),
    bench(
      'crank-hold-ohms',
      'Hold winding',
      nodes['s']!,
      nodes['earth']!,
      'A thinner winding: more than the pull-in’s.',
    ),
  ];
};
