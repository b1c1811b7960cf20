const product = (of: readonly number[]): number => of.reduce((p, v) => p * v, 1);

/** Of several that fail each with its own chance: that none does, that each does alone, that all do. */
export function ofSeveral(each: readonly number[]): { none: number; alone: number[]; all: number } {
  return {
    none: product(each.map((v) => 1 - v)),
    alone: each.map((v, k) => v * product(each.map((o, i) => (i === k ? 1 : 1 - o)))),
    all: product(each),
  };
}
