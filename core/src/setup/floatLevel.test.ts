import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FLOAT_NEAR, floatSays, mainJetAt, THROATS } from './floatLevel.ts';

describe('a float on the bench', () => {
  it('by hand: 18 mm found where 15 is wanted leaves the fuel 3 mm low, three quarters of a millimetre at the tongue', () => {
    const says = floatSays({ found: 18e-3, wanted: 15e-3 }, 4);
    expect(says.lowBy).toBeCloseTo(3e-3, 9);
    expect(says.bend).toBeCloseTo(0.75e-3, 9);
    expect(says.way).toBe('away from the needle');
  });
  it('fuel too high asks for the tongue towards its needle; near enough is left', () => {
    expect(floatSays({ found: 12e-3, wanted: 15e-3 }, 4).way).toBe('towards the needle');
    expect(floatSays({ found: 15.4e-3, wanted: 15e-3 }, 4)).toMatchObject({ way: 'leave it', bend: 0 });
  });
  it('bent by what was said, a lever brings it where it was wanted', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 30, noNaN: true }),
        fc.double({ min: 2, max: 8, noNaN: true }),
        (mm, leverage) => {
          const [found, wanted] = [mm * 1e-3, 15e-3];
          const { bend, way } = floatSays({ found, wanted }, leverage);
          const moved = bend * leverage * (way === 'towards the needle' ? 1 : -1);
          expect(Math.abs(found + (way === 'leave it' ? 0 : moved) - wanted)).toBeLessThanOrEqual(FLOAT_NEAR + 1e-12);
        },
      ),
    );
  });
});

describe('what a level does to the mixture', () => {
  it('by hand: 3 mm low as the main jet comes in is four to five per cent less fuel', () => {
    // 745 · 9.81 · .005 = 36.5 Pa of 300; three millimetres are 21.9 more: √(241.6 / 263.5).
    expect(mainJetAt(3e-3, 300)).toBeCloseTo(Math.sqrt(241.53 / 263.46), 3);
  });
  it('tells most where little is drawn, and hardly anything wide open', () => {
    const less = Object.values(THROATS).map((pascal) => 1 - mainJetAt(3e-3, pascal));
    expect(less[0]).toBeGreaterThan(0.03);
    expect(less[2]).toBeLessThan(0.005);
    expect([...less].sort((a, b) => b - a)).toEqual(less);
  });
  it('low enough nothing comes out at all; too high is richer', () => {
    expect(mainJetAt(50e-3, 300)).toBe(0);
    expect(mainJetAt(-3e-3, 300)).toBeGreaterThan(1);
    expect(mainJetAt(0, 300)).toBe(1);
  });
});
