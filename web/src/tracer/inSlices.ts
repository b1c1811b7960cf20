/** So long the worker is deaf to whoever asks it something. */
const SLICE_MS = 30;

/**
 * Does a long piece of work so that others are heard in between, until it is done or no longer wanted. `others` waits
 * until they have been heard.
 */
export async function inSlices(
  work: Iterator<unknown>,
  wanted: () => boolean,
  others: () => Promise<void> = () => new Promise((heard) => setTimeout(heard)),
): Promise<void> {
  while (wanted()) {
    const until = performance.now() + SLICE_MS;
    do if (work.next().done) return;
    while (performance.now() < until);
    await others();
  }
}
