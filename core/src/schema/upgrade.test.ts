import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { buildModel } from '../tracing/model.ts';
import { fitOf } from './fit.ts';
import { houseSchema } from './house.ts';
import { machineBodySchema } from './machine.ts';
import { storedMachineSchema, upgradeFitOut } from './upgrade.ts';

const one = {
  layout: 'electronic',
  volts: 12,
  earth: 'negative',
  cylinders: 4,
  ballast: 'none',
  fused: true,
  trigger: 'hall',
  added: [{ what: 'box', label: 'Alarm' }],
  compressionRatio: 9,
} as const;

describe('a fit-out of version 1', () => {
  it('says the same as a spark trail of version 2', () => {
    expect(upgradeFitOut(one)).toEqual({
      volts: 12,
      earth: 'negative',
      cylinders: 4,
      compressionRatio: 9,
      trails: [
        {
          trail: 'spark',
          kind: 'electronic',
          options: { ballast: 'none', fused: true, trigger: 'hall', added: [{ what: 'box', label: 'Alarm' }] },
        },
      ],
    });
    const fit = fitOf(storedMachineSchema.parse({ name: 'Old', kind: 'car', fitOut: one }).fitOut);
    expect(fit).toMatchObject({ spark: 'electronic', fused: true, trigger: 'hall', ballast: 'none' });
  });
  it('is taken from what is stored and from files, not from what is entered now', () => {
    expect(machineBodySchema.safeParse({ name: 'Old', kind: 'car', fitOut: one }).success).toBe(false);
  });
  it('one of version 2 is left as it is, and what is neither is refused by its field', () => {
    const two = upgradeFitOut(one) as object;
    expect(upgradeFitOut(two)).toBe(two);
    const wrong = storedMachineSchema.safeParse({ name: 'Old', kind: 'car', fitOut: { ...one, layout: 'steam' } });
    expect(wrong.error!.issues[0]!.path.join('.')).toBe('fitOut.trails.0.kind');
    for (const nothing of [null, 3, 'x', [], { fitOut: 4 }])
      expect(storedMachineSchema.safeParse(nothing).success).toBe(false);
  });
  it('keeps the ids that stored jobs name', () => {
    const file = JSON.parse(
      readFileSync(new URL('../../../server/__tests__/fixtures/version1.pondu.json', import.meta.url), 'utf8'),
    ) as { machines: { machine: unknown; jobs: { events: { reading?: { checkId: string } }[] }[] }[] };
    for (const { machine, jobs } of file.machines) {
      const model = buildModel(storedMachineSchema.parse(machine), houseSchema.parse({}));
      const checks = new Set(model.checks.map((c) => c.id));
      for (const { reading } of jobs.flatMap((j) => j.events)) if (reading) expect(checks).toContain(reading.checkId);
      expect(model.plates.get('points.dwellDegrees')?.source).toBe('manual');
      for (const id of ['points.burnt', 'cap.damp', 'ballast.open'])
        expect(model.faults.map((f) => f.id)).toContain(id);
    }
  });
});
