import { describe, expect, it } from 'vitest';
import { failing, house, machine, noFire, reading } from '../../../__tests__/machines.ts';
import { readsAsInTheTrade } from '../../../__tests__/tradeTable.ts';
import type { JobEvent } from '../../../schema/job.ts';
import { faultShares } from '../../../tracing/suspects.ts';
import { Tracer } from '../../../tracing/trace.ts';

const body = machine();
const tracer = new Tracer(body, house);
const shareOf = (events: readonly JobEvent[], part: string) => {
  let sum = 0;
  for (const [fault, share] of faultShares(tracer.belief(noFire, events))) if (fault.part.id === part) sum += share;
  return sum;
};

describe('a remark about a station', () => {
  it('is there for every station that can fail, and is never proposed', () => {
    const remarks = tracer.model.beyond.filter((c) => c.label.endsWith(': a remark'));
    const stations = new Set(tracer.model.machine.parts.filter((p) => p.kind.faults.length).map((p) => p.station));
    expect(remarks.map((c) => c.station).sort()).toEqual([...stations].sort());
    const { ranked } = tracer.trace(noFire, [], failing);
    expect(ranked.filter((r) => r.check.label.endsWith(': a remark'))).toEqual([]);
  });
  it('that it looks bad draws belief there, a good deal less than finding it does; that it looks sound tells little', () => {
    const before = shareOf([], 'cap');
    const bad = shareOf([reading('seen-cap', 'looks bad')], 'cap');
    const sound = shareOf([reading('seen-cap', 'looks sound')], 'cap');
    const found = shareOf([reading('look-cap', 'tracked')], 'cap');
    expect(bad).toBeGreaterThan(3 * before);
    expect(found).toBeGreaterThan(bad);
    expect(sound).toBeLessThan(before);
    expect(sound).toBeGreaterThan(0.4 * before);
  });
});

describe('what is stamped on the plugs, as in the trade', () => {
  readsAsInTheTrade(body, [
    ['plug-type', undefined, 'as the book says'],
    ['plug-type', 'plugs.resistive', 'both resist'],
    ['plug-type', 'plugs.fouled', 'as the book says'],
    ['seen-cap', undefined, 'looks sound'],
  ]);
});
