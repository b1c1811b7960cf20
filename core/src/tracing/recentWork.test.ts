import { describe, expect, it } from 'vitest';
import { failing, house, machine, noFire, reading } from '../__tests__/machines.ts';
import type { Complaint, RecentWork } from '../schema/job.ts';
import { faultPriors } from './hypotheses.ts';
import { recentWeight, recognised } from './recentWork.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(machine(), house);
const { model } = tracer;
const fault = (id: string) => model.faults.find((f) => f.id === id)!;
const after = (...recent: RecentWork[]): Complaint => ({ ...noFire, recent });
const justNow = (station: string, what: RecentWork['what'] = 'new'): RecentWork => ({
  station,
  what,
  ago: 'just before',
});
const lineOf = (complaint: Complaint, repairId: string) =>
  tracer.trace(complaint, [], failing).lines.find((l) => l.repair.id === repairId)?.share ?? 0;

describe('what was done just before is evidence', () => {
  it('changes nothing where nothing was done', () => {
    for (const f of model.faults) expect(recentWeight(model, noFire, f)).toBe(1);
  });
  it('new points that were set: set wrong is likelier than burnt, which new ones are not', () => {
    const set = after(justNow('points'));
    expect(recentWeight(model, set, fault('points.parted'))).toBeGreaterThan(
      4 * recentWeight(model, set, fault('points.burnt')),
    );
    expect(lineOf(set, 'points.set')).toBeGreaterThan(lineOf(set, 'points.dress'));
    expect(lineOf(noFire, 'points.set')).toBeLessThan(lineOf(noFire, 'points.dress'));
  });
  it('what lies beside was moved as well; the far end of the trail was not', () => {
    const set = after(justNow('points'));
    expect(recentWeight(model, set, fault('condenser.open'))).toBeGreaterThan(1);
    expect(recentWeight(model, set, fault('coil-minus.broken'))).toBeGreaterThan(3);
    expect(recentWeight(model, set, fault('feed.broken'))).toBe(1);
    expect(recentWeight(model, set, fault('battery.flat'))).toBe(1);
  });
  it('weeks of running well since count for less', () => {
    const now = recentWeight(model, after(justNow('coil')), fault('coil.reversed'));
    const then = recentWeight(model, after({ ...justNow('coil'), ago: 'weeks' }), fault('coil.reversed'));
    expect(then).toBeGreaterThan(1);
    expect(then).toBeLessThan(now / 2);
  });
  it('the whole stays one: shares are drawn to the work, not made', () => {
    const sum = (c: Complaint) => [...faultPriors(model, c).values()].reduce((a, b) => a + b, 0);
    expect(sum(after(justNow('plugs'), justNow('plug-leads', 'disturbed')))).toBeCloseTo(sum(noFire), 9);
  });
  it('leads off the day before: two of them swapped is found by following them, and called', () => {
    const misses: Complaint = { ...after(justNow('plug-leads', 'disturbed')), symptom: 'misses' };
    const asked = tracer.trace(misses, [], failing);
    expect(asked.ranked.slice(0, 14).map((r) => r.check.id)).toContain('lead-order');
    const found = tracer.trace(misses, [reading('lead-order', 'two swapped')], failing);
    expect(found.lines[0]!.repair.id).toBe('lead-order.sort');
    expect(found.lines[0]!.share).toBeGreaterThan(0.6);
  });
});

describe('what was written is recognised', () => {
  const { stations } = model.machine;
  const named = (text: string) => recognised(stations, text).map((r) => [r.station, r.what]);
  it('parts by their names, one or several', () => {
    expect(named('New points and condenser')).toEqual([
      ['points', 'new'],
      ['condenser', 'new'],
    ]);
    expect(named('took the cap off to dry it')).toEqual([['cap', 'disturbed']]);
    expect(named('radio wired to the switch')).toEqual([['switch', 'wired']]);
  });
  it('plug leads are not plugs, and plugs are not their leads', () => {
    expect(named('plug leads replaced')).toEqual([['plug-leads', 'new']]);
    expect(named('new plugs')).toEqual([['plugs', 'new']]);
    expect(named('new plugs and new plug leads').map(([s]) => s)).toEqual(['plug-leads', 'plugs']);
  });
  it('takes no word out of another, and nothing from nothing', () => {
    expect(named('ran out of capacity at the handicap race')).toEqual([]);
    expect(named('')).toEqual([]);
  });
});
