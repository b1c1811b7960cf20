import { describe, expect, it } from 'vitest';
import { fromRuler } from '../instruments/index.ts';
import type { FitOutOne } from '../schema/upgrade.ts';
import { house, machine } from '../__tests__/machines.ts';
import { buildModel } from './model.ts';
import { passes, ruler } from './ruler.ts';
import { Tracer } from './trace.ts';

/** Expected readings of a sound machine whose figures are pinned, worked by hand. */
const pin = (value: number) => ({ low: value, high: value, source: 'manual', note: '' }) as const;
const pinned = (change: Partial<FitOutOne> = {}) =>
  new Tracer(
    machine(change, {
      'battery.restVolts': pin(12.6),
      'battery.ohms': pin(0.01),
      'live-clamp.ohms': pin(0.0005),
      'feed.ohms': pin(0.02),
      'fuse.ohms': pin(0.005),
      'fuse.holderOhms': pin(0.005),
      'switch.ohms': pin(0.02),
      'coil-feed.ohms': pin(0.02),
      'ballast.ohms': pin(1.5),
      'coil.primaryOhms': pin(1.5),
      'coil-minus.ohms': pin(0.02),
      'points.ohms': pin(0.03),
      'body.ohms': pin(0.01),
      'strap.ohms': pin(0.0005),
      'starter.ohms': pin(0.06),
      'warning-lamp.watts': pin(2.2),
    }),
    house,
  );
const middle = (tracer: Tracer, id: string): number => {
  const predicted = tracer.weigher.ensemble([]).predict(tracer.weigher.check(id)!);
  if (predicted.kind !== 'number') throw new Error('words');
  return fromRuler(predicted.at[0]!, 'voltage');
};

describe('a machine of known figures, by Ohm’s law', () => {
  const tracer = pinned();
  // Loop: 0.01 + 0.0005 + 0.02 + 0.01 + 0.02 + 0.02 + 1.5 + 1.5 + 0.02 + 0.03 + 0.01 + 0.0005 Ω
  const amps = 12.6 / 3.141;
  it('coil feed with the points closed is about half the battery behind a ballast', () => {
    expect(middle(tracer, 'coil-feed-closed')).toBeCloseTo(amps * (1.5 + 0.02 + 0.03 + 0.01), 1);
  });
  it('points drop what their contact does', () => {
    expect(middle(tracer, 'points-drop')).toBeCloseTo(amps * 0.03, 2);
  });
  it('points open, the whole battery stands at the coil’s far terminal', () => {
    expect(middle(tracer, 'coil-minus-open')).toBeCloseTo(12.6, 1);
  });
  it('the starter pulls the battery down', () => {
    // 12.6 V behind 0.01 Ω, into 0.06 Ω and the joints; the ignition's own 4 A besides.
    const starter = 12.6 * (1 - 0.01 / 0.071);
    expect(middle(tracer, 'battery-cranking')).toBeCloseTo(starter - 0.03, 1);
  });
  it('positive earth reads alike, since the leads are swapped by role', () => {
    const positive = pinned({ earth: 'positive' });
    for (const id of ['coil-feed-closed', 'points-drop', 'battery-cranking', 'coil-minus-open'])
      expect(middle(positive, id)).toBeCloseTo(middle(tracer, id), 6);
    expect(positive.weigher.check('coil-feed-closed')!.touch).toMatch(/^Touch black to/);
    expect(tracer.weigher.check('coil-feed-closed')!.touch).toMatch(/^Touch red to/);
  });
  it('a changed plate value changes the expected reading', () => {
    const other = new Tracer(machine({}, { 'coil.primaryOhms': pin(3.4) }), house);
    const check = other.weigher.check('coil-primary')!;
    expect(passes(other.weigher, check, { kind: 'number', value: 3.4 })).toBe(true);
    expect(passes(tracer.weigher, tracer.weigher.check('coil-primary')!, { kind: 'number', value: 3.4 })).toBe(false);
  });
});

describe('a voltmeter against a lamp on a corroded joint', () => {
  it('full volts unloaded, little under load', () => {
    const tracer = pinned();
    const corroded = tracer.model.faults.find((f) => f.id === 'coil-feed.corroded')!;
    const at = (id: string) => ruler(tracer.weigher, tracer.weigher.check(id)!, [corroded]);
    const [open, closed] = [at('coil-feed-open'), at('coil-feed-closed')];
    expect(open.suspects[0]!.low).toBeGreaterThan(10);
    expect(closed.suspects[0]!.low).toBeLessThan(closed.well.low * 0.6);
  });
});

describe('what a layout offers', () => {
  it('has a sound band for every check on every fit-out', () => {
    for (const volts of [6, 12] as const)
      for (const ballast of ['none', 'external', 'bypassed'] as const)
        for (const cylinders of [4, 6, 8] as const) {
          const tracer = new Tracer(machine({ volts, ballast, cylinders, fused: volts === 12 }), house);
          for (const check of tracer.model.checks) {
            const { well, dimension } = ruler(tracer.weigher, check, []);
            if (dimension) expect(well.openShare === 1 || well.edge!.low < well.edge!.high, check.id).toBe(true);
            else expect(Math.max(...Object.values(well.words)), check.id).toBeGreaterThan(0.5);
          }
        }
  });
  it('tells every two repairs apart by at least one check', () => {
    const tracer = new Tracer(machine(), house);
    const seen = tracer.model.faults.filter((f) => (f.part.cylinder ?? 1) === 1);
    const blind: string[] = [];
    for (const [i, a] of seen.entries())
      for (const b of seen.slice(i + 1)) {
        if (a.repairId === b.repairId) continue;
        if (!tracer.model.checks.some((c) => tracer.separation([a], [b], c) > 0.22)) blind.push(`${a.id} / ${b.id}`);
      }
    expect(blind).toEqual([]);
  }, 60_000);
  it('drops checks for instruments that the shop does not have', () => {
    const poor = buildModel(machine(), { ...house, owns: ['eyes', 'test lamp'] });
    expect(poor.checks.some((c) => c.instrument === 'voltmeter')).toBe(false);
    expect(poor.checks.some((c) => c.id === 'lamp-cranking')).toBe(true);
  });
});
