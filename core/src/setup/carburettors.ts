import type { Fit } from '../schema/fit.ts';

export interface Step {
  readonly id: StepId;
  readonly label: string;
  /** Why it stands before those that follow. */
  readonly why: string;
  readonly after: readonly StepId[];
}
export type StepId =
  'valves' | 'ignition' | 'timing' | 'leaks' | 'level' | 'warm' | 'balance' | 'mixture' | 'speed' | 'choke';

const STEPS: readonly (Step & { readonly when?: (fit: Fit) => boolean })[] = [
  {
    id: 'valves',
    label: 'Valve clearances, where they can be set',
    why: 'A valve held off its seat idles like a weak mixture, and no screw mends it.',
    after: [],
    when: (fit) => fit.compression?.kind !== 'two-stroke',
  },
  {
    id: 'ignition',
    label: 'Plugs, points, leads',
    why: 'Most carburettor faults are in the ignition: a missing spark smells rich.',
    after: [],
    when: (fit) => fit.spark !== undefined,
  },
  {
    id: 'timing',
    label: 'Timing',
    why: 'A late spark asks for more throttle, which uncovers other passages of the carburettor.',
    after: ['ignition'],
    when: (fit) => fit.spark !== undefined,
  },
  {
    id: 'leaks',
    label: 'No air besides: flanges, hoses, spindle',
    why: 'Mixture set over a leak is wrong again at every other speed.',
    after: [],
  },
  {
    id: 'level',
    label: 'Float level and needle',
    why: 'Every jet is metered from the level.',
    after: [],
  },
  {
    id: 'warm',
    label: 'Engine warm, choke right open, air filter on',
    why: 'A cold engine wants a mixture that is wrong when it is warm.',
    after: [],
  },
  {
    id: 'balance',
    label: 'Carburettors balanced',
    why: 'Until they draw alike one cylinder idles for another, and a mixture screw answers for both.',
    after: ['timing', 'leaks', 'warm'],
    when: (fit) => (fit.fuel?.carburettors ?? 1) > 1,
  },
  {
    id: 'mixture',
    label: 'Idle mixture: the fastest even idle, then a hair in',
    why: 'It changes the speed, so the speed is set after it.',
    after: ['timing', 'leaks', 'level', 'warm', 'balance'],
  },
  { id: 'speed', label: 'Idle speed', why: 'Last of the warm ones: all others change it.', after: ['mixture'] },
  {
    id: 'choke',
    label: 'Choke or enricher, cold, the next day',
    why: 'It adds to an idle that must be right first.',
    after: ['speed'],
  },
];

/** The order of work on this machine's carburettor, each step with what should be done before it. */
export function orderOfWork(fit: Fit): Step[] {
  const own = STEPS.filter((s) => s.when?.(fit) ?? true);
  const has = new Set(own.map((s) => s.id));
  return own.map(({ id, label, why, after }) => ({ id, label, why, after: after.filter((a) => has.has(a)) }));
}

/** What stands in the way of a step: those before it that are neither done nor overruled. */
export function before(steps: readonly Step[], id: StepId, settled: ReadonlySet<StepId>): Step[] {
  const wanted = steps.find((s) => s.id === id)?.after ?? [];
  return steps.filter((s) => wanted.includes(s.id) && !settled.has(s.id));
}

export interface Balance {
  readonly mean: number;
  /** Largest less smallest, as a share of the mean. */
  readonly spread: number;
  readonly alike: boolean;
  /** What to turn, by carburettor: one that draws less vacuum than the rest stands open wider. */
  readonly turn: readonly ('open' | 'close' | 'leave')[];
}
/** Carburettors within this share of their mean draw alike, by the trade's usage. */
const ALIKE = 0.04;

/** Vacuum or flow of each carburettor at one idle, any unit; `shows` says which of the two the gauge does. */
export function balanceOfCarburettors(typed: readonly number[], shows: 'vacuum' | 'flow'): Balance {
  // By amount: some write a vacuum with its minus, some without.
  const read = typed.map(Math.abs);
  const mean = read.reduce((a, b) => a + b, 0) / read.length;
  const spread = (Math.max(...read) - Math.min(...read)) / mean;
  const turn = read.map((v) => {
    const off = (v - mean) / mean;
    if (Math.abs(off) <= ALIKE / 2) return 'leave' as const;
    // Wide open it passes more and holds less vacuum behind it.
    return off > 0 === (shows === 'vacuum') ? ('open' as const) : ('close' as const);
  });
  return { mean, spread, alike: spread <= ALIKE, turn };
}
