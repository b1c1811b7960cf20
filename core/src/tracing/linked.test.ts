import { describe, expect, it } from 'vitest';
import { house, machine, noFire, reading } from '../__tests__/machines.ts';
import { AGE_WEIGHT, causesOf } from '../machine/cause.ts';
import { CAUSES } from '../trails/causes.ts';
import { chanceBeside } from './linked.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(machine({ ballast: 'external' }), house);
const { model } = tracer;
const one = (id: string) => model.faults.find((f) => f.id === id)!;
const RARE = 0.002;
const beside = (id: string, others: readonly string[]) => chanceBeside(model, one(id), others.map(one), () => RARE);

describe('what goes together', () => {
  it('a cause stands behind what it does as often as its causes say, against plain age', () => {
    const burnt = one('points.burnt');
    const causes = causesOf(CAUSES, burnt, model.machine.fit);
    const condenser = causes.find((c) => c.id === 'condenser')!;
    // Those that no part of this machine stands for are no causes here.
    const possible = causes.filter(
      (c) => c.faults.length === 0 || model.faults.some((f) => c.faults.some((k) => k.kind === f.part.kind.kind)),
    );
    const total = possible.reduce((sum, c) => sum + c.weight, AGE_WEIGHT);
    // Open or leaky: as often the one as the other. One in ten was bad enough to show before it was looked for.
    expect(beside('condenser.leaky', ['points.burnt'])).toBeCloseTo((0.1 * condenser.weight) / total / 2, 6);
  });
  it('and what it does stands beside it by the rule of Bayes: of two that are equally rare as often the other way round', () => {
    const asCause = beside('condenser.leaky', ['points.burnt']);
    expect(beside('points.burnt', ['condenser.leaky'])).toBeCloseTo(asCause, 6);
    const often = chanceBeside(model, one('points.burnt'), [one('condenser.leaky')], (f) =>
      f.id === 'points.burnt' ? RARE : 10 * RARE,
    );
    expect(often).toBeCloseTo(Math.max(RARE, asCause / 10), 6);
  });
  it('never counts on it, and leaves what has nothing to do with it as it is', () => {
    expect(beside('plugs.wide', ['points.burnt'])).toBe(RARE);
    for (const f of model.faults)
      for (const other of ['points.burnt', 'coil.insulation', 'fuse.blown'])
        if (f.part.id !== one(other).part.id) expect(beside(f.id, [other])).toBeLessThanOrEqual(0.5);
  });
  it('so a condenser that has failed is believed behind points that were seen burnt', () => {
    const events = [reading('look-points', 'burnt or dirty'), reading('condenser-capacitance', 0.02e-6)];
    const { weighed } = tracer.belief(noFire, events);
    const both = weighed
      .filter((w) => w.remaining.some((f) => f.part.id === 'condenser') && w.remaining.includes(one('points.burnt')))
      .reduce((sum, w) => sum + w.mass, 0);
    expect(both).toBeGreaterThan(0.3);
  });
});
