import { describe, expect, it } from 'vitest';
import { failing, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { ruledOutFirst } from './cheaperFailing.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(machine(), house);
const { model } = tracer;
const first = (faultId: string, ...events: ReturnType<typeof reading>[]) => {
  const fault = model.faults.find((f) => f.id === faultId)!;
  const belief = tracer.belief(noFire, events);
  const ranked = tracer.rank(belief, noFire, failing);
  const repair = model.repairs.get(fault.repairId)!;
  return ruledOutFirst(model, fault, repair, house, belief, ranked, (a, b, c) => tracer.separation(a, b, c))?.id;
};

describe('before a part is replaced, what is put right for less is ruled out', () => {
  it('a battery that falls away as it cranks: is it only flat? Its resting volts say so', () => {
    expect(first('battery.tired', reading('battery-cranking', 6.5))).toBe('battery-rest');
    // Read, it is not asked again.
    expect(first('battery.tired', reading('battery-cranking', 6.5), reading('battery-rest', 12.6))).toBeUndefined();
  });
  it('what costs next to nothing itself is not held up', () => {
    expect(first('battery.flat')).toBeUndefined();
    expect(first('points.closed-up')).toBeUndefined();
  });
  it('the verdict asks for it', () => {
    const read = [reading('battery-cranking', 6.3), reading('fuse-volts', 6.2), reading('feed-volts', 6.2)];
    const { verdict } = tracer.trace(noFire, read, failing);
    if (verdict.kind === 'second check') expect(verdict.check.id).toBe('battery-rest');
    expect(verdict.kind === 'fix' && verdict.repair.id === 'battery.replace').toBe(false);
  });
});

describe('what is surely there and soon done is put right, though it may not be all', () => {
  it('a battery at 11.8 V is charged before more is read with it', () => {
    const read = [
      reading('spark-plug-lead', 'weak'),
      reading('coil-feed-cranking', 5.4),
      reading('battery-cranking', 8),
      reading('battery-rest', 11.8),
      reading('coil-secondary', 9300),
    ];
    const { verdict } = tracer.trace(noFire, read, failing);
    expect(verdict).toMatchObject({ kind: 'fix', repair: { id: 'battery.charge' } });
    // One at 12.5 V is not.
    const full = tracer.trace(noFire, [...read.slice(0, 1), reading('battery-rest', 12.5)], failing).verdict;
    expect(full.kind === 'fix' && full.repair.id === 'battery.charge').toBe(false);
  });
});
