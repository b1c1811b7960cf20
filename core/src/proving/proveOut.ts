import { TRY_IT, type Check } from '../trails/checks.ts';
import type { Complaint, JobEvent, Reading } from '../schema/job.ts';
import { tell } from '../tracing/events.ts';
import { evidenceOf, leftAsRead } from '../tracing/settingEvidence.ts';
import { ranAt, soonest, takenAs, wantedOf, type Confirm, type Wanted } from './conditions.ts';
import { demands } from './demands.ts';
import { warmSpells } from './heat.ts';
import { passes } from '../tracing/ruler.ts';
import type { Tracer } from '../tracing/trace.ts';

export type ProofState = 'to do' | 'passed' | 'failed' | 'wrong conditions';

export interface Proof {
  readonly check: Check;
  readonly why:
    'what was complained of' | 'failed before' | 'spark on every cylinder' | 'its repair asks for it' | 'its cause';
  /** The reading after the last repair that answers it, if there is one. */
  readonly reading: Reading | undefined;
  readonly before: Reading | undefined;
  readonly state: ProofState;
  /** In which condition it must be proved. */
  readonly wanted: Wanted;
  /** When it can be taken at the soonest, where it must stand first. */
  readonly soonest: string | undefined;
}

const EVERY_SPARK = 'spark-every';

/** What must pass before the job closes: the engine itself, the checks that failed, as complained of, and every spark. */
export function proveOut(tracer: Tracer, complaint: Complaint, events: readonly JobEvent[]): Proof[] {
  const story = tell(evidenceOf(tracer.model, events));
  const fixed = story.fixes.length > 0;
  const failed = new Map<string, Reading>();
  const after = new Map<string, Reading[]>();
  for (const { reading, repaired } of story.readings) {
    const check = tracer.weigher.check(reading.checkId);
    if (!check) continue;
    // "Since the last repair": the same repairs had been done then as now, and at least one.
    if (fixed && repaired.size === story.repaired.size)
      after.set(reading.checkId, [...(after.get(reading.checkId) ?? []), reading]);
    else if (!passes(tracer.weigher, check, reading.value)) failed.set(reading.checkId, reading);
  }
  for (const reading of fixed ? leftAsRead(tracer.model, events) : [])
    after.set(
      reading.checkId,
      [...(after.get(reading.checkId) ?? []), reading].sort((a, b) => a.at.localeCompare(b.at)),
    );
  const ran = ranAt(tracer.model, events);
  const spells = warmSpells(events);
  const wanted: [string, Proof['why']][] = [[TRY_IT, 'what was complained of']];
  for (const id of failed.keys()) if (id !== EVERY_SPARK && id !== TRY_IT) wanted.push([id, 'failed before']);
  wanted.push([EVERY_SPARK, failed.has(EVERY_SPARK) ? 'failed before' : 'spark on every cylinder']);
  const asked = demands(tracer, events);
  for (const id of asked.cause) wanted.push([id, 'its cause']);
  for (const id of asked.repair) wanted.push([id, 'its repair asks for it']);
  // Each once, for the first reason.
  const reasons = [...new Map([...wanted].reverse())].reverse();
  return reasons.flatMap(([id, why]): Proof[] => {
    const check = tracer.weigher.check(id);
    if (!check) return [];
    const taken = after.get(id) ?? [];
    return wantedOf(check, complaint).map((wanted): Proof => {
      const as = (reading: Reading) => takenAs(wanted, reading, { ran, spells });
      // The last that was taken as it should be; else the last at all, to be said what is wrong with it.
      const reading = taken.findLast(as) ?? taken.at(-1);
      const state = stateOf(tracer, check, reading, as);
      return { check, why, reading, before: failed.get(id), wanted, soonest: soonest(wanted, ran), state };
    });
  });
}

function stateOf(
  tracer: Tracer,
  check: Check,
  reading: Reading | undefined,
  as: (reading: Reading) => boolean,
): ProofState {
  if (!reading) return 'to do';
  if (!passes(tracer.weigher, check, reading.value)) return 'failed';
  return as(reading) ? 'passed' : 'wrong conditions';
}

/** Proven: every proof passed and everything seen to. A job without a repair is never proven. */
export const proven = (proofs: readonly Proof[], seenTo: readonly Confirm[] = []): boolean =>
  proofs.length > 0 && proofs.every((p) => p.state === 'passed') && seenTo.every((c) => c.done);
