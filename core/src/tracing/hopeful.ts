import type { ModelFault } from './model.ts';

/** What one fault alone says of the complaint and of each reading, as natural logarithms, and of itself before. */
export interface Alone {
  readonly fault: ModelFault;
  readonly logPrior: number;
  readonly says: Float64Array;
}

/** Which pairs: of one from either list, no two ways of failing of one part. */
export interface Wanted {
  readonly first: readonly Alone[];
  readonly second: readonly Alone[];
  readonly goTogether: (a: ModelFault, b: ModelFault) => boolean;
  /** What neither explains costs no more than this. */
  readonly least: number;
  /** Pairs of less hope are not worth simulating. */
  readonly from: number;
  readonly most: number;
}

/**
 * The pairs worth simulating, best first: as if the better of the two spoke for each reading. Quick, since only what
 * each says alone is asked, and nothing is kept but the best so far.
 */
export function hopefulPairs({ first, second, goTogether, least, from, most }: Wanted): [ModelFault, ModelFault][] {
  const best: { pair: [ModelFault, ModelFault]; hope: number }[] = [];
  const both = first === second;
  // What the readings from the k-th on can still add at most: few pairs need all of them.
  const rest = bounds(second, least);
  let bar = from;
  first.forEach((a, i) => {
    for (let j = both ? i + 1 : 0; j < second.length; j++) {
      const b = second[j]!;
      let hope = a.logPrior + b.logPrior;
      let counted = 0;
      for (let k = 0; k < a.says.length && hope + rest[k]! > bar; k++) {
        const [x, y] = [a.says[k]!, b.says[k]!];
        hope += Math.max(least, x > y ? x : y);
        counted = k + 1;
      }
      if (
        counted < a.says.length ||
        !(hope > bar) ||
        a.fault.part.id === b.fault.part.id ||
        !goTogether(a.fault, b.fault)
      )
        continue;
      const at = best.findIndex((h) => h.hope < hope);
      best.splice(at < 0 ? best.length : at, 0, { pair: [a.fault, b.fault], hope });
      if (best.length > most) best.length = most;
      if (best.length === most) bar = Math.max(from, best[most - 1]!.hope);
    }
  });
  return best.map((h) => h.pair);
}

/** For each reading, the most that it and those after it say for any fault. */
function bounds(all: readonly Alone[], least: number): Float64Array {
  const length = all[0]?.says.length ?? 0;
  const rest = new Float64Array(length + 1);
  for (let k = length - 1; k >= 0; k--)
    rest[k] = rest[k + 1]! + all.reduce((most, a) => Math.max(most, a.says[k]!), least);
  return rest;
}
