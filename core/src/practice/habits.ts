import type { FindingId, Review } from './review.ts';

/** What is kept of a lesson that is over. */
export interface LessonPast {
  readonly machineId: string | null;
  readonly found: boolean;
  readonly findings: readonly FindingId[];
  /** Its faults. */
  readonly faults: readonly string[];
  readonly minutes: number;
  readonly bestMinutes: number;
  readonly trails: readonly string[];
}
export const pastOf = (
  review: Pick<Review, 'found' | 'findings' | 'truth' | 'minutes' | 'best'>,
  machineId: string | null,
  trails: readonly string[],
): LessonPast => ({
  machineId,
  found: review.found,
  findings: review.findings.map((f) => f.id),
  faults: review.truth.map((f) => f.id),
  minutes: review.minutes,
  bestMinutes: review.best.reduce((sum, s) => sum + s.minutes, 0),
  trails,
});

export interface Habit {
  readonly id: FindingId;
  readonly lessons: number;
  /** Of so many of the latest it shows in these: whether it is getting rarer. */
  readonly lately: number;
}
/** So many lessons are "lately". */
const LATELY = 5;
/** Shown once is luck. */
const HABIT_FROM = 2;

/** What comes back from lesson to lesson, the commonest first; `past` is oldest first. */
export function habitsOf(past: readonly LessonPast[]): Habit[] {
  const count = (of: readonly LessonPast[], id: FindingId) => of.filter((p) => p.findings.includes(id)).length;
  const ids = [...new Set(past.flatMap((p) => p.findings))];
  return ids
    .map((id) => ({ id, lessons: count(past, id), lately: count(past.slice(-LATELY), id) }))
    .filter((h) => h.lessons >= HABIT_FROM)
    .sort((a, b) => b.lessons - a.lessons);
}

/** A picture that was mistaken comes back after so many other lessons; each time that it is found, later. */
const SPACES = [1, 3, 7] as const;
const MISTAKEN: ReadonlySet<FindingId> = new Set<FindingId>(['not found', 'fitted in vain']);

export interface Again {
  readonly machineId: string;
  readonly faults: readonly string[];
}
/** What was mistaken and is due again, the longest due first. */
export function dueAgain(past: readonly LessonPast[]): Again[] {
  const due = new Map<string, Again & { readonly at: number }>();
  const spaces = new Map<string, number>();
  past.forEach((p, k) => {
    const key = `${p.machineId}|${[...p.faults].sort().join('+')}`;
    if (p.machineId === null) return;
    const mistaken = p.findings.some((f) => MISTAKEN.has(f));
    if (!mistaken && !spaces.has(key)) return;
    const step = mistaken ? 0 : spaces.get(key)! + 1;
    spaces.set(key, step);
    const space = SPACES[step];
    if (space === undefined) return void due.delete(key);
    due.set(key, { machineId: p.machineId, faults: p.faults, at: k + space });
  });
  return [...due.values()]
    .filter(({ at }) => at < past.length)
    .sort((a, b) => a.at - b.at)
    .map(({ machineId, faults }) => ({ machineId, faults }));
}
