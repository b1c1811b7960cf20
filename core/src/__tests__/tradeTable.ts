import { expect, it } from 'vitest';
import type { MachineBody } from '../schema/machine.ts';
import { readsLike } from './readsLike.ts';

/** OL: more than any ohmmeter of the shop shows. */
export const OL = 2e6;

/**
 * What a mechanic reads: check, fault (none: a sound machine), and the word, or the band of the figure in SI. From the
 * trade, never from the model.
 */
export type TradeRow = readonly [
  check: string,
  fault: string | undefined,
  reads: string | readonly [low: number, high: number],
];

/** One test a row: the likeliest word, or a figure within its band. */
export function readsAsInTheTrade(body: MachineBody, rows: readonly TradeRow[]): void {
  it.each(rows)('%s with %s: %j', (check, fault, reads) => {
    const read = readsLike(body, check, fault);
    if (typeof reads === 'string') expect(read).toBe(reads);
    else {
      expect(read).toBeGreaterThanOrEqual(reads[0]);
      expect(read).toBeLessThanOrEqual(reads[1]);
    }
  });
}
