import { describe, expect, it } from 'vitest';
import type { JobEvent } from '../schema/job.ts';
import { KINDS } from '../__tests__/kinds.ts';
import { house, machine, noFire, reading } from '../__tests__/machines.ts';
import { CAUSES } from '../trails/spark/causes.ts';
import { traceCauses } from './causes.ts';
import { buildModel } from './model.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(machine(), house);
const share = (events: JobEvent[], causeId: string) =>
  traceCauses(tracer, 'points.burnt', noFire, events)!.causes.find((c) => c.spec.id === causeId)!.share;

describe('why the points burnt', () => {
  it('shares sum to one with plain age', () => {
    const { causes, age } = traceCauses(tracer, 'points.burnt', noFire, [])!;
    expect(causes.reduce((s, c) => s + c.share, age)).toBeCloseTo(1, 9);
  });
  it('a ballast that measures nothing points at itself', () => {
    expect(share([reading('ballast-ohms', 0.1)], 'ballast-bypassed')).toBeGreaterThan(0.8);
    expect(share([reading('ballast-ohms', 1.5)], 'ballast-bypassed')).toBeLessThan(share([], 'ballast-bypassed') / 3);
  });
  it('proposes a check that would tell', () => {
    const found = traceCauses(tracer, 'points.burnt', noFire, [])!.causes.find((c) => c.spec.id === 'ballast-bypassed');
    expect(found?.check?.station).toMatch(/ballast|coil/);
  });
  it('a feed that stays on with the key off is asked for, and believed when it is seen', () => {
    const stays = (events: JobEvent[]) =>
      traceCauses(tracer, 'points.burnt', noFire, events)!.causes.find((c) => c.spec.id === 'stays-on')!;
    expect(stays([]).check?.id).toBe('supply-gone');
    expect(stays([reading('supply-gone', 12.4)]).share).toBeGreaterThan(0.8);
    expect(stays([reading('supply-gone', 0)]).share).toBeLessThan(stays([]).share);
  });
  it('does not offer a ballast where there is none', () => {
    const plain = new Tracer(machine({ ballast: 'none' }), house);
    expect(traceCauses(plain, 'points.burnt', noFire, [])!.causes.map((c) => c.spec.id)).not.toContain(
      'ballast-bypassed',
    );
  });
  it('knows nothing of a fault that the machine cannot have', () => {
    expect(traceCauses(tracer, 'nothing.at-all', noFire, [])).toBeUndefined();
  });
});

it('the table of causes names only faults that exist', () => {
  const everywhere = Object.values(KINDS)
    .concat({ ballast: 'bypassed', cylinders: 8 })
    .flatMap((fit) => buildModel(machine(fit), house).faults.map((f) => f.id));
  const exists = (pattern: string) =>
    everywhere.some((id) => id === pattern || id.replace(/-\d+(?=\.|$)/, '-*') === pattern);
  for (const [fault, causes] of Object.entries(CAUSES)) {
    expect(exists(fault), fault).toBe(true);
    for (const c of causes) for (const f of c.faults) expect(exists(f), f).toBe(true);
  }
});

it('a cause of one cylinder is looked for on that cylinder', () => {
  const outboard = new Tracer(machine({ layout: 'capacitor-discharge', cylinders: 3 }), house);
  const { causes } = traceCauses(outboard, 'coil-2.insulation', noFire, [reading('plug-2-gap', 2.4e-3)])!;
  const wide = causes.find((c) => c.spec.id === 'own-gap-wide')!;
  const other = traceCauses(outboard, 'coil-3.insulation', noFire, [reading('plug-2-gap', 2.4e-3)])!;
  expect(wide.share).toBeGreaterThan(2 * other.causes.find((c) => c.spec.id === 'own-gap-wide')!.share);
});
