import { describe, expect, it } from 'vitest';
import { apartBy, beatsASecond, firingsATurn } from './beats.ts';

/** Swells of two notes sounded together, counted where their envelope passes its middle upward. */
function swells(oneHz: number, otherHz: number, seconds: number): number {
  const envelope = (t: number) => Math.abs(2 * Math.cos(Math.PI * (oneHz - otherHz) * t + 0.3));
  const step = 1e-3;
  let count = 0;
  for (let t = step; t < seconds; t += step) if (envelope(t - step) < 1 && envelope(t) >= 1) count++;
  return count;
}

describe('two engines side by side', () => {
  it('by hand: fours at 1200 and 1230 swell once a second', () => {
    expect(firingsATurn(4, 'four-stroke')).toBe(2);
    expect(beatsASecond(1200, 1230, 2)).toBe(1);
    expect(apartBy(10, 10, 2)).toBe(30);
  });
  it('as often as the ear hears it of two notes', () => {
    // Sixes at 1500 and 1544 give 75 and 77.2 bursts a second.
    const firings = firingsATurn(6, 'four-stroke');
    const heard = swells((1500 / 60) * firings, (1544 / 60) * firings, 20);
    expect(heard / 20).toBeCloseTo(beatsASecond(1500, 1544, firings), 1);
    expect(apartBy(heard, 20, firings)).toBeCloseTo(44, 0);
  });
  it('a twin of two strokes bursts twice a turn', () => {
    expect(firingsATurn(2, 'two-stroke')).toBe(2);
    expect(firingsATurn(1, 'four-stroke')).toBe(0.5);
  });
});
