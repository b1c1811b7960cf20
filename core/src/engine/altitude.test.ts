import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BREATHING } from '../__tests__/breathingMachines.ts';
import { house } from '../__tests__/machines.ts';
import { STOPPED } from '../__tests__/stoppedMachines.ts';
import { Scene } from '../machine/scene.ts';
import { CRANKING, IDLE, RUNNING } from '../machine/state.ts';
import { idleVacuum } from '../trails/air/breathing.ts';
import { vacuumAt } from '../trails/stop/holding.ts';
import { drawSound } from '../tracing/draw.ts';
import { buildModel } from '../tracing/model.ts';
import { howItRuns } from './howItRuns.ts';
import { airAt, jetFor } from './altitude.ts';
import { pressed } from './compressing.ts';

describe('air at a height', () => {
  it.each([
    // The standard atmosphere's own tables: metres, kPa, kg/m³.
    [0, 101.33, 1.225],
    [1000, 89.87, 1.112],
    [2000, 79.5, 1.007],
    [3000, 70.11, 0.909],
  ])('%d m: as the tables have it', (metres, kilopascals, density) => {
    expect(airAt(metres).pascals / 1e3).toBeCloseTo(kilopascals, 1);
    expect(airAt(metres).density * 1.225).toBeCloseTo(density, 2.7);
  });
  it('is thinner the higher, and its pressure falls faster than its density', () => {
    const height = fc.double({ min: -400, max: 4900, noNaN: true });
    fc.assert(
      fc.property(height, fc.double({ min: 1, max: 100, noNaN: true }), (metres, more) => {
        const [low, high] = [airAt(metres), airAt(metres + more)];
        return high.pascals < low.pascals && high.density / low.density > high.pascals / low.pascals;
      }),
    );
  });
});

describe('jets for a height', () => {
  it('by hand: a 1.40 mm jet of the coast is 1.35 mm at 1500 m, where the air has 0.864 of its mass', () => {
    expect(airAt(1500).density).toBeCloseTo(0.864, 3);
    expect(jetFor(1.4e-3, 0, 1500) * 1e3).toBeCloseTo(1.4 * 0.864 ** 0.25, 3);
    expect(jetFor(1.4e-3, 0, 1500) * 1e3).toBeCloseTo(1.35, 2);
  });
  it('there and back is the same jet', () => {
    expect(jetFor(jetFor(1.2e-3, 200, 2400), 2400, 200)).toBeCloseTo(1.2e-3, 12);
  });
});

describe('a machine that works high up', () => {
  const body = BREATHING['with spark, fuel and timing']!;
  const at = (altitudeMetres: number) => {
    const model = buildModel({ ...body, fitOut: { ...body.fitOut, altitudeMetres } }, house);
    const sound = drawSound(model, () => 0.5);
    return new Scene(model.machine, sound);
  };
  const [coast, high] = [at(0), at(1500)];
  it('shows the 3 to 4 kPa less vacuum for each 300 m that SOURCES gives, and idles as it was set', () => {
    const less = (idleVacuum(coast) - idleVacuum(high)) / 5;
    expect(less).toBeGreaterThan(2.2e3);
    expect(less).toBeLessThan(4e3);
    expect(high.see('idles', IDLE).rpm / coast.see('idles', IDLE).rpm).toBeCloseTo(1, 1);
  });
  it('mixes richer by the root of what the air has lost', () => {
    for (const state of [CRANKING, IDLE])
      expect(high.see('richness', state) / coast.see('richness', state)).toBeCloseTo(1 / Math.sqrt(0.864), 2);
  });
  it('runs, and no cylinder is called low for the height alone', () => {
    expect(howItRuns(high, RUNNING).noneDead).toBeGreaterThan(0.97);
    const squeezed = { litres: 0.4, ratio: 8.5, shutBefore: 125, rpm: 180, squareMetres: 0.3e-6 };
    const thin = airAt(1500).pascals;
    const shares = [pressed(squeezed), pressed({ ...squeezed, outside: thin })].map((p) => p.pascals);
    // The gauge shows as much less as the air outside is: all pressures are in its proportion.
    expect(shares[1]! / shares[0]!).toBeCloseTo(thin / 101_325, 9);
  });
});

describe('a vacuum stop high up', () => {
  const body = Object.values(STOPPED).find((m) =>
    m.fitOut.trails.some((t) => t.trail === 'stop' && t.kind === 'vacuum'),
  )!;
  const at = (altitudeMetres: number) => {
    const model = buildModel({ ...body, fitOut: { ...body.fitOut, altitudeMetres } }, house);
    return new Scene(
      model.machine,
      drawSound(model, () => 0.5),
    );
  };
  it('has seven tenths of its vacuum at 3000 m, where the air has seven tenths of its pressure', () => {
    expect(vacuumAt(at(3000), 'stop').source / vacuumAt(at(0), 'stop').source).toBeCloseTo(70.11 / 101.33, 3);
  });
  it('still stops the engine there', () => {
    expect(at(3000).see('stops', RUNNING)).toBeGreaterThan(0.97);
  });
});
