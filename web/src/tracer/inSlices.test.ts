import { afterEach, describe, expect, it, vi } from 'vitest';
import { inSlices } from './inSlices.ts';

/** Pieces of ten milliseconds each, by a clock that only they move. */
function pieces(most: number) {
  let now = 0;
  vi.spyOn(performance, 'now').mockImplementation(() => now);
  const done: number[] = [];
  function* work() {
    for (let k = 0; k < most; k++) {
      now += 10;
      done.push(k);
      yield;
    }
  }
  return { work: work(), done };
}
afterEach(() => void vi.restoreAllMocks());

describe('long work in slices', () => {
  it('is done to its end, and others are heard every few pieces', async () => {
    const { work, done } = pieces(10);
    const heard: number[] = [];
    await inSlices(
      work,
      () => true,
      () => Promise.resolve(void heard.push(done.length)),
    );
    expect(done).toHaveLength(10);
    expect(heard).toEqual([3, 6, 9]);
  });
  it('ends where something else is wanted meanwhile', async () => {
    const { work, done } = pieces(10);
    let wanted = true;
    await inSlices(
      work,
      () => wanted,
      () => Promise.resolve(void (wanted = false)),
    );
    expect(done).toHaveLength(3);
  });
  it('lets a message through by itself', async () => {
    const { work } = pieces(1000);
    const order: string[] = [];
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => void order.push('message');
    port2.postMessage(null);
    await inSlices(work, () => !order.includes('message'));
    order.push('left');
    expect(order).toEqual(['message', 'left']);
    port1.close();
  });
});
