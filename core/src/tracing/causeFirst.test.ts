import { describe, expect, it } from 'vitest';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { failing, house, noFire, reading } from '../__tests__/machines.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(CHARGED['alternator with a lamp']!, house);
const trace = (symptom: 'flat-overnight' | 'lamp-wrong', ...events: ReturnType<typeof reading>[]) =>
  tracer.trace({ ...noFire, symptom }, events, failing);

describe('what emptied the battery goes before it', () => {
  it('a battery that is flat because its belt is slack: the belt first, the battery is charged with it', () => {
    const { verdict, lines } = trace(
      'lamp-wrong',
      reading('battery-rest', 11.9),
      reading('charge-belt', 'slack'),
      reading('charge-fast', 12.8),
    );
    expect(verdict).toMatchObject({ kind: 'fix', repair: { id: 'belt.tighten' } });
    expect(lines[0]!.repair.id).toBe('belt.tighten');
  });
  it('a battery that something drains: the drain is named before the charger is fetched', () => {
    const { lines } = trace(
      'flat-overnight',
      reading('battery-rest', 11.7),
      reading('charge-fast', 14.1),
      reading('charge-drain', 0.5),
      reading('charge-drain-unplugged', 0.5),
    );
    expect(lines[0]!.repair.id).not.toBe('battery.charge');
    expect(lines.map((l) => l.repair.id)).toContain('battery.charge');
  });
  it('alone, a flat battery stands by itself', () => {
    const { lines } = trace('flat-overnight', reading('battery-rest', 11.7), reading('charge-fast', 14.1));
    expect(lines[0]!.repair.id).toBe('battery.charge');
  });
});
