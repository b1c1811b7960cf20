import { afterEach, describe, expect, it, vi } from 'vitest';
import { alone, beside } from './turns.ts';

/** Locks as a browser has them, for one name: shared ones together, an exclusive one by itself. */
function fakeLocks() {
  const held = { shared: 0, exclusive: false };
  const waiting: (() => void)[] = [];
  const free = () => waiting.shift()?.();
  return {
    async request(_name: string, a: unknown, b?: unknown) {
      const options = (b === undefined ? {} : a) as { mode?: string; ifAvailable?: boolean };
      const work = (b ?? a) as (lock: object | null) => Promise<unknown>;
      const shared = options.mode === 'shared';
      const busy = () => held.exclusive || (!shared && held.shared > 0);
      if (busy() && options.ifAvailable) return work(null);
      while (busy()) await new Promise<void>((done) => waiting.push(done));
      if (shared) held.shared++;
      else held.exclusive = true;
      try {
        return await work({});
      } finally {
        if (shared) held.shared--;
        else held.exclusive = false;
        free();
      }
    },
  };
}
/** Work that ends when it is told to. */
function held<T>(value: T) {
  let end = () => {};
  const work = () => new Promise<T>((done) => (end = () => done(value)));
  return { work, end: () => end() };
}

afterEach(() => vi.unstubAllGlobals());
const withLocks = () => vi.stubGlobal('navigator', { locks: fakeLocks() });

describe('pages of a browser that send', () => {
  it('several send at once what goes up at once; nobody does while one is at what waited', async () => {
    withLocks();
    const one = held('one');
    const first = beside(one.work);
    expect(await beside(() => Promise.resolve('two'))).toEqual({ done: 'two' });
    const order: string[] = [];
    const waited = alone(async () => void order.push('what waited'));
    one.end();
    expect(await first).toEqual({ done: 'one' });
    await waited;
    expect(order).toEqual(['what waited']);

    const long = held('long');
    const busy = alone(long.work);
    await Promise.resolve();
    const never = vi.fn(() => Promise.resolve('never'));
    expect(await beside(never)).toBeUndefined();
    expect(never).not.toHaveBeenCalled();
    long.end();
    expect(await busy).toBe('long');
  });
  it('without locks, as on a plain address, each just sends', async () => {
    vi.stubGlobal('navigator', {});
    expect(await alone(() => Promise.resolve(1))).toBe(1);
    expect(await beside(() => Promise.resolve(2))).toEqual({ done: 2 });
  });
});
