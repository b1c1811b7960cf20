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
