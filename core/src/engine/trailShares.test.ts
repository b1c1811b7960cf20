import { describe, expect, it } from 'vitest';
import { KINDS } from '../__tests__/kinds.ts';
import { machine } from '../__tests__/machines.ts';
import { houseSchema } from '../schema/house.ts';
import { complaintSchema } from '../schema/job.ts';
import { TRAIL_NAMES } from '../schema/symptoms.ts';
import { Tracer } from '../tracing/trace.ts';
import { traceView } from '../views/views.ts';
import { trailShares } from './trailShares.ts';

const NOTHING = Object.fromEntries(TRAIL_NAMES.map((t) => [t, 0]));

describe('how often each trail lets an engine down', () => {
  it.each([
    ['as is usual', {}],
    ['spark with nothing', { spark: 0 }],
    ['everything with nothing', NOTHING],
    ['one with far more than all others', { fuel: 100 }],
  ])('weighed %s sums to one, and none is nothing', (_name, trails) => {
    const shares = Object.values(trailShares({ trails }));
    expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
    for (const share of shares) expect(share).toBeGreaterThan(0);
  });
  it.each([
    ['spark with nothing', { spark: 0 }],
    ['everything with nothing', NOTHING],
  ])('a shop that weighs %s still gets suspects and a check', (_name, trails) => {
    const tracer = new Tracer(machine(KINDS['breaker points, six cylinders']!), houseSchema.parse({ trails }));
    const now = { warmth: 'unknown', faultPresent: 'yes' } as const;
    const view = traceView(tracer, complaintSchema.parse({ symptom: 'no-fire', pattern: 'constant' }), [], now);
    expect(view.lines.length).toBeGreaterThan(0);
    for (const { share } of view.lines) expect(share).toBeGreaterThan(0);
    expect(view.ranked.length).toBeGreaterThan(0);
  });
});
