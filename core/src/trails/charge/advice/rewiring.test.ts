import { describe, expect, it } from 'vitest';
import { CHARGED } from '../../../__tests__/chargeMachines.ts';
import { house } from '../../../__tests__/machines.ts';
import { Scene } from '../../../machine/scene.ts';
import { measure } from '../../../network/transient/measure.ts';
import { solveTransient } from '../../../network/transient/transient.ts';
import { readNetlist } from '../../../network/index.ts';
import type { MachineBody } from '../../../schema/machine.ts';
import { buildModel } from '../../../tracing/model.ts';
import { drawSound } from '../../../tracing/draw.ts';
import { copperFor } from './copper.ts';
import { bestWay, wiredWays, type Wired } from './rewiring.ts';
import { rewired, rewiredNetlist } from './rewiredCircuit.ts';

const VOLTS = 13.5;
const HERTZ = 6 / 60;

function of(name: string, loads: readonly number[] = []) {
  const machine = structuredClone(CHARGED[name]) as MachineBody;
  for (const t of machine.fitOut.trails)
    if (t.trail === 'charge') t.options.loads = loads.map((watts) => ({ label: 'lamp', watts }));
  const model = buildModel(machine, house);
  const scene = new Scene(
    model.machine,
    drawSound(model, () => 0.5),
  );
  return { scene, ways: wiredWays(scene) };
}

/** Wave by wave: amperes into the battery, mean, and in the first winding, effective. */
function byWaves(scene: Scene, { way }: Wired, rpm: number, holding: boolean) {
  const until = 16 / (rpm * HERTZ);
  const run = solveTransient(
    { elements: rewired(scene, way, rpm, 1e-3, holding, VOLTS), couplings: [] },
    { until, fromInitial: true, longest: 1 / (400 * rpm * HERTZ) },
  );
  if (!run.ok) throw new Error(run.code);
  const last = [until / 2, until] as const;
  const winding = run.amps('coil1');
  return {
    battery: measure({ at: run.at, values: run.amps('battery') }, ...last).mean,
    winding: Math.sqrt(measure({ at: run.at, values: winding.map((i) => i ** 2) }, ...last).mean),
  };
}

describe.each(['three phases under a flywheel', 'one phase, both halves', 'one phase, one half'])(
  '%s, rewired',
  (name) => {
    const { scene, ways } = of(name, [5]);
    // Of one half of the swings the shop's rule is kept, about half of both: a winding without saturation would give more.
    const whole = ways.filter((w) => w.way.control === 'series' && w.way.legs > 1);
    it.each(whole.map((w) => [w.way.label, w] as const))(
      '%s: the most it gives, fast, is that of its waves',
      (_l, wired) => {
        const { battery } = byWaves(scene, wired, wired.fast.rpm, false);
        expect(Math.abs(wired.fast.mostAmps / battery - 1), `${wired.fast.mostAmps} ${battery}`).toBeLessThan(0.05);
      },
    );
    it('a shunt unit carries the shorted winding’s own current, whatever is taken', () => {
      const shunt = ways.find((w) => w.way.control === 'shunt')!;
      const waves = byWaves(scene, shunt, shunt.fast.rpm, true);
      expect(Math.abs(waves.battery)).toBeLessThan(0.05);
      expect(shunt.fast.legAmps / waves.winding).toBeGreaterThan(0.8);
      expect(shunt.fast.legAmps / waves.winding).toBeLessThan(1.1);
    });
    it('a series unit is cooler than a shunt where little is taken, and sees the open winding’s volts', () => {
      for (const w of ways.filter((x) => x.way.control === 'series')) {
        const shunt = ways.find((x) => x.way.id === w.way.id.replace('series', 'shunt'))!;
        expect(w.fast.windingWatts).toBeLessThan(shunt.fast.windingWatts);
        expect(w.fast.unitWatts).toBeLessThan(shunt.fast.unitWatts);
        expect(w.fast.openVolts).toBeGreaterThan(2 * shunt.fast.openVolts);
      }
    });
    it('is written as a netlist that reads back', () => {
      for (const wired of ways) {
        const read = readNetlist(rewiredNetlist(scene, wired, VOLTS));
        expect(read.ok, JSON.stringify(read)).toBe(true);
      }
    });
  },
);

describe('which way to fit', () => {
  it('both halves of a swing give twice as much as one', () => {
    const { ways } = of('one phase, one half');
    const at = (id: string) => ways.find((w) => w.way.id === id)!.fast.mostAmps;
    expect(at('both-series') / at('one-series')).toBeGreaterThan(1.8);
  });
  it('leaves a machine as it is where half its swings carry its lamp, and lifts the earth where they do not', () => {
    expect(bestWay(of('one phase, one half', [15]).ways)!.way).toMatchObject({ legs: 1, alters: undefined });
    const more = bestWay(of('one phase, one half', [75]).ways)!;
    expect(more.way.legs).toBe(2);
    expect(more.way.alters).toMatch(/Lift the coil’s earthed end/);
  });
  it('says when none is enough', () => {
    expect(bestWay(of('three phases under a flywheel', [900]).ways)!.verdict).toBe('not enough');
  });
  it('has none for a machine with a wound field', () => {
    expect(of('alternator with a lamp').ways).toEqual([]);
  });
});

describe('copper', () => {
  it('ten amperes over two metres of a twelve-volt loom: by hand 2 · 2 m · 0.0206 · 10 A / 2.5 mm² = 0.33 V', () => {
    expect(copperFor(10, 2, 12)).toMatchObject({ mm2: 2.5, fuseAmps: 15 });
    expect(copperFor(10, 2, 12).lostVolts).toBeCloseTo(0.33, 2);
  });
  it('a longer way asks for more of it, six volts for more still, and the wire outlasts its fuse', () => {
    expect(copperFor(10, 5, 12).mm2).toBeGreaterThan(2.5);
    expect(copperFor(10, 2, 6).mm2).toBeGreaterThan(copperFor(10, 2, 12).mm2);
    expect(copperFor(25, 0.1, 12)).toMatchObject({ fuseAmps: 40, mm2: 10 });
  });
  it('refuses what no wire carries', () => {
    expect(() => copperFor(300, 1, 12)).toThrow(RangeError);
  });
});
