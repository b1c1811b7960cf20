import type { Shown } from '@pondu/core';
import { describe, expect, it } from 'vitest';
import { hold, type Held } from './useSimulatedMeter.ts';

const nothing: Held = { now: undefined, lowest: undefined, highest: undefined, steady: undefined, lost: false };
const volts = (value: number, steady = true): Shown => ({
  text: `${value} V`,
  value: { kind: 'number', value },
  steady,
});

describe('what is held across the yard', () => {
  it('is the lowest and the highest of what stood still, not of probes on their way', () => {
    const held = [volts(0, false), volts(9.8), volts(9.2), volts(10.1), volts(3, false)].reduce(hold, nothing);
    expect(held.lowest).toEqual({ text: '9.2 V', value: 9.2 });
    expect(held.highest).toEqual({ text: '10.1 V', value: 10.1 });
    expect(held.steady?.text).toBe('10.1 V');
    expect(held.now?.text).toBe('3 V');
  });
  it('takes OL and words as they are, without a lowest', () => {
    const open = hold(nothing, { text: 'OL', value: { kind: 'open' }, steady: true });
    expect(open.steady).toEqual({ text: 'OL', value: { kind: 'open' } });
    expect(open.lowest).toBeUndefined();
  });
});
