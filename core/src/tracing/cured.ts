import { saidOf } from '../engine/complaint.ts';
import type { Complaint } from '../schema/job.ts';
import type { SymptomId } from '../schema/symptoms.ts';
import { TRY_IT } from '../trails/checks.ts';
import { sinceRepair, type Story } from './events.ts';

/** What an engine that runs even does not do any more. */
const GONE: ReadonlySet<SymptomId> = new Set<SymptomId>(['no-fire', 'dies', 'misses']);

/**
 * Whether something was put right and the engine, tried after it, no longer does what was complained of all the time:
 * what may be wrong besides is then not what it was brought in for.
 */
export function cured(complaint: Complaint, story: Story): boolean {
  if (story.repaired.size === 0 || complaint.pattern !== 'constant') return false;
  if (!saidOf(complaint).every((s) => GONE.has(s))) return false;
  const tried = sinceRepair(story)
    .filter((r) => r.checkId === TRY_IT)
    .at(-1)?.value;
  return tried?.kind === 'word' && tried.word === 'runs even';
}
