import { describe, expect, it } from 'vitest';
import { labelPlace } from './labels.ts';

const WIDTH = 600;
const over = (place: { from: number; to: number }, left: number, right: number) =>
  place.from < right && left < place.to;

describe('the label of a bar', () => {
  it('stands beside it, on the side where there is more room', () => {
    const early = labelPlace('points burnt', { left: 50, right: 150 }, WIDTH, undefined);
    expect(early).toMatchObject({ above: false });
    expect(early.from).toBeGreaterThan(150);
    const late = labelPlace('points burnt', { left: 450, right: 580 }, WIDTH, undefined);
    expect(late.to).toBeLessThan(450);
  });
  it('goes to the other side of the bar when the reading’s line would run through it', () => {
    const bar = { left: 200, right: 300 };
    expect(labelPlace('points burnt', bar, WIDTH, undefined).from).toBeGreaterThan(300);
    expect(labelPlace('points burnt', bar, WIDTH, 340).to).toBeLessThan(200);
  });
  it('has a line of its own where the bar leaves no room, and keeps out of the reading’s way there', () => {
    const bar = { left: 10, right: 590 };
    for (const reading of [undefined, 30, 300, 560]) {
      const place = labelPlace('points burnt', bar, WIDTH, reading);
      expect(place.above).toBe(true);
      expect(place.from).toBeGreaterThanOrEqual(0);
      expect(place.to).toBeLessThanOrEqual(WIDTH);
      if (reading !== undefined) expect(over(place, reading - 1, reading + 1)).toBe(false);
    }
  });
  it('never lies on its bar, wherever bar and reading are', () => {
    for (let left = 0; left < WIDTH; left += 37)
      for (let right = left + 5; right <= WIDTH; right += 61)
        for (const reading of [undefined, 100, 300, 500]) {
          const place = labelPlace('coil primary winding open', { left, right }, WIDTH, reading);
          if (!place.above) expect(over(place, left, right), `${left} ${right} ${reading}`).toBe(false);
          expect(place.from).toBeGreaterThanOrEqual(0);
          expect(place.to).toBeLessThanOrEqual(WIDTH);
        }
  });
});
