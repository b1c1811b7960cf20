import { houseSchema } from '../schema/house.ts';
import type { Complaint, Conditions, JobEvent, Reading, ReadingValue } from '../schema/job.ts';
import { machineBodySchema, type MachineBody } from '../schema/machine.ts';
import { upgradeFitOut, type FitOutOne } from '../schema/upgrade.ts';

/** Machines and readings that the tests share. */
const fit: FitOutOne = {
  layout: 'battery-points',
  volts: 12,
  earth: 'negative',
  cylinders: 6,
  ballast: 'external',
  fused: true,
  marine: false,
  compressionRatio: 8,
};
export const machine = (change: Partial<FitOutOne> = {}, plates: MachineBody['plates'] = {}): MachineBody =>
  machineBodySchema.parse({ name: 'Test', kind: 'car', fitOut: upgradeFitOut({ ...fit, ...change }), plates });
export const house = houseSchema.parse({});
export const noFire: Complaint = { symptom: 'no-fire', pattern: 'constant', words: '', since: '', before: '' };
export const failing: Conditions = { warmth: 'unknown', faultPresent: 'yes' };

let serial = 0;
export function reading(checkId: string, value: number | 'OL' | string, more: Partial<Reading> = {}): JobEvent {
  const read: ReadingValue =
    value === 'OL'
      ? { kind: 'open' }
      : typeof value === 'number'
        ? { kind: 'number', value }
        : { kind: 'word', word: value };
  return {
    type: 'reading',
    reading: {
      id: `r${++serial}`,
      checkId,
      value: read,
      typed: '',
      note: '',
      at: '2026-01-01T00:00:00Z',
      ...failing,
      ...more,
    },
  };
}
export const fix = (repairId: string): JobEvent => ({
  type: 'fix',
  fix: {
    id: `f${++serial}`,
    repairId,
    what: repairId,
    how: 'replaced',
    parts: '',
    minutes: 10,
    money: 5,
    temporary: false,
    at: '2026-01-01T00:00:00Z',
  },
});
