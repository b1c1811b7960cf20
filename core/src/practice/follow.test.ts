import { describe, expect, it } from 'vitest';
import { KINDS } from '../__tests__/kinds.ts';
import { fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { seededRandom } from '../random/lcg.ts';
import { likelyComplaint } from '../tracing/likelyComplaint.ts';
import { choose } from '../tracing/policies.ts';
import { Tracer } from '../tracing/trace.ts';
import { follow, provedOn } from './follow.ts';
import type { ModelFault } from '../tracing/model.ts';
import { HiddenMachine } from './hiddenMachine.ts';

const tracer = new Tracer(machine(), house);
const fault = (id: string) => tracer.model.faults.find((f) => f.id === id)!;
/** One that is brought in for it: another with the same fault may only just have it. */
const ill = (of: Tracer, faults: readonly ModelFault[], from: number, brings = 0.5): number =>
  Array.from({ length: 40 }, (_, k) => from + k).find(
    (seed) => new HiddenMachine(of.model, faults, seededRandom(seed)).brings(noFire) > brings || faults.length === 0,
  ) ?? from;
const hidden = (...ids: string[]) =>
  new HiddenMachine(tracer.model, ids.map(fault), seededRandom(ill(tracer, ids.map(fault), 17)));

describe('following the tracer', () => {
  it('ends at the repair, with its readings as events and the minutes that they took', () => {
    const found = follow(tracer, noFire, hidden('points.burnt'));
    expect(found.named).toBe('points.dress');
    expect(found.share).toBeGreaterThan(0.9);
    expect(found.events).toHaveLength(found.checks);
    const own = found.events.reduce(
      (sum, e) => sum + (e.type === 'reading' ? tracer.weigher.check(e.reading.checkId)!.minutes : 0),
      0,
    );
    // What had to be opened comes on top, once.
    expect(found.minutes).toBeGreaterThanOrEqual(own);
  });
  it('goes on behind a repair, where another fault stands', () => {
    const both = hidden('ballast.open', 'cap.damp');
    const first = follow(tracer, noFire, both);
    expect(first.named).toBe('ballast.replace');
    const events = [...first.events, fix('ballast.replace')];
    const second = follow(tracer, noFire, hidden('cap.damp'), { events });
    expect(second.named).toBe('cap.dry');
    expect(second.events.length).toBe(events.length + second.checks);
    // The engine itself was asked first.
    const tried = second.events[events.length]!;
    expect(tried.type === 'reading' && tried.reading).toMatchObject({
      checkId: 'try-it',
      value: { word: 'does not fire' },
    });
  });
  it('proves a repair out: taken, what must pass does, unless something else still stops it', () => {
    const { events } = follow(tracer, noFire, hidden('points.burnt'));
    const mended = [...events, fix('points.dress')];
    const proof = provedOn(tracer, noFire, hidden(), mended);
    expect(proof.proven).toBe(true);
    const taken = proof.events.slice(mended.length).flatMap((e) => (e.type === 'reading' ? [e.reading.checkId] : []));
    expect(taken).toEqual(expect.arrayContaining(['try-it', 'spark-every']));
    expect(provedOn(tracer, noFire, hidden('lead-3.open'), mended).proven).toBe(false);
  });
  it('finds one fault on either side of a twin, which no single fault explains', () => {
    const twin = new Tracer(machine(KINDS['flywheel magneto, two cylinders']), house);
    const both = ['points-1.burnt', 'coil-2.secondary-open'].map((id) => twin.model.faults.find((f) => f.id === id)!);
    // One odd reading in some tens misleads: most of them must come out right.
    const found = [4, 10, 14, 30]
      .map((from) => ill(twin, both, from, 0.1))
      .map((seed) => follow(twin, noFire, new HiddenMachine(twin.model, both, seededRandom(seed)), { most: 40 }));
    const right = found.filter((f) => both.some((fault) => fault.repairId === f.named));
    expect(right.length).toBeGreaterThanOrEqual(3);
    // And once each is seen on its side the two together are what is believed.
    const seen = [
      reading('spark-every', 'none at all'),
      reading('points-1-closed', 90),
      reading('look-points-1', 'burnt or dirty'),
      // Leads that touch nothing show OL as well: it is read again, and its own spark is.
      reading('coil-2-secondary', 'OL'),
      reading('coil-2-secondary', 'OL'),
      reading('spark-known-coil-2', 'good'),
    ];
    const { weighed } = twin.belief(noFire, seen);
    const pairs = weighed.filter((w) => both.every(({ repairId }) => w.faults.some((f) => f.repairId === repairId)));
    expect(pairs.reduce((sum, w) => sum + w.mass, 0)).toBeGreaterThan(0.5);
  });
  it('takes whatever check it is given, and stops where nothing more is given', () => {
    const walked = follow(tracer, noFire, hidden('points.burnt'), {
      most: 40,
      choose: (belief, ranked) => choose('walk in order', tracer.model, belief, ranked),
    });
    expect(walked.named).toBe('points.dress');
    const first = walked.events[0]!;
    const station = first.type === 'reading' ? tracer.weigher.check(first.reading.checkId)!.station : '';
    expect(tracer.model.machine.stations.findIndex((s) => s.id === station)).toBeLessThan(4);
    expect(follow(tracer, noFire, hidden('points.burnt'), { choose: () => undefined }).named).toBe('check');
    expect(follow(tracer, noFire, hidden('points.burnt'), { most: 1 }).checks).toBe(1);
  });
});

describe('the likeliest complaint', () => {
  it.each([
    ['points.closed-up', 'no-fire'],
    ['plug-3.fouled', 'misses'],
  ])('of %s is that it %s', (id, symptom) => {
    expect(likelyComplaint(tracer, [fault(id)]).symptom).toBe(symptom);
  });
  it('of two faults is that of the worse', () => {
    expect(likelyComplaint(tracer, [fault('plug-3.fouled'), fault('fuse.blown')]).symptom).toBe('no-fire');
  });
});
