import { describe, expect, it } from 'vitest';
import { BREATHING } from '../__tests__/breathingMachines.ts';
import { FUELLED } from '../__tests__/fuelMachines.ts';
import { house, machine } from '../__tests__/machines.ts';
import { Scene } from '../machine/scene.ts';
import { drawSound } from '../tracing/draw.ts';
import { buildModel } from '../tracing/model.ts';
import type { MachineBody } from '../schema/machine.ts';
import { carriedOff, clearingOf, strokesToClear } from './clearing.ts';

const sceneOf = (body: MachineBody) => {
  const model = buildModel(body, house);
  return new Scene(
    model.machine,
    drawSound(model, () => 0.5),
  );
};
const car = sceneOf(BREATHING['with spark, fuel and timing']!);

describe('what a stroke of air carries off', () => {
  it('by hand, at 20 °C: 30 kPa of vapour in 101 kPa, 3.28 times as heavy, fifteen hundredths of it: about three charges', () => {
    expect(carriedOff(20, 101_325)).toBeCloseTo(0.15 * (95 / 29) * (30 / 71.325) * 14.7, 9);
    expect(carriedOff(20, 101_325)).toBeCloseTo(3, 0);
  });
  it('is half as much vapour eighteen degrees colder, and no more than boils off when hot', () => {
    expect(carriedOff(2, 101_325)).toBeLessThan(0.5 * carriedOff(20, 101_325));
    expect(carriedOff(70, 101_325)).toBe(8);
  });
});

describe('strokes until it lights', () => {
  it.each([
    [90, 3],
    [90, 1.4],
    [180, 5],
  ])('%d charges of liquid, %d carried off at first: stroke by stroke it comes to the same', (wet, first) => {
    let [left, strokes] = [wet, 0];
    while (left > 0.2 * wet || first * Math.sqrt(left / wet) + 0.3 > 2.1) {
      left -= first * Math.sqrt(left / wet);
      strokes++;
    }
    expect(Math.abs(strokes - strokesToClear(wet, first))).toBeLessThan(2);
  });
});

describe('a drowned engine', () => {
  it('on a mild day: two or three bursts of the starter, as mechanics do it, before the plugs come out', () => {
    const mild = clearingOf(car, 20)!;
    expect(mild.seconds).toBeGreaterThan(10);
    expect(mild.seconds).toBeLessThan(35);
    expect(mild.bursts).toBe(Math.ceil(mild.seconds / 10));
    expect(mild.first).toBe('turn it over');
    // The rests of a minute between the bursts are most of it.
    expect(mild.turning * 60).toBeCloseTo(mild.seconds + (mild.bursts! - 1) * 60, 6);
  });
  it('cold takes longer and hot less: in the frost the plugs come out first', () => {
    const [cold, mild, hot] = [-5, 20, 60].map((t) => clearingOf(car, t)!);
    expect(cold!.seconds).toBeGreaterThan(2 * mild!.seconds);
    expect(hot!.seconds).toBeLessThan(mild!.seconds);
    expect(cold!.first).toBe('plugs out');
  });
  it('with a cord it is pulls, and without a spark there is nothing to drown', () => {
    const body = FUELLED[Object.keys(FUELLED)[0]!]!;
    const pulled = {
      ...body,
      fitOut: {
        ...body.fitOut,
        trails: [
          ...body.fitOut.trails.filter((t) => t.trail !== 'crank'),
          { trail: 'crank' as const, kind: 'pull' as const, options: { interlocks: [] } },
        ],
      },
    };
    const { pulls, bursts, strokes } = clearingOf(sceneOf(pulled as MachineBody), 20)!;
    expect(bursts).toBeNull();
    expect(pulls).toBe(Math.ceil((strokes * 2) / 3));
    expect(clearingOf(sceneOf(machine()), 20)).toBeNull();
  });
});
