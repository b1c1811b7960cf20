/** Signs are missed far more often than seen where there are none. */
const IMAGINED = 0.001;
/** Chance that a person notices a sign: `keenness` when it is there, a little even when it is not. */
export const seen = (there: boolean, keenness: number): number => (there ? keenness : IMAGINED);

/** A sign that comes by degrees is now and then imagined, and seen the surer the plainer it is. */
const IMAGINED_SLIGHT = 0.015;
/** Chance that a person notices a sign that is so plain, 0…1. */
export const seenSo = (plain: number, keenness: number): number => IMAGINED_SLIGHT + keenness * plain;
/** How plain a figure shows that is not there at all at `none` and that nobody misses from `full` on; even between. */
export const plainness = (figure: number, none: number, full: number): number =>
  Math.min(1, Math.max(0, (figure - none) / (full - none)));
/** A sign that a figure gives by degrees: not at all at `none`, as surely as `keenness` from `full` on. */
export const seenFrom = (figure: number, none: number, full: number, keenness: number): number =>
  IMAGINED + (keenness - IMAGINED) * plainness(figure, none, full);

/** One look gives one word: what strikes first goes first, each by its own chance; what is left is `otherwise`. */
export function firstSeen(
  signs: readonly (readonly [word: string, chance: number])[],
  otherwise: string,
): Record<string, number> {
  let left = 1;
  const shares: Record<string, number> = {};
  for (const [word, chance] of signs) {
    shares[word] = left * chance;
    left -= shares[word];
  }
  return { ...shares, [otherwise]: left };
}
