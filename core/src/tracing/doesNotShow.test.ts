import { describe, expect, it } from 'vitest';
import { SQUEEZING } from '../__tests__/squeezingMachines.ts';
import { house, noFire } from '../__tests__/machines.ts';
import { follow } from '../practice/follow.ts';
import { HiddenMachine } from '../practice/hiddenMachine.ts';
import { seededRandom } from '../random/lcg.ts';
import type { Complaint } from '../schema/job.ts';
import { soundShare, unshownShare } from './counting.ts';
import { NOTHING, OUTSIDE } from './hypotheses.ts';
import { Tracer } from './trace.ts';

const engine = new Tracer(SQUEEZING['four cylinders, with spark, fuel, timing and air']!, house);
const told = (symptom: Complaint['symptom'], pattern: Complaint['pattern'] = 'constant'): Complaint => ({
  ...noFire,
  symptom,
  pattern,
});
/** Hands that never slip and eyes that see what is plain: what is asked is how long the way is, not how it is lost. */
const careful = { misprobe: 0, mistold: 0, keen: true };
const traced = (complaint: Complaint, faults: string[], seed: number, most = 50) =>
  follow(
    engine,
    complaint,
    new HiddenMachine(
      engine.model,
      engine.model.faults.filter((f) => faults.includes(f.id)),
      seededRandom(seed),
      careful,
    ),
    { most },
  );

describe('a machine with nothing wrong, brought in all the same', () => {
  it.each(['misses', 'idle-wrong'] as const)('%s: is passed, not traced without end', (symptom) => {
    for (const seed of [1, 2]) {
      const { named, events } = traced(told(symptom), [], seed);
      expect(named).toBe('sound');
      expect(events.length).toBeGreaterThanOrEqual(8);
    }
  });
  it('begins as what it is in a shop, a few of a hundred, and not at all where the complaint comes and goes', () => {
    const share = (complaint: Complaint) => engine.belief(complaint, []).weighed.find((w) => w.id === 'nothing')?.mass;
    expect(share(told('misses'))).toBeCloseTo(((1 - OUTSIDE) * NOTHING) / (1 + NOTHING), 2);
    expect(share(told('misses', 'now-and-then'))).toBeUndefined();
  });
  it('what is complained of and is there is not passed', () => {
    for (const [symptom, fault] of [
      ['stalls', 'fuel-filter.blocked'],
      ['misses', 'lead-2.open'],
      ['idle-wrong', 'air-stop.open'],
    ] as const)
      for (const seed of [1, 2, 3]) expect(traced(told(symptom), [fault], seed).named, fault).not.toBe('sound');
  });
  it('belief that it does not show is no part of what a trail that nobody told would explain', () => {
    const { events } = traced(told('misses'), [], 1);
    const belief = engine.belief(told('misses'), events);
    expect(unshownShare(belief)).toBeGreaterThan(0.5);
    const elsewhere = belief.weighed.filter((w) => w.elsewhere).reduce((sum, w) => sum + w.mass, 0);
    expect(soundShare(belief)).toBeGreaterThan(elsewhere);
  });
});
