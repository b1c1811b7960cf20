/** So many square roots: what this machine needs for them tells how its other times compare with those of another. */
const ROOTS = 3e8;

/** A fixed piece of arithmetic, milliseconds; 1,400 on the machine that the figures in the notes come from, at rest. */
export function calibrationMs(): number {
  const begun = performance.now();
  let sum = 0;
  for (let k = 1; k <= ROOTS; k++) sum += Math.sqrt(k);
  if (!(sum > 0)) throw new Error('The loop was left out.');
  return performance.now() - begun;
}
