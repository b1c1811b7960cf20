import { describe, expect, it } from 'vitest';
import { failing, fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { SQUEEZING } from '../__tests__/squeezingMachines.ts';
import type { Complaint, JobEvent } from '../schema/job.ts';
import { traceView } from '../views/views.ts';
import { faultShares } from './suspects.ts';
import { suspectLines } from './suspectLines.ts';
import { jobRuler, toldApart } from './told.ts';
import { Tracer } from './trace.ts';
import { repairShares } from './verdict.ts';

const tracer = new Tracer(machine(), house);
const { model, weigher } = tracer;
const misses: Complaint = { ...noFire, symptom: 'misses' };
const linesOf = (complaint: Complaint, events: readonly JobEvent[]) =>
  suspectLines(model, tracer.belief(complaint, events), house, 50);

describe('suspects are what would put them right', () => {
  it('ways of failing that one repair mends are one line, the likeliest first, and add up to it', () => {
    const belief = tracer.belief(noFire, []);
    const coil = linesOf(noFire, []).find((l) => l.repair.id === 'coil.replace')!;
    expect(coil.ways.length).toBeGreaterThan(2);
    expect(new Set(coil.ways.map((w) => w.fault.repairId))).toEqual(new Set(['coil.replace']));
    const shares = coil.ways.map((w) => w.share);
    expect([...shares].sort((a, b) => b - a)).toEqual(shares);
    expect(coil.share).toBeCloseTo(
      repairShares(model, belief, house).find((r) => r.repair.id === 'coil.replace')!.share,
      9,
    );
    // Of one part two ways never stand together: the whole is their sum.
    const own = [...faultShares(belief)].filter(([f]) => f.repairId === 'coil.replace');
    expect(coil.share).toBeCloseTo(
      own.reduce((sum, [, share]) => sum + share, 0),
      6,
    );
  });
  it('no repair stands on two lines', () => {
    for (const complaint of [noFire, misses]) {
      const ids = linesOf(complaint, []).flatMap((l) => l.alike.map((r) => r.id));
      expect(new Set(ids).size).toBe(ids.length);
    }
  });
  it('six plugs that nothing tells apart are one line, and its share is that one of them is it', () => {
    const plugs = linesOf(misses, []).find((l) => l.repair.id.startsWith('plug-'))!;
    expect(plugs.alike).toHaveLength(6);
    const each = repairShares(model, tracer.belief(misses, []), house).filter((r) => /^plug-\d/.test(r.repair.id));
    expect(plugs.share).toBeCloseTo(
      each.reduce((sum, r) => sum + r.share, 0),
      6,
    );
  });
  it('once a reading names a cylinder, its plug stands alone', () => {
    const lines = linesOf(misses, [reading('cylinder-drop', 'only 3 makes none'), reading('plug-3-ohms', 60e3)]);
    expect(lines[0]!.repair.id).toBe('plug-3.replace');
    expect(lines[0]!.alike).toHaveLength(1);
  });
  it('what was put right is on no line', () => {
    const lines = linesOf(noFire, [reading('look-points', 'burnt or dirty'), fix('points.dress')]);
    expect(lines.map((l) => l.repair.id)).not.toContain('points.dress');
  });
});

describe('what is called', () => {
  // Swapped leads are no reason to miss on sound plugs; nobody who has seen them measures on.
  const swapped = [
    reading('spark-every', 'weak on all'),
    reading('spark-polarity', 'flares at the lead'),
    reading('look-coil', 'leads swapped'),
  ];
  it('stands first among the suspects, whatever else may explain the complaint better', () => {
    const { verdict, lines } = tracer.trace(misses, swapped, failing);
    expect(verdict).toMatchObject({ kind: 'fix', repair: { id: 'coil.swap-leads' }, why: 'seen' });
    expect(lines[0]!.repair.id).toBe('coil.swap-leads');
    const rest = lines.slice(1).map((l) => l.share);
    expect([...rest].sort((a, b) => b - a)).toEqual(rest);
  });
  it('a bypassed ballast that was seen is refitted before what it has burnt', () => {
    const hot: Complaint = { ...noFire, symptom: 'dies', pattern: 'hot' };
    const { lines } = tracer.trace(
      hot,
      [reading('coil-feed-closed', 11.9), reading('look-ballast', 'bypassed')],
      failing,
    );
    expect(lines[0]!.repair.id).toBe('ballast.refit');
  });
});

describe('the ruler shows what the check tells apart', () => {
  it('suspects that read as when well are not among those told, however likely they are', () => {
    const check = weigher.check('coil-primary')!;
    const { told, asWell } = toldApart(tracer, noFire, [], check);
    expect(told.map((f) => f.part.id)).toEqual(expect.arrayContaining(['coil']));
    expect(told.every((f) => f.part.id === 'coil')).toBe(true);
    expect(asWell.length).toBeGreaterThan(0);
    for (const f of asWell) expect(f.part.id).not.toBe('coil');
  });
  it('any suspect can be laid on it besides', () => {
    const check = weigher.check('coil-primary')!;
    const added = jobRuler(tracer, noFire, [], check, ['rotor.punched']).suspects;
    expect(added[0]).toMatchObject({ faultId: 'rotor.punched', asWell: true });
    expect(jobRuler(tracer, noFire, [], check, ['no such fault']).suspects.map((s) => s.faultId)).not.toContain(
      'no such fault',
    );
  });
  it('an open winding is told apart, a worn rotor reads as when well', () => {
    const { suspects } = jobRuler(tracer, noFire, [], weigher.check('coil-primary')!);
    expect(suspects.find((s) => s.faultId === 'coil.primary-open')).toMatchObject({ openShare: 1, asWell: false });
  });
});

describe('one head off reaches both valves of a cylinder', () => {
  const diesel = new Tracer(SQUEEZING['a diesel of three']!, house);
  const { repairs, faults } = diesel.model;
  it('to grind either is one repair; to set or free one stays its own', () => {
    const repairOf = (id: string) => faults.find((f) => f.id === id)!.repairId;
    expect(repairOf('compression-intake-2.leaks')).toBe('compression-exhaust-2.head');
    expect(repairOf('compression-exhaust-2.burnt')).toBe('compression-exhaust-2.head');
    expect(repairOf('compression-intake-2.sticks')).toBe('compression-intake-2.free');
    expect(repairs.has('compression-intake-2.head')).toBe(false);
    for (const f of faults) expect(repairs.has(f.repairId)).toBe(true);
  });
  it('air that whistles out of both counts for the one line, which says whose failing each way is', () => {
    const events = [reading('compression-2', 12e5), reading('compression-1', 28e5), reading('compression-3', 28e5)];
    const { lines } = traceView(diesel, { ...noFire, symptom: 'misses' }, events, failing);
    const head = lines.find((l) => l.repair.id === 'compression-exhaust-2.head')!;
    const whose = head.ways.map((w) => faults.find((f) => f.id === w.faultId)!.part.id);
    expect(new Set(whose)).toEqual(new Set(['compression-exhaust-2', 'compression-intake-2']));
    for (const [k, way] of head.ways.entries())
      if (whose[k] !== whose[0]) expect(way.how).toMatch(/^(inlet|exhaust) valve /);
    expect(head.share).toBeGreaterThan(head.ways[0]!.share);
  });
});
