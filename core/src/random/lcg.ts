/** A seeded source of numbers in [0, 1). Passed in wherever chance is needed. */
export type Random = () => number;

/**
 * 32-bit mixing generator (splitmix-style increments with an xorshift-multiply finaliser): small, fast,
 * good enough for drawing machines; not for secrets.
 */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x9e3779b9) >>> 0;
    let z = state;
    z = Math.imul(z ^ (z >>> 16), 0x21f0aaad);
    z = Math.imul(z ^ (z >>> 15), 0x735a2d97);
    return ((z ^ (z >>> 15)) >>> 0) / 4294967296;
  };
}

/** A seed from a name: the same name draws the same wherever it stands in a list (FNV-1a, 32 bits). */
export function seedOf(name: string): number {
  let hash = 0x811c9dc5;
  for (const letter of name) hash = Math.imul(hash ^ letter.codePointAt(0)!, 0x01000193);
  return hash >>> 0;
}

/** The numbers below `count`, shuffled (Fisher and Yates). */
export function shuffled(count: number, random: Random): number[] {
  const order = Array.from({ length: count }, (_, k) => k);
  for (let k = count - 1; k > 0; k--) {
    const other = Math.floor(random() * (k + 1));
    [order[k], order[other]] = [order[other]!, order[k]!];
  }
  return order;
}

/** Standard normal by Box and Muller. */
export function normal(random: Random): number {
  const u = Math.max(random(), 1e-12);
  return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * random());
}

/** Standard normal distribution function; error below 1.5e-7 (Abramowitz and Stegun 7.1.26). */
export function normalCdf(z: number): number {
  const t = 1 / (1 + 0.3275911 * (Math.abs(z) / Math.SQRT2));
  const poly = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const tail = 0.5 * poly * Math.exp((-z * z) / 2);
  return z >= 0 ? 1 - tail : tail;
}

export const logistic = (x: number): number => 1 / (1 + Math.exp(-x));
