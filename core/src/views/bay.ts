import type { Station } from '../machine/trail.ts';
import type { Conditions, JobBody, JobEvent } from '../schema/job.ts';
import type { Tracer } from '../tracing/trace.ts';
import { complaintUnshown } from '../tracing/verdict.ts';
import type { StationState } from '../tracing/stations.ts';
import type { TraceView } from './views.ts';

/** What a bay shows of its job: the trail as one line, where it is lost, and what comes next. */
export interface BaySummary {
  stations: readonly Pick<Station, 'id' | 'label'>[];
  states: readonly StationState[];
  /** The leading suspect, once one leads. */
  lost: { part: string; how: string; share: number } | null;
  next: string;
}

/** From this share on a suspect is named. */
const LEADS_FROM = 0.3;

/** How things stood at the last reading; a constant fault is taken to be there. */
export function nowOf(job: Pick<JobBody, 'complaint'>, events: readonly JobEvent[]): Conditions {
  const last = events.findLast((e) => e.type === 'reading')?.reading;
  const present = job.complaint.pattern === 'constant' ? 'yes' : 'unknown';
  // A timed soak belongs to its own reading: the part has gone on warming or cooling since.
  return { warmth: last?.warmth ?? 'unknown', faultPresent: last?.faultPresent ?? present };
}

/** What the job asks for next, in one line. */
function nextLine(trace: TraceView, stage: JobBody['stage'], events: readonly JobEvent[]): string {
  const { verdict } = trace;
  if (stage === 'prove') return 'Prove it, then close';
  if (stage === 'set up') return 'Set it up';
  switch (verdict.kind) {
    case 'fix':
      return verdict.repair.label;
    case 'second check':
      return verdict.check.label;
    case 'sound':
      return events.some((e) => e.type === 'fix')
        ? 'Prove it'
        : complaintUnshown(verdict)
          ? 'The complaint does not show: try it'
          : `Look elsewhere: ${verdict.elsewhere[0]?.trail ?? 'not told'}`;
    case 'wait':
      return 'Wait until it fails again';
    case 'outside':
      return 'Readings contradict each other';
    default:
      return trace.ranked[0]?.label ?? 'Nothing left to check';
  }
}

/** Of the trail that is suspected most among those told. */
function openStations(tracer: Tracer, { trails }: TraceView): readonly Station[] {
  const told = tracer.model.machine.trails;
  const most = trails.flatMap((s) => told.find((t) => t.id === s.trail) ?? [])[0] ?? told[0]!;
  return most.stations;
}

/** `trace`: the job as it stands, with `nowOf` it. */
export function baySummary(tracer: Tracer, trace: TraceView, job: JobBody, events: readonly JobEvent[]): BaySummary {
  const [first] = trace.suspects;
  return {
    stations: openStations(tracer, trace).map(({ id, label }) => ({ id, label })),
    states: trace.stations,
    lost: first && first.share > LEADS_FROM ? { part: first.part, how: first.how, share: first.share } : null,
    next: nextLine(trace, job.stage, events),
  };
}
