import { minutesOf, toRuler, INSTRUMENTS, type Check, type Opening, type Tracer } from '@pondu/core';

/**
 * A machine cut down until the best tree can be computed: a few faults, a few checks, each reading sorted into a few
 * outcomes. The dynamic programme and the greedy rule play the same game: ask until one fault has 98 %, each check once.
 */
const FAULTS = [
  'points.burnt',
  'points.closed-up',
  'fuse.blown',
  'ballast.open',
  'coil.primary-open',
  'condenser.shorted',
  'cap.tracked',
  'plugs.fouled',
];
const CHECKS = [
  'look-warning-lamp',
  'fuse-volts',
  'coil-feed-closed',
  'coil-minus-open',
  'coil-minus-closed',
  'spark-coil-lead',
  'spark-plug-lead',
  'points-gap',
  'points-line-to-earth',
];
const SURE = 0.98;
/** Charged when every check has been asked and nothing is sure: the same for both players. */
const UNSURE_MINUTES = 30;
const NOISE = 0.03;
const OPENING_CHARGE = 0.6;

interface Game {
  prior: number[];
  checks: { check: Check; p: number[][] }[];
}

/** Outcomes of a numeric check: below, within or above the sound band, or OL; of a word check, its words. */
function outcomeShares(tracer: Tracer, check: Check, faultId: string): number[] {
  const fault = tracer.model.faults.find((f) => f.id === faultId)!;
  const predicted = tracer.weigher.ensemble([fault]).predict(check);
  const sound = tracer.weigher.ensemble([]).predict(check);
  let shares: number[];
  if (predicted.kind === 'word' || sound.kind === 'word') {
    const words = check.words ?? INSTRUMENTS[check.instrument].words ?? [];
    const members = predicted.kind === 'word' ? predicted.shares : [];
    shares = words.map((w) => members.reduce((s, m) => s + (m[w] ?? 0), 0) / members.length);
  } else {
    const known = [...sound.at].filter((u) => !Number.isNaN(u));
    const dimension = INSTRUMENTS[check.instrument].dimension!;
    const [low, high] = known.length
      ? [Math.min(...known) - 0.15, Math.max(...known) + 0.15]
      : [toRuler(1e7, dimension), Infinity];
    shares = [0, 0, 0, 0];
    predicted.at.forEach((u, m) => shares[predicted.open[m]! > 0.5 ? 3 : u < low ? 0 : u <= high ? 1 : 2]!++);
    shares = shares.map((n) => n / predicted.at.length);
  }
  return shares.map((s) => (1 - NOISE) * s + NOISE / shares.length);
}

function build(tracer: Tracer): Game {
  const weights = FAULTS.map((id) => tracer.model.faults.find((f) => f.id === id)!.weight);
  const total = weights.reduce((a, b) => a + b, 0);
  return {
    prior: weights.map((w) => w / total),
    checks: CHECKS.map((id) => {
      const check = tracer.weigher.check(id)!;
      return { check, p: FAULTS.map((f) => outcomeShares(tracer, check, f)) };
    }),
  };
}

const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);
const openAfter = (game: Game, done: number): Set<Opening> =>
  new Set(game.checks.flatMap(({ check }, i) => (done & (1 << i) ? check.opens : [])));

/** Beliefs after each outcome of a check, unnormalised, with their chances. */
function* branches(game: Game, belief: number[], i: number): Generator<{ chance: number; belief: number[] }> {
  const { p } = game.checks[i]!;
  for (let o = 0; o < p[0]!.length; o++) {
    const joint = belief.map((b, f) => b * p[f]![o]!);
    const chance = sum(joint);
    if (chance > 1e-9) yield { chance, belief: joint.map((j) => j / chance) };
  }
}

function play(
  game: Game,
  pick: (belief: number[], done: number, open: Set<Opening>, value: (b: number[], d: number) => number) => number,
): number {
  const known = new Map<string, number>();
  const value = (belief: number[], done: number): number => {
    if (Math.max(...belief) >= SURE) return 0;
    if (done === (1 << game.checks.length) - 1) return UNSURE_MINUTES;
    const key = `${done}|${belief.map((b) => b.toFixed(5)).join()}`;
    let v = known.get(key);
    if (v === undefined) known.set(key, (v = pick(belief, done, openAfter(game, done), value)));
    return v;
  };
  return value(game.prior, 0);
}

function costOf(
  game: Game,
  belief: number[],
  done: number,
  i: number,
  open: Set<Opening>,
  value: (b: number[], d: number) => number,
): number {
  let cost = minutesOf(game.checks[i]!.check, open);
  for (const next of branches(game, belief, i)) cost += next.chance * value(next.belief, done | (1 << i));
  return cost;
}

const entropy = (b: readonly number[]) => -sum(b.map((p) => (p > 0 ? p * Math.log2(p) : 0)));

/** Expected minutes of the optimal tree and of information per minute, on the same cut-down machine. */
export function againstOptimal(tracer: Tracer) {
  const game = build(tracer);
  const left = (done: number) => game.checks.map((_, i) => i).filter((i) => !(done & (1 << i)));
  const optimal = play(game, (belief, done, open, value) =>
    Math.min(...left(done).map((i) => costOf(game, belief, done, i, open, value))),
  );
  const greedy = play(game, (belief, done, open, value) => {
    const rate = (i: number) => {
      let expected = 0;
      for (const next of branches(game, belief, i)) expected += next.chance * entropy(next.belief);
      return (entropy(belief) - expected) / minutesOf(game.checks[i]!.check, open, OPENING_CHARGE);
    };
    const best = left(done).reduce((a, b) => (rate(b) > rate(a) ? b : a));
    return costOf(game, belief, done, best, open, value);
  });
  const bound = entropy(game.prior) / Math.log2(Math.max(...game.checks.map((c) => c.p[0]!.length)));
  return {
    faults: FAULTS.length,
    checks: CHECKS.length,
    optimalMinutes: optimal,
    oursMinutes: greedy,
    ratio: greedy / optimal,
    leastChecksBound: bound,
  };
}
