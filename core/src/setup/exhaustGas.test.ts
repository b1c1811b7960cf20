import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coOf, gasSays, lambdaByCo, lambdaOf, undiluted, USUAL_CO } from './exhaustGas.ts';

/** Burns CH1.7261O0.0176 in air with nothing left over but what equilibrium asks, and says the dry gas in per cent. */
function burnt(lambda: number) {
  const air = lambda * (1 + 1.7261 / 4 - 0.0176 / 2);
  if (lambda >= 1) {
    const o2 = air - (1 + 1.7261 / 4 - 0.0176 / 2);
    const all = 1 + o2 + 3.76 * air;
    return { co: 0, co2: 100 / all, o2: (100 * o2) / all, hcPpm: 0 };
  }
  const co = coOf(lambda);
  // Carbon is kept: what is not monoxide is dioxide; of the dry gas it takes the rest of carbon's share.
  let [low, high] = [0, 1];
  for (let k = 0; k < 60; k++) {
    const m = (low + high) / 2;
    const water = 2 * air + 0.0176 - 2 + m;
    const free = 1.7261 / 2 - water;
    const share = (100 * m) / (1 + Math.max(0, free) + 3.76 * air);
    if (share > co) high = m;
    else low = m;
  }
  return { co, co2: (co * (1 - low)) / low, o2: 0, hcPpm: 0 };
}

describe('an exhaust gas at idle', () => {
  it('by hand: petrol that burned whole leaves 15.4 % of dioxide and no oxygen, and is just right', () => {
    // One carbon gives one of dioxide; 1.4227 of oxygen brings 3.76 times as much nitrogen: 1 of 6.349.
    expect(lambdaOf({ co: 0, co2: 100 / (1 + 3.76 * 1.422725), o2: 0, hcPpm: 0 })).toBeCloseTo(1, 6);
    // A twentieth of air too much: .0711 of oxygen is left of 6.688 in all.
    expect(lambdaOf({ co: 0, co2: 100 / 6.688, o2: 7.11 / 6.688, hcPpm: 0 })).toBeCloseTo(1.05, 3);
  });
  it('by two ways alike: what the balance makes of a gas is what it was burned from', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.75, max: 1.2, noNaN: true }), (lambda) => {
        expect(lambdaOf(burnt(lambda))).toBeCloseTo(lambda, 2);
      }),
    );
  });
  it('as engines give it: some four per cent of monoxide at thirteen to one, seven at twelve to one', () => {
    // Gas over air to fuel as the textbooks draw it from engines on the bench; 14.7 to one is right.
    expect(Math.abs(coOf(13 / 14.7) - 4)).toBeLessThan(0.7);
    expect(Math.abs(coOf(12 / 14.7) - 7)).toBeLessThan(0.7);
    for (const co of [0.5, 2, 4, 7]) expect(coOf(lambdaByCo(co))).toBeCloseTo(co, 6);
  });
  it('the richer the more monoxide', () => {
    const along = [0.7, 0.8, 0.9, 0.95, 0.99].map(coOf);
    expect([...along].sort((a, b) => b - a)).toEqual(along);
  });
  it('says what it is: rich, lean, thinned by other air, unburnt', () => {
    expect(gasSays({ co: 6 }, USUAL_CO)).toBe('rich');
    expect(gasSays({ co: 0.3 }, USUAL_CO)).toBe('lean');
    expect(gasSays({ co: 2 }, USUAL_CO)).toBe('right');
    expect(gasSays({ co: 1, co2: 7, o2: 8 }, USUAL_CO)).toBe('diluted');
    expect(gasSays({ co: 2, co2: 10, o2: 5, hcPpm: 2500 }, USUAL_CO)).toBe('misfires');
    // High where nothing burns badly and no air came in: rich alone.
    expect(gasSays({ co: 6, co2: 9, o2: 0.5, hcPpm: 1500 }, USUAL_CO)).toBe('rich');
  });
  it('thinned to a half, monoxide is brought back to what it was', () => {
    expect(undiluted(3, 12)).toBeCloseTo(3, 9);
    expect(undiluted(1.5, 6)).toBeCloseTo(3, 9);
  });
});
