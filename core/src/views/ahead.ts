import type { House } from '../schema/house.ts';
import type { Conditions, JobBody, JobEvent } from '../schema/job.ts';
import type { MachineBody } from '../schema/machine.ts';
import type { Ruler } from '../tracing/ruler.ts';
import { jobRuler } from '../tracing/told.ts';
import { withTracer } from '../tracing/solvable.ts';
import type { TracerCache } from '../tracing/tracerCache.ts';
import { nowOf } from './bay.ts';
import { modelView, type ModelView } from './model.ts';
import { checkView, traceView, type CheckView, type TraceView } from './views.ts';

/**
 * All that the first screen of a job asks for, worked out ahead: a page that has it shows it while its own worker is
 * still simulating the machine for the first time.
 */
export interface Ahead {
  /** As the job's last reading has it: what the trace was asked with. */
  now: Conditions;
  trace: TraceView;
  /** Of the check that is proposed, if one is. */
  ruler: { check: CheckView; ruler: Ruler } | null;
  model: ModelView;
}

/** Throws Unsolved where the machine cannot be computed. */
export const aheadOf = (
  cache: TracerCache,
  machine: MachineBody,
  house: House,
  job: JobBody,
  events: readonly JobEvent[],
): Ahead =>
  withTracer(cache, machine, house, (tracer) => {
    const now = nowOf(job, events);
    const trace = traceView(tracer, job.complaint, events, now);
    const { verdict } = trace;
    const proposed = trace.ranked.filter((r) => job.stage !== 'look' || r.look);
    const next = verdict.kind === 'second check' && job.stage !== 'look' ? verdict.check.id : proposed[0]?.id;
    const check = next === undefined ? undefined : tracer.weigher.check(next);
    return {
      now,
      trace,
      ruler: check ? { check: checkView(check), ruler: jobRuler(tracer, job.complaint, events, check) } : null,
      model: modelView(cache, machine, house),
    };
  });

/** What JSON has no word for: an open end of a band, a figure of what shows words. */
const NOT_FINITE = 'not finite';

/** As text that the network and the data file carry; `unpacked` gives back the same. */
export const packed = (ahead: Ahead): string =>
  JSON.stringify(ahead, (_key, value: unknown) =>
    typeof value === 'number' && !Number.isFinite(value) ? { [NOT_FINITE]: String(value) } : value,
  );
export const unpacked = (text: string): Ahead =>
  JSON.parse(text, (_key, value: unknown) =>
    typeof value === 'object' && value !== null && NOT_FINITE in value ? Number(value[NOT_FINITE]) : value,
  ) as Ahead;
