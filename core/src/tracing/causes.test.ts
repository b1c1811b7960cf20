import { describe, expect, it } from 'vitest';
import type { JobEvent } from '../schema/job.ts';
import { KINDS } from '../__tests__/kinds.ts';
import { house, machine, noFire, reading } from '../__tests__/machines.ts';
import { BREATHING } from '../__tests__/breathingMachines.ts';
import { SQUEEZING } from '../__tests__/squeezingMachines.ts';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { STOPPED } from '../__tests__/stoppedMachines.ts';
import { TIMED } from '../__tests__/timedMachines.ts';
import { FUELLED } from '../__tests__/fuelMachines.ts';
import { CRANKED } from '../__tests__/crankMachines.ts';
import { names, type FailsSo } from '../machine/cause.ts';
import { CAUSES } from '../trails/causes.ts';
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

it('the causes name only ways of failing that exist', () => {
  const everywhere = [
    ...Object.values(KINDS)
      .concat({ ballast: 'bypassed', cylinders: 8 })
      .map((fit) => machine(fit)),
    ...Object.values(CRANKED),
    ...Object.values(CHARGED),
    ...Object.values(FUELLED),
    ...Object.values(TIMED),
    ...Object.values(BREATHING),
    ...Object.values(SQUEEZING),
    ...Object.values(STOPPED),
  ].flatMap((m) => buildModel(m, house).faults);
  const exists = ({ kind, modes, part }: FailsSo) =>
    modes.every((m) =>
      everywhere.some(
        (f) => f.part.kind.kind === kind && (f.mode.family ?? f.mode.id) === m && (part ?? f.part.id) === f.part.id,
      ),
    );
  for (const { of, causes } of CAUSES)
    for (const f of [...of, ...causes.flatMap((c) => c.faults)]) expect(exists(f), JSON.stringify(f)).toBe(true);
});

it('every way in which starting and charging fail has a cause that can be looked at', () => {
  for (const m of [...Object.values(CRANKED), ...Object.values(CHARGED), ...Object.values(FUELLED)]) {
    const { faults } = buildModel(m, house);
    for (const f of faults.filter((x) => x.trail !== 'spark'))
      if (!['wire', 'start wire', 'start interlock', 'cut-out', 'excitation resistor'].includes(f.part.kind.kind))
        expect(
          CAUSES.some(({ of }) => of.some((o) => o.kind === f.part.kind.kind)),
          f.id,
        ).toBe(true);
  }
});

describe('causes that name a cylinder', () => {
  const { faults } = buildModel(machine({ cylinders: 4 }), house);
  const fault = (id: string) => faults.find((f) => f.id === id)!;
  const cause = CAUSES.flatMap((c) => c.causes).find((c) => c.id === 'lead-open')!;
  it('mean the cylinder whose plug failed', () => {
    expect(names(cause, fault('lead-3.open'), fault('plug-3.fouled'))).toBe(true);
    expect(names(cause, fault('lead-2.open'), fault('plug-3.fouled'))).toBe(false);
  });
  it('mean any cylinder where the failed part has none', () => {
    expect(names(cause, fault('lead-2.open'), fault('coil.insulation'))).toBe(true);
    expect(names(cause, fault('coil-lead.open'), fault('coil.insulation'))).toBe(true);
    expect(names(cause, fault('lead-2.leaking'), fault('coil.insulation'))).toBe(false);
  });
  it('mean the output of a pack that has no cylinder of its own', () => {
    const outboard = buildModel(machine({ layout: 'capacitor-discharge', cylinders: 3 }), house).faults;
    const of = (id: string) => outboard.find((f) => f.id === id)!;
    const own = CAUSES.flatMap((c) => c.causes).find((c) => c.id === 'own-lead-open')!;
    expect(names(own, of('lead-2.open'), of('pack.channel-2'))).toBe(true);
    expect(names(own, of('lead-1.open'), of('pack.channel-2'))).toBe(false);
  });
});

it('a flat battery is asked of the charging, and a shorted diode stands among what drained it', () => {
  const charged = new Tracer(CHARGED['alternator with a lamp']!, house);
  const flat = { ...noFire, symptom: 'crank-click' } as const;
  const { causes } = traceCauses(charged, 'battery.flat', flat, [reading('charge-drain', 1.2)])!;
  const [drain, noCharge] = ['drain', 'no-charge'].map((id) => causes.find((c) => c.spec.id === id)!);
  expect(drain!.share).toBeGreaterThan(noCharge!.share);
  expect(noCharge!.check).toBeDefined();
});

it('a cause of one cylinder is looked for on that cylinder', () => {
  const outboard = new Tracer(machine({ layout: 'capacitor-discharge', cylinders: 3 }), house);
  const { causes } = traceCauses(outboard, 'coil-2.insulation', noFire, [reading('plug-2-gap', 2.4e-3)])!;
  const wide = causes.find((c) => c.spec.id === 'own-gap-wide')!;
  const other = traceCauses(outboard, 'coil-3.insulation', noFire, [reading('plug-2-gap', 2.4e-3)])!;
  expect(wide.share).toBeGreaterThan(2 * other.causes.find((c) => c.spec.id === 'own-gap-wide')!.share);
});
