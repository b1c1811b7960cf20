import { describe, expect, it } from 'vitest';
import { BREATHING } from '../__tests__/breathingMachines.ts';
import { CRANKED } from '../__tests__/crankMachines.ts';
import { failing, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { readsLike } from '../__tests__/readsLike.ts';
import type { Complaint } from '../schema/job.ts';
import { Tracer } from './trace.ts';

const magneto = new Tracer(
  machine({ layout: 'flywheel-magneto', cylinders: 1, ballast: 'none', compressionRatio: 7 }),
  house,
);
const shareOf = (tracer: Tracer, id: string, complaint: Complaint, ...events: Parameters<Tracer['trace']>[1]) =>
  tracer.trace(complaint, events, failing).lines.find((l) => l.repair.id === id)?.share ?? 0;

describe('words are of one machine', () => {
  it('no spark, and a good one with another condenser: not the slight and the bad degree of burnt points in turn', () => {
    const dead = [reading('spark-every', 'none at all'), reading('points-1-gap', 0.38e-3)];
    const condenser = (...more: Parameters<Tracer['trace']>[1]) =>
      shareOf(magneto, 'condenser-1.replace', noFire, ...dead, ...more);
    expect(condenser(reading('spark-known-condenser-1', 'good'))).toBeGreaterThan(0.8);
    // The points burn for it, and are not what is called.
    const burnt = [...dead, reading('look-points-1', 'burnt or dirty'), reading('spark-known-condenser-1', 'good')];
    expect(magneto.trace(noFire, burnt, failing).verdict).not.toMatchObject({ repair: { id: 'points-1.dress' } });
  });
});

describe('what leads that find nothing still show', () => {
  it('a tenth of a volt at the end of a dead wire is no volts', () => {
    const tracer = new Tracer(CRANKED['relay and an interlock, with breaker points']!, house);
    const nothing: Complaint = { ...noFire, symptom: 'crank-nothing' };
    const shares = [0, 0.05, 0.1].map((volts) =>
      shareOf(
        tracer,
        'start-wire.remake',
        nothing,
        reading('battery-rest', 12.6),
        reading('crank-relay-coil', 12.2),
        reading('crank-small-terminal', volts),
      ),
    );
    expect(Math.max(...shares) - Math.min(...shares)).toBeLessThan(0.25);
  });
  it('a drop of a tenth of a volt is one: only feeds pick up', () => {
    const tracer = new Tracer(machine(), house);
    const drop = tracer.model.checks.find((c) => c.id === 'points-drop')!;
    const at = tracer.weigher.ensemble([]).predict(drop);
    expect(at.kind === 'number' && Math.max(...at.width)).toBeLessThan(0.6);
  });
});

describe('a figure that a leaf shows', () => {
  it('is hardly ever another one by mistake: a coil far from its flywheel stands beside what stops it', () => {
    const far = shareOf(
      magneto,
      'coil-1.gap',
      noFire,
      reading('spark-every', 'none at all'),
      reading('spark-stop-off', 'none at all'),
      reading('coil-1-air-gap', 1.9e-3),
    );
    expect(far).toBeGreaterThan(0.4);
  });
});

describe('vacuum of an engine that does not idle', () => {
  it('is read with the throttle held: the larger the leak, the lower, and never nothing', () => {
    const body = BREATHING['two carburettors, a servo, valves of crankcase and canister']!;
    const vacuum = [0.3, 0.6, 0.95].map((s) => -(readsLike(body, 'air-vacuum-idle', 'air-servo.open', s) as number));
    expect(vacuum[0]).toBeGreaterThan(vacuum[1]!);
    expect(vacuum[1]).toBeGreaterThan(vacuum[2]!);
    expect(vacuum[2]).toBeGreaterThan(15e3);
  });
});
