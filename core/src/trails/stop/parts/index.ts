import { between, logBetween, type FaultMode, type PartKind, type PlateSpec } from '../../../machine/part.ts';

const hidden = <Id extends string>(id: Id, label: string, low: number, high: number): PlateSpec<Id> => ({
  id,
  label,
  dimension: 'ratio',
  typical: () => ({ low, high }),
  hidden: true,
});
const kind = <Has extends string>(
  name: string,
  plates: readonly PlateSpec<Has>[],
  repairs: PartKind['repairs'],
  faults: readonly FaultMode<NoInfer<Has>>[],
): PartKind<Has> => ({
  kind: name,
  symbol: 'none',
  plates,
  repairs,
  faults,
  elements: () => [],
});
const leaks = (
  label: string,
  weight: number,
  repair: string,
  small: number,
  large: number,
  more: Pick<Partial<FaultMode>, 'comesWith'> = {},
): FaultMode<'leakSquareMetres'> => ({
  id: 'leaks',
  label,
  weight,
  repair,
  apply: (p, s) => ({ ...p, leakSquareMetres: logBetween(small, large, s) }),
  ...more,
});

const source = kind(
  'vacuum source',
  [{ id: 'pascals', label: 'Vacuum at its source', dimension: 'pressure', typical: () => ({ low: 60e3, high: 85e3 }) }],
  [{ id: 'renew', label: 'Repair or renew the vacuum pump', minutes: 80, money: 90 }],
  [
    {
      id: 'weak',
      label: 'weak: its vanes or valves worn',
      weight: 2,
      repair: 'renew',
      apply: (p, s) => ({ ...p, pascals: between(24e3, 4e3, s) }),
    },
  ],
);
const reservoir = kind(
  'reservoir and check valve',
  [hidden('leakSquareMetres', 'Hole that it leaks through', 1e-10, 1e-9)],
  [{ id: 'renew', label: 'Renew check valve or reservoir', minutes: 25, money: 14 }],
  [leaks('leaking: all else that uses this vacuum loses it too', 1.5, 'renew', 2.6e-6, 7e-6)],
);
const valve = kind(
  'stop valve',
  [hidden('stuckShut', 'Share that it does not open', 0, 0), hidden('staysOpen', 'Share that it stays open', 0, 0)],
  [{ id: 'renew', label: 'Renew the stop valve at the key', minutes: 45, money: 35 }],
  [
    {
      id: 'shut',
      label: 'stuck, passes no vacuum',
      weight: 2,
      repair: 'renew',
      apply: (p, s) => ({ ...p, stuckShut: between(0.7, 1, s) }),
    },
    {
      id: 'open',
      label: 'does not vent, keeps the engine stopped',
      weight: 1.5,
      repair: 'renew',
      apply: (p, s) => ({ ...p, staysOpen: between(0.6, 1, s) }),
    },
  ],
);
const line = kind(
  'stop line',
  [hidden('leakSquareMetres', 'Hole that it leaks through', 1e-11, 1e-10)],
  [{ id: 'renew', label: 'Renew the vacuum line', minutes: 20, money: 6 }],
  [leaks('cracked or off', 3, 'renew', 2.4e-6, 2e-5, { comesWith: 'shaking' })],
);
const actuator = kind(
  'stop actuator',
  [hidden('leakSquareMetres', 'Hole that it leaks through', 1e-11, 1e-10)],
  [{ id: 'renew', label: 'Renew the stop actuator on the pump', minutes: 35, money: 48 }],
  [leaks('diaphragm torn', 3, 'renew', 2.4e-6, 1.2e-5)],
);
const rack = kind(
  'stop lever',
  [hidden('stuckOpen', 'Stuck at run', 0, 0), hidden('stuckShut', 'Stuck at stop', 0, 0)],
  [{ id: 'free', label: 'Free and oil the stop lever', minutes: 30, money: 2 }],
  [
    { id: 'open', label: 'stuck at run', weight: 1, repair: 'free', apply: (p) => ({ ...p, stuckOpen: 1 }) },
    { id: 'shut', label: 'stuck at stop', weight: 1.5, repair: 'free', apply: (p) => ({ ...p, stuckShut: 1 }) },
  ],
);
const solenoidFaults: readonly FaultMode<'toRun' | 'coil' | 'stuck'>[] = [
  {
    id: 'coil',
    label: 'coil open',
    weight: 2,
    repair: 'renew',
    comesWith: 'heat',
    apply: (p) => ({ ...p, coil: 0 }),
  },
  { id: 'stuck', label: 'plunger stuck', weight: 2, repair: 'renew', apply: (p) => ({ ...p, stuck: 1 }) },
];
const solenoid = (name: string, toRun: 0 | 1) =>
  kind(
    name,
    [
      hidden('toRun', 'Energised to run', toRun, toRun),
      hidden('coil', 'Whether its coil is whole', 1, 1),
      hidden('stuck', 'Stuck', 0, 0),
    ],
    [{ id: 'renew', label: 'Renew the stop solenoid', minutes: 30, money: 60 }],
    solenoidFaults,
  );
const feed = kind(
  'stop feed',
  [hidden('carries', 'Whether it carries', 1, 1), hidden('staysLive', 'Whether it stays live', 0, 0)],
  [
    { id: 'mend', label: 'Repair the feed of the stop solenoid', minutes: 25, money: 3 },
    { id: 'diode', label: 'Find what feeds it back; put a diode in that wire', minutes: 40, money: 4 },
  ],
  [
    {
      id: 'open',
      label: 'broken or blown: no volts arrive',
      weight: 2.5,
      repair: 'mend',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, carries: 0 }),
    },
    {
      id: 'fed-back',
      label: 'fed back by the lamp or the alternator after the key is off',
      weight: 1.2,
      repair: 'diode',
      apply: (p) => ({ ...p, staysLive: 1 }),
    },
  ],
);
const cable = kind(
  'stop cable',
  [hidden('pulls', 'Whether it pulls', 1, 1), hidden('stays', 'Whether it stays pulled', 0, 0)],
  [{ id: 'renew', label: 'Renew or set the stop cable', minutes: 30, money: 12 }],
  [
    { id: 'broken', label: 'broken or slipped', weight: 3, repair: 'renew', apply: (p) => ({ ...p, pulls: 0 }) },
    { id: 'seized', label: 'seized at stop', weight: 2, repair: 'renew', apply: (p) => ({ ...p, stays: 1 }) },
  ],
);

/** Parts that only the stop trail has. */
export const STOP_PARTS = {
  source,
  reservoir,
  valve,
  line,
  actuator,
  rack,
  solenoidToRun: solenoid('stop solenoid, energised to run', 1),
  solenoidToStop: solenoid('stop solenoid, energised to stop', 0),
  feed,
  cable,
};
