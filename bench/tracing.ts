import {
  choose,
  follow,
  HiddenMachine,
  likeliestComplaint,
  provedOn,
  seededRandom,
  someHands,
  type Complaint,
  type Followed,
  type JobEvent,
  type ModelFault,
  type Policy,
  type Slips,
  type Tracer,
} from '@pondu/core';

export interface Run {
  fault: string;
  right: boolean;
  /** Something else, dear, was called guilty. */
  wrongDear: boolean;
  checks: number;
  minutes: number;
  named: string;
  /** Belief in what was named. */
  share: number;
  recommendMs: number[];
}

/** One machine in ten is outside its tolerances by half as much again; who takes the readings is drawn as well. */
const STRETCHED = { every: 10, by: 1.5 };
const HANDS_SEED = 500_000;
const MOST = 40;
/** Less likely than this to be complained of, nobody would bring the machine in. */
export const EXPLAINS = 0.2;

/** Whoever takes the readings on the machine of this seed. */
export const handsFor = (seed: number): Slips => someHands(seededRandom(HANDS_SEED + seed));

const played = (tracer: Tracer, faults: readonly ModelFault[], seed: number) =>
  new HiddenMachine(tracer.model, faults, seededRandom(seed), {
    stretch: seed % STRETCHED.every === 0 ? STRETCHED.by : 1,
    ...handsFor(seed),
  });

/** What this very machine would be brought in for, if anything. */
export function complaintOf(hidden: HiddenMachine): Complaint | undefined {
  const complaint = likeliestComplaint((c) => hidden.brings(c));
  return hidden.brings(complaint) >= EXPLAINS ? complaint : undefined;
}

const PATTERN = { heat: 'hot', cold: 'cold', damp: 'damp', shaking: 'now-and-then' } as const;

interface How {
  policy?: Policy;
  /** It comes and goes: so often it is there when a reading is taken. */
  there?: number;
}

/** Traces one hidden machine with one fault to a verdict. */
export function run(tracer: Tracer, fault: ModelFault, seed: number, dearFrom: number, how: How = {}): Run | undefined {
  const failing = played(tracer, [fault], seed);
  const complaint = complaintOf(failing);
  if (!complaint) return undefined;
  const recommendMs: number[] = [];
  let started = performance.now();
  const well = played(tracer, [], seed);
  const random = seededRandom(seed + 1);
  const comes = how.there !== undefined;
  const found = follow(
    tracer,
    comes ? { ...complaint, pattern: PATTERN[fault.mode.comesWith ?? 'shaking'] } : complaint,
    { read: (check) => (comes && random() > how.there! ? well : failing).read(check) },
    {
      most: MOST,
      ...(comes ? { now: { warmth: 'unknown', faultPresent: 'unknown' } } : {}),
      choose: (belief, ranked) => {
        recommendMs.push(performance.now() - started);
        const check = choose(how.policy ?? 'cheapest information', tracer.model, belief, ranked);
        started = performance.now();
        return check;
      },
    },
  );
  return { ...resultOf(tracer, found, [fault.repairId], dearFrom), fault: fault.id, recommendMs };
}

function resultOf(tracer: Tracer, found: Followed, repairs: readonly string[], dearFrom: number) {
  const { named, checks, minutes, share } = found;
  const right = repairs.includes(named);
  const money = tracer.model.repairs.get(named)?.money ?? 0;
  return { right, wrongDear: !right && money >= dearFrom, checks, minutes, named, share };
}

/** Several faults: each is named, put right and the next found behind it, until nothing is left that tells. */
export function runSet(tracer: Tracer, faults: readonly ModelFault[], seed: number): boolean | undefined {
  const all = played(tracer, faults, seed);
  const complaint = complaintOf(all);
  if (!complaint) return undefined;
  let left = faults;
  let events: readonly JobEvent[] = [];
  while (left.length > 0) {
    const hidden = left === faults ? all : played(tracer, left, seed);
    let found = follow(tracer, complaint, hidden, { most: MOST, events });
    // Found sound behind a repair, it is proved out; what does not pass is traced on.
    if (found.named === 'sound' && left !== faults) {
      const proof = provedOn(tracer, complaint, hidden, found.events);
      if (!proof.proven) found = follow(tracer, complaint, hidden, { most: MOST, events: proof.events });
    }
    // It runs even more often than not: what is left is no complaint any more.
    if (found.named === 'sound')
      return left !== faults && hidden.brings(complaint) < EXPLAINS && hidden.runsEven() > 0.5;
    if (!left.some((f) => f.repairId === found.named)) return false;
    left = left.filter((f) => f.repairId !== found.named);
    events = [...found.events, fixed(found.named, events.length)];
  }
  return true;
}

const fixed = (repairId: string, place: number): JobEvent => ({
  type: 'fix',
  fix: {
    id: `fix${place}`,
    repairId,
    what: repairId,
    how: 'replaced',
    parts: '',
    minutes: 0,
    money: 0,
    temporary: false,
    at: '2026-01-01T00:00:00Z',
  },
});

/** Sets of so many faults of different parts, drawn as faults come. */
export function drawSets(tracer: Tracer, many: number, count: number, seed: number): ModelFault[][] {
  const random = seededRandom(seed);
  const { faults } = tracer.model;
  const total = faults.reduce((sum, f) => sum + f.weight, 0);
  const one = () => {
    let left = random() * total;
    return faults.find((f) => (left -= f.weight) < 0)!;
  };
  return Array.from({ length: count }, () => {
    const set: ModelFault[] = [];
    while (set.length < many) {
      const next = one();
      if (set.every((f) => f.part.id !== next.part.id && f.repairId !== next.repairId)) set.push(next);
    }
    return set;
  });
}

/** Expected calibration error: how far belief in what was named lies from how often it was right, over ten bins. */
export function calibrationError(runs: readonly { share: number; right: boolean }[]): number {
  const named = runs.filter((r) => r.share > 0);
  let error = 0;
  for (let bin = 0; bin < 10; bin++) {
    const own = named.filter((r) => Math.min(9, Math.floor(r.share * 10)) === bin);
    if (own.length === 0) continue;
    const mean = (pick: (r: (typeof own)[number]) => number) => own.reduce((s, r) => s + pick(r), 0) / own.length;
    error += (own.length / named.length) * Math.abs(mean((r) => r.share) - mean((r) => Number(r.right)));
  }
  return error;
}
