import { MEMBERS } from './ensemble.ts';
import { describe, expect, it } from 'vitest';
import { HiddenMachine } from '../practice/hiddenMachine.ts';
import { seededRandom } from '../random/lcg.ts';
import type { Complaint, JobEvent } from '../schema/job.ts';
import { failing, fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { faultShares } from './suspects.ts';
import { Tracer, type Trace } from './trace.ts';
import { trace } from './tracerCache.ts';

const tracer = new Tracer(machine(), house);
const of = (events: JobEvent[], complaint: Complaint = noFire, now = failing): Trace =>
  tracer.trace(complaint, events, now);
const share = (t: Trace, faultId: string): number => t.suspects.find((s) => s.fault.id === faultId)?.share ?? 0;

describe('belief', () => {
  it('sums to one over every account', () => {
    for (const events of [
      [],
      [reading('battery-rest', 12.5)],
      [reading('battery-rest', 12.5), reading('coil-minus-closed', 9)],
    ]) {
      const belief = tracer.belief(noFire, events);
      const sum = belief.weighed.reduce((s, w) => s + w.mass, belief.outside);
      expect(sum).toBeCloseTo(1, 9);
    }
  });

  it('gives the same answer to the same facts, from a fresh tracer or a used one', () => {
    const events = [reading('coil-feed-closed', 6.1), reading('spark-coil-lead', 'none')];
    const fresh = trace(machine(), noFire, events, { ...house });
    expect(of(events).suspects.map((s) => [s.fault.id, s.share])).toEqual(
      fresh.suspects.map((s) => [s.fault.id, s.share]),
    );
  });

  it('does not depend on the order of readings', () => {
    const [a, b, c] = [reading('battery-rest', 12.5), reading('coil-feed-closed', 12.1), reading('points-drop', 11.4)];
    const forward = of([a, b, c]);
    const backward = of([c, b, a]);
    for (const s of forward.suspects) expect(share(backward, s.fault.id)).toBeCloseTo(s.share, 9);
  });

  it('raises burnt points when they drop volts, and lowers them when they drop none', () => {
    const before = share(of([]), 'points.burnt');
    expect(share(of([reading('points-drop', 5)]), 'points.burnt')).toBeGreaterThan(before);
    expect(share(of([reading('points-drop', 0.08)]), 'points.burnt')).toBeLessThan(before / 4);
  });

  it('a corrected reading no longer counts', () => {
    const wrong = reading('points-drop', 9);
    if (wrong.type !== 'reading') throw new Error();
    const right = reading('points-drop', 0.08, { supersedes: wrong.reading.id });
    const corrected = of([wrong, right]);
    const only = of([reading('points-drop', 0.08)]);
    expect(share(corrected, 'points.burnt')).toBeCloseTo(share(only, 'points.burnt'), 9);
  });

  it('one absurd reading does not carry the day against three that agree', () => {
    const good = [
      reading('spark-coil-lead', 'good'),
      reading('coil-minus-closed', 0.2),
      reading('lamp-cranking', 'flashes'),
    ];
    const odd = reading('points-drop', 11.9);
    const t = of([...good, odd]);
    expect(share(t, 'points.burnt')).toBeLessThan(0.5);
    if (odd.type === 'reading') expect(t.atOdds.map((o) => o.readingId)).toContain(odd.reading.id);
  });
});

describe('a fault that comes and goes', () => {
  const hot: Complaint = { ...noFire, symptom: 'dies', pattern: 'hot' };
  it('a pass while it ran well counts for almost nothing', () => {
    // Of the two, only the condenser can take the spark from the coil lead.
    const ratio = (events: JobEvent[]) => {
      const by = faultShares(tracer.belief(hot, events));
      const of = (id: string) => by.get(tracer.model.faults.find((f) => f.id === id)!)!;
      return of('condenser.open') / of('cap.damp');
    };
    const before = ratio([]);
    const pass = ratio([reading('spark-coil-lead', 'good', { faultPresent: 'no', warmth: 'cold' })]);
    expect(pass / before).toBeGreaterThan(0.9);
    const there = ratio([reading('spark-coil-lead', 'good', { faultPresent: 'yes', warmth: 'hot' })]);
    expect(there / before).toBeLessThan(0.1);
    const failed = ratio([reading('spark-coil-lead', 'none', { faultPresent: 'yes', warmth: 'hot' })]);
    expect(failed / before).toBeGreaterThan(10);
  });
  it('heat brings out coils and condensers, not worn switches', () => {
    const constant = of([]);
    const t = of([], hot);
    expect(share(t, 'condenser.open')).toBeGreaterThan(share(constant, 'condenser.open'));
  });
  it('says wait when the fault is away and nothing would tell', () => {
    expect(of([], hot, { warmth: 'cold', faultPresent: 'no' }).verdict.kind).toBe('wait');
  });
});

describe('verdicts', () => {
  it('calls for the ballast when feed is there before it and gone after it', () => {
    const t = of([reading('ballast-volts', 12.4), reading('coil-feed-closed', 0.01), reading('ballast-ohms', 'OL')]);
    expect(t.verdict).toMatchObject({ kind: 'fix', repair: { id: 'ballast.replace' } });
    expect(t.stations.find((s) => s.id === 'ballast')?.state).toBe('lost here');
    expect(t.stations.find((s) => s.id === 'switch')?.share).toBeLessThan(0.01);
  });
  it('finds a second fault behind the first', () => {
    const events = [
      reading('ballast-volts', 12.4),
      reading('coil-feed-closed', 0.01),
      reading('ballast-ohms', 'OL'),
      fix('ballast.replace'),
      reading('spark-plug-lead', 'none'),
      reading('spark-coil-lead', 'good'),
      reading('rotor-jump', 'nothing jumps'),
      reading('look-cap', 'damp'),
      reading('look-leads', 'damp'),
    ];
    const t = of(events);
    expect(t.verdict).toMatchObject({ kind: 'fix', repair: { id: 'cap.dry' } });
    // Before anything was tried after the repair, the machine was thought mended.
    expect(of(events.slice(0, 4)).sound).toBeGreaterThan(0.8);
  });
  it('sends to another trail when every spark is good', () => {
    const t = of([
      reading('spark-every', 'good on all'),
      reading('look-plugs', 'all dry and even'),
      reading('spark-coil-lead', 'good'),
      reading('battery-cranking', 10.8),
    ]);
    expect(t.suspects[0]!.share).toBeLessThan(0.5);
    expect(t.sound).toBeGreaterThan(0.5);
  });
});

describe('a short behind the fuse', () => {
  it('blows the fuse in the model itself, so that a new one is no cure', () => {
    const chafed = tracer.model.faults.find((f) => f.id === 'coil-feed.chafed')!;
    for (let m = 0; m < MEMBERS; m++)
      expect(tracer.weigher.ensemble([chafed]).scene(m).params['fuse']!['ohms']).toBeGreaterThan(1e9);
    const t = of([reading('look-fuse', 'blown'), fix('fuse.replace'), reading('look-fuse', 'blown')]);
    expect(share(t, 'coil-feed.chafed')).toBeGreaterThan(0.5);
  });
});

describe('every way of failing is isolated to its repair', () => {
  // Three machines of each kind of fit-out; the benchmark runs fifty a fault.
  it.each([
    [
      'six volts, positive earth, four cylinders',
      machine({ volts: 6, earth: 'positive', cylinders: 4, ballast: 'none', fused: false, compressionRatio: 6.2 }),
    ],
    ['eight cylinders, ballast bypassed while cranking', machine({ cylinders: 8, ballast: 'bypassed' })],
  ])(
    '%s',
    (_name, body) => {
      const own = new Tracer(body, house);
      let right = 0;
      const wrong: string[] = [];
      const common = own.model.faults.filter((f) => f.weight >= 1.5);
      for (const [i, fault] of common.entries()) {
        const hidden = Array.from(
          { length: 6 },
          (_, k) => new HiddenMachine(own.model, [fault], seededRandom(100 + i + 50 * k)),
        ).find((h) => h.brings(noFire) > 0.6);
        const explains = own.weigher.complaintShare([fault], noFire) > 0.2;
        if (!explains || !hidden) continue;
        const events: JobEvent[] = [];
        let t = own.trace(noFire, events, failing);
        while (t.verdict.kind === 'check' && events.length < 25) {
          const { check } = t.ranked[0]!;
          const { value } = { value: hidden.read(check) };
          events.push(
            reading(check.id, value.kind === 'number' ? value.value : value.kind === 'open' ? 'OL' : value.word),
          );
          t = own.trace(noFire, events, failing);
        }
        if (t.verdict.kind === 'fix' && t.verdict.repair.id === fault.repairId) right++;
        else wrong.push(`${fault.id} ended as ${t.verdict.kind === 'fix' ? t.verdict.repair.id : t.verdict.kind}`);
      }
      expect(right).toBeGreaterThan(10);
      expect(wrong.length, wrong.join('; ')).toBeLessThanOrEqual(2);
    },
    // Ten seconds on a quiet machine.
    180_000,
  );
});
