import type { Spark } from '../machine/observed.ts';
import { logistic } from '../random/lcg.ts';
import type { Instrument, Outcome } from './instrument.ts';

/** Margin and energy at which a spark stops looking weak; eyes differ, so the borders are soft. */
const LOOKS_GOOD: Enough = { margin: 1.3, joules: 4e-3 };

/** Margin and energy, joules, from which a spark no longer counts as weak. */
export interface Enough {
  readonly margin: number;
  readonly joules: number;
}

/** How a spark looks to an eye, or what it is to whoever asks less of it. */
export function sparkWords(
  { availableVolts, requiredVolts, joules }: Spark,
  enough: Enough = LOOKS_GOOD,
): {
  none: number;
  weak: number;
  good: number;
} {
  const margin = availableVolts / requiredVolts;
  const none = logistic((1 - margin) / 0.04);
  const strong = logistic((margin - enough.margin) / 0.05) * logistic((joules - enough.joules) / 0.4e-3);
  return { none, weak: (1 - none) * (1 - strong), good: (1 - none) * strong };
}

/** What eyes make of a spark: none is now and then a faint one, a weak one is called either; of a good one few are wrong. Judgement. */
const TAKEN_FOR = { noneWeak: 0.06, weakNone: 0.06, weakGood: 0.06, goodWeak: 0.01 } as const;
const asSeen = ({ none, weak, good }: ReturnType<typeof sparkWords>): ReturnType<typeof sparkWords> => ({
  none: none * (1 - TAKEN_FOR.noneWeak) + weak * TAKEN_FOR.weakNone,
  weak: weak * (1 - TAKEN_FOR.weakNone - TAKEN_FOR.weakGood) + none * TAKEN_FOR.noneWeak + good * TAKEN_FOR.goodWeak,
  good: good * (1 - TAKEN_FOR.goodWeak) + weak * TAKEN_FOR.weakGood,
});

/** Adjustable gap, set to what the check asks (6 mm unless it says otherwise). */
export const sparkTester: Instrument = {
  id: 'spark tester',
  label: 'Spark tester, 6 mm gap',
  words: ['none', 'weak', 'good'],
  observe(scene, { probe, state }) {
    if (probe.kind === 'spark') {
      return { kind: 'category', shares: asSeen(sparkWords(scene.spark(probe.place, state, probe.cylinder))) };
    }
    if (probe.kind !== 'every spark') throw new TypeError('A spark tester needs a spark');
    return everySpark(
      Array.from({ length: scene.machine.fit.cylinders }, (_, i) => sparkWords(scene.spark('plug lead', state, i + 1))),
    );
  },
  error: () => 0,
};

/** All cylinders one after the other: all good, all weak, none, one odd one out, or a mixture. */
function everySpark(each: { none: number; weak: number; good: number }[]): Outcome {
  const product = (pick: (s: (typeof each)[number]) => number) => each.reduce((p, s) => p * pick(s), 1);
  const shares: Record<string, number> = {};
  const all = asSeen({
    good: product((s) => s.good),
    weak: product((s) => 1 - s.none) - product((s) => s.good),
    none: product((s) => s.none),
  });
  shares['good on all'] = all.good;
  shares['weak on all'] = all.weak;
  shares['none at all'] = all.none;
  // Of a single cylinder there is no odd one.
  if (each.length > 1)
    each.forEach((one, i) => {
      shares[`only ${i + 1} is dead`] = one.none * each.reduce((p, s, k) => (k === i ? p : p * (1 - s.none)), 1);
    });
  const sum = Object.values(shares).reduce((a, b) => a + b, 0);
  if (each.length > 2) shares['some dead'] = Math.max(0, 1 - sum);
  return { kind: 'category', shares };
}
