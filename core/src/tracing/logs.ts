/** log of a mean, from logs. */
export const meanLog = (logs: Float64Array): number =>
  Math.log(logs.reduce((sum, l) => sum + Math.exp(l), 0) / Math.max(1, logs.length));

/** log of a sum, from logs. */
export function logSum(logs: readonly number[]): number {
  const top = Math.max(...logs);
  return top + Math.log(logs.reduce((sum, l) => sum + Math.exp(l - top), 0));
}
