import type { Check, Opening } from '../trails/checks.ts';
import type { Complaint, Conditions, JobEvent } from '../schema/job.ts';
import { proven, proveOut } from '../proving/proveOut.ts';
import type { Belief } from '../tracing/belief.ts';
import { minutesOf, type RankedCheck } from '../tracing/nextCheck.ts';
import type { Tracer } from '../tracing/trace.ts';
import { SOAK_MINUTES } from '../tracing/heat.ts';
import type { HiddenMachine } from './hiddenMachine.ts';

export interface Followed {
  /** The repair called for, or the verdict where it is another. */
  readonly named: string;
  readonly checks: number;
  /** With what had to be opened. */
  readonly minutes: number;
  readonly events: readonly JobEvent[];
  /** Belief in what was named when it was named. */
  readonly share: number;
}

export interface Following {
  readonly now?: Conditions;
  readonly most?: number;
  /** What comes before: earlier readings and repairs. */
  readonly events?: readonly JobEvent[];
  /** Whether nothing can be made of a check. */
  readonly cannotTell?: (check: Check) => boolean;
  /** Which check to take; the tracer's first when it is not given. */
  readonly choose?: (belief: Belief, ranked: readonly RankedCheck[]) => Check | undefined;
}

const NOW: Conditions = { warmth: 'unknown', faultPresent: 'yes' };
const AT = '2026-01-01T00:00:00Z';

const read = (hidden: Pick<HiddenMachine, 'read'>, check: Check, now: Conditions, place: number): JobEvent => ({
  type: 'reading',
  reading: { ...now, id: `f${place}`, checkId: check.id, typed: '', note: '', at: AT, value: hidden.read(check) },
});

/** It last ran a day before what is read. */
const stoodBefore = (place: number): JobEvent => ({
  type: 'sheet',
  sheet: { id: `h${place}`, body: { kind: 'heat', ranMinutes: 0, stoppedAt: DAY_BEFORE }, at: AT },
});
const DAY_BEFORE = '2025-12-31T00:00:00Z';

const setAside = (check: Check, place: number): JobEvent => ({
  type: 'aside',
  aside: { id: `f${place}`, checkId: check.id, note: '', at: AT },
});

/** Proves a repair out on a hidden machine: everything that happened, with what the prove-out asks for taken. */
export function provedOn(
  tracer: Tracer,
  complaint: Complaint,
  hidden: Pick<HiddenMachine, 'read'>,
  before: readonly JobEvent[],
): { events: readonly JobEvent[]; proven: boolean } {
  const events = [...before];
  for (const { check, state, wanted } of proveOut(tracer, complaint, before)) {
    const now = {
      ...NOW,
      warmth: wanted.warmth ?? NOW.warmth,
      ...(wanted.under ? { under: wanted.under } : {}),
      ...(wanted.warmth === 'hot' ? { soakMinutes: SOAK_MINUTES } : {}),
    };
    if (state !== 'to do') continue;
    if (wanted.restHours > 0) events.push(stoodBefore(events.length));
    events.push(read(hidden, check, now, events.length));
  }
  return { events, proven: proven(proveOut(tracer, complaint, events)) };
}

/** Takes one check after the other on a hidden machine until the tracer calls for a repair or gives up. */
export function follow(
  tracer: Tracer,
  complaint: Complaint,
  hidden: Pick<HiddenMachine, 'read'>,
  how: Following = {},
): Followed {
  const now = how.now ?? NOW;
  const events: JobEvent[] = [...(how.events ?? [])];
  const open = new Set<Opening>();
  let [minutes, checks] = [0, 0];
  for (;;) {
    const belief = tracer.belief(complaint, events);
    const ranked = tracer.rank(belief, complaint, now);
    const verdict = tracer.verdict(belief, complaint, now, ranked);
    const asked = verdict.kind === 'second check' ? verdict.check : undefined;
    const done = (verdict.kind !== 'check' && !asked) || checks >= (how.most ?? 25);
    const check = done ? undefined : (asked ?? (how.choose ? how.choose(belief, ranked) : ranked[0]?.check));
    if (!check) {
      const named = verdict.kind === 'fix' ? verdict.repair.id : verdict.kind;
      return { named, checks, minutes, events, share: 'share' in verdict ? verdict.share : 0 };
    }
    minutes += minutesOf(check, open);
    check.opens.forEach((o) => open.add(o));
    checks++;
    events.push(how.cannotTell?.(check) ? setAside(check, events.length) : read(hidden, check, now, events.length));
  }
}
