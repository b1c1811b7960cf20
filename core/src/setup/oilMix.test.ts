import { describe, expect, it } from 'vitest';
import { corrected, oilFor } from './oilMix.ts';

const litre = 1e-3;
describe('oil in the fuel', () => {
  it('by hand: 100 ml to five litres at 50:1', () => {
    expect(oilFor(5 * litre, 50)).toBeCloseTo(100e-6, 12);
  });
  it('by hand: 5.1 l of 50:1 hold 100 ml; for 25:1 as much again, for 100:1 five litres of petrol', () => {
    const there = { cubicMetres: 5.1 * litre, ratio: 50 };
    expect(corrected(there, 25)).toEqual({ oil: expect.closeTo(100e-6, 12) as number, petrol: 0 });
    expect(corrected(there, 100)).toEqual({ oil: 0, petrol: expect.closeTo(5 * litre, 12) as number });
    expect(corrected(there, 50)).toEqual({ oil: 0, petrol: expect.closeTo(0, 12) as number });
  });
  it('what was corrected is the mix that was asked for', () => {
    const there = { cubicMetres: 7.3 * litre, ratio: 32 };
    for (const ratio of [16, 25, 32, 40, 50, 100]) {
      const { oil, petrol } = corrected(there, ratio);
      const held = there.cubicMetres / 33;
      expect((there.cubicMetres - held + petrol) / (held + oil)).toBeCloseTo(ratio, 9);
    }
  });
});
