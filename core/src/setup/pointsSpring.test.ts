import { describe, expect, it } from 'vitest';
import { parseQuantity } from '../quantity/index.ts';
import { springSays, USUAL_PULL } from './pointsSpring.ts';

/** The greatest speed at which a mass on a spring still follows a harmonic lobe, stepped through one lobe. */
function followsTo(pull: number, mass: number, lift: number): number {
  let best = 0;
  for (let omega = 10; omega < 4000; omega += 1) {
    const steps = 180;
    let holds = true;
    for (let k = 0; k < steps; k++) {
      const asked = mass * lift * omega ** 2 * -Math.cos((2 * Math.PI * k) / steps);
      if (asked > pull) holds = false;
    }
    if (!holds) break;
    best = omega;
  }
  return best;
}

describe('the spring of a pair of points', () => {
  it('by hand: a quarter of the pull holds to half the speed', () => {
    expect(springSays(USUAL_PULL.low / 4, USUAL_PULL, 5000)).toEqual({ says: 'weak', floatsFrom: 2500 });
    expect(springSays(USUAL_PULL.low, USUAL_PULL, 5000)).toEqual({ says: 'right', floatsFrom: 5000 });
    expect(springSays(9, USUAL_PULL, 5000).says).toBe('hard');
  });
  it('as a mass on a spring does it over a lobe, stepped through', () => {
    const [one, other] = [followsTo(5, 0.01, 0.4e-3), followsTo(7.2, 0.01, 0.4e-3)];
    const top = 4000;
    expect(springSays(7.2, { low: 5, high: 9 }, top).floatsFrom / top).toBeCloseTo(other / one, 2);
  });
  it('is what the trade reads on a spring balance: 20 ounces are right, 12 are weak', () => {
    const newtons = (typed: string) => {
      const read = parseQuantity(typed, 'force');
      return read.ok ? read.value : NaN;
    };
    expect(springSays(newtons('20 oz'), USUAL_PULL, 5000).says).toBe('right');
    expect(springSays(newtons('12 oz'), USUAL_PULL, 5000).says).toBe('weak');
    expect(springSays(newtons('0.6 kg'), USUAL_PULL, 5000).says).toBe('right');
  });
});
