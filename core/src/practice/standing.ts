import type { Complaint, Conditions, JobEvent } from '../schema/job.ts';
import type { Lesson, Move } from '../schema/practice.ts';
import type { CautionId, Check, Opening } from '../trails/checks.ts';
import { partCelsius } from '../tracing/heat.ts';

/** How a lesson stands after some moves: all that its learner knows, and what it has taken so far. */
export interface LessonStanding {
  readonly minutes: number;
  readonly money: number;
  /** What the owner has told by now. */
  readonly complaint: Complaint;
  /** The moves as a job would have them. */
  readonly events: readonly JobEvent[];
  readonly opened: ReadonlySet<Opening>;
  /** Repairs that were made. */
  readonly mended: ReadonlySet<string>;
  /** Minutes that it has been warm, as a soak counts them. */
  readonly warmMinutes: number;
  readonly understood: ReadonlySet<string>;
  /** Told, and passed over. */
  readonly passedOver: readonly string[];
  readonly hints: number;
  /** Hints since the last move that was none. */
  readonly hintsHere: number;
  readonly over: boolean;
}

/** A bonnet cools more slowly than it warms: minutes. Judgement. */
const MINUTES_TO_COOL = 35;
const HOT_FROM = 50;
const COLD_UNTIL = 28;

/** Warm as it is, and nobody told whether the fault is there. */
export function warmthOf(warmMinutes: number): Pick<Conditions, 'warmth' | 'soakMinutes'> {
  const celsius = partCelsius(warmMinutes);
  const warmth = celsius >= HOT_FROM ? 'hot' : celsius <= COLD_UNTIL ? 'cold' : 'unknown';
  return { warmth, ...(warmMinutes > 1 ? { soakMinutes: Math.round(warmMinutes) } : {}) };
}

/** How things are as the tracer is asked: as warm as it is; what is always there is there. */
export const conditionsAt = ({
  complaint,
  warmMinutes,
}: Pick<LessonStanding, 'complaint' | 'warmMinutes'>): Conditions => ({
  ...warmthOf(warmMinutes),
  faultPresent: complaint.pattern === 'constant' ? 'yes' : 'unknown',
});

/** Practice has no date of its own: each lesson begins at eight on the first of a January. */
const BEGINS = 8 * 60;
const DAY = 24 * 60;
const two = (n: number): string => `${n}`.padStart(2, '0');
function momentAt(minutes: number): string {
  const at = BEGINS + Math.round(minutes);
  const day = Math.min(31, 1 + Math.floor(at / DAY));
  return `2026-01-${two(day)}T${two(Math.floor((at % DAY) / 60))}:${two(at % 60)}:00Z`;
}

interface Growing {
  minutes: number;
  money: number;
  complaint: Complaint;
  events: JobEvent[];
  opened: Set<Opening>;
  mended: Set<string>;
  warmMinutes: number;
  understood: Set<string>;
  passedOver: string[];
  hints: number;
  hintsHere: number;
  over: boolean;
}

function take(so: Growing, move: Move, place: number, checkOf: (id: string) => Check | undefined): void {
  const { ask, answer } = move;
  so.minutes += move.minutes;
  so.money += move.money;
  const at = momentAt(so.minutes);
  const id = `m${place}`;
  so.hintsHere = ask.kind === 'hint' ? so.hintsHere + 1 : 0;
  if (ask.kind === 'hint') so.hints++;
  if (ask.kind === 'check') {
    if (ask.understood && answer.kind !== 'not there')
      for (const caution of checkOf(ask.checkId)?.cautions ?? []) so.understood.add(caution);
    if (answer.kind === 'refused') for (const caution of answer.cautions) so.understood.add(told(caution));
    if (answer.kind === 'reading') {
      const check = checkOf(ask.checkId);
      for (const opening of check?.opens ?? []) so.opened.add(opening);
      so.passedOver.push(...answer.passedOver);
      if (check?.state.key === 'run') so.warmMinutes += move.minutes;
      const { value, conditions } = answer;
      const probe = ask.probe ? { probe: ask.probe } : {};
      so.events.push({
        type: 'reading',
        reading: { ...conditions, id, checkId: ask.checkId, ...probe, value, typed: '', note: '', at },
      });
    }
  }
  if (ask.kind === 'wait' && answer.kind === 'waited') {
    if (ask.how === 'stand') so.warmMinutes *= Math.exp(-ask.minutes / MINUTES_TO_COOL);
    else if (answer.ran) so.warmMinutes += ask.minutes;
  }
  if (answer.kind === 'told') {
    const { what, words, recent } = answer;
    so.complaint = { ...so.complaint, [what]: words, ...(recent.length ? { recent } : {}) };
  }
  if (ask.kind === 'fit' && answer.kind === 'fitted') {
    so.mended.add(ask.repairId);
    so.events.push({
      type: 'fix',
      fix: {
        id,
        repairId: ask.repairId,
        what: answer.what,
        how: 'replaced',
        parts: '',
        minutes: move.minutes,
        money: move.money,
        temporary: false,
        at,
      },
    });
  }
  if (ask.kind === 'end') so.over = true;
}

/** A caution that was told once, whether or not it was said to be understood. */
const told = (caution: string): string => `told:${caution}`;
export const wasTold = ({ understood }: Pick<LessonStanding, 'understood'>, caution: CautionId): boolean =>
  understood.has(told(caution));

/** The moves of a lesson, one after the other. Solves nothing: a page counts as the workshop does. */
export function standingOf(
  lesson: Pick<Lesson, 'complaint'>,
  moves: readonly Move[],
  checkOf: (id: string) => Check | undefined,
): LessonStanding {
  const so: Growing = {
    minutes: 0,
    money: 0,
    complaint: lesson.complaint,
    events: [],
    opened: new Set(),
    mended: new Set(),
    warmMinutes: 0,
    understood: new Set(),
    passedOver: [],
    hints: 0,
    hintsHere: 0,
    over: false,
  };
  moves.forEach((move, place) => take(so, move, place, checkOf));
  return so;
}
