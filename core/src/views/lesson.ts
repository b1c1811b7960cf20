import type { Lesson, Move, Twist } from '../schema/practice.ts';
import type { CautionId, Opening } from '../trails/checks.ts';
import { standsAt } from '../practice/moves.ts';
import { warmthOf } from '../practice/standing.ts';
import type { LessonPast } from '../practice/habits.ts';
import type { Review } from '../practice/review.ts';
import type { Conditions, Complaint, JobEvent } from '../schema/job.ts';
import { standing, type Standing } from '../tracing/ruler.ts';
import { partCelsius } from '../tracing/heat.ts';
import type { Tracer } from '../tracing/trace.ts';

/** How a lesson stands, for its page: nothing of what is hidden. */
export interface LessonView {
  minutes: number;
  money: number;
  complaint: Complaint;
  /** The moves as a job would have them, for a trace of one's own. */
  events: readonly JobEvent[];
  opened: readonly Opening[];
  mended: readonly string[];
  warmth: Conditions['warmth'];
  celsius: number;
  hints: number;
  over: boolean;
  passedOver: readonly string[];
  /** Of each move: how its reading lies to what a sound machine reads; null where it is none. */
  standings: readonly (Standing | null)[];
  /** Cautions that were read already. */
  understood: readonly CautionId[];
}

export function lessonView(tracer: Tracer, lesson: Lesson, moves: readonly Move[]): LessonView {
  const so = standsAt({ tracer, lesson, moves });
  return {
    minutes: so.minutes,
    money: so.money,
    complaint: so.complaint,
    events: so.events,
    opened: [...so.opened],
    mended: [...so.mended],
    warmth: warmthOf(so.warmMinutes).warmth,
    celsius: partCelsius(so.warmMinutes),
    hints: so.hints,
    over: so.over,
    passedOver: so.passedOver,
    standings: moves.map(({ ask, answer }) => {
      if (ask.kind !== 'check' || answer.kind !== 'reading') return null;
      const check = tracer.weigher.check(ask.checkId);
      return check ? standing(tracer.weigher, check, answer.value) : null;
    }),
    understood: [...so.understood].filter((c): c is CautionId => !c.startsWith('told:')),
  };
}

/** A lesson in a list. */
export interface LessonRow {
  id: string;
  course: number | null;
  machine: string;
  machineId: string | null;
  twists: readonly Twist[];
  seed: number;
  set: boolean;
  complaint: Complaint;
  moves: number;
  over: boolean;
  /** Once it is over. */
  past: LessonPast | null;
  begunAt: string;
  /** Who plays it, where devices have names. */
  by: string;
}

/** One lesson as its page asks for it. */
export interface StoredLesson {
  id: string;
  lesson: Lesson;
  machineId: string | null;
  moves: readonly Move[];
  view: LessonView;
  begunAt: string;
  by: string;
}
/** Another way over the same machine. */
export interface OtherWay {
  id: string;
  by: string;
  begunAt: string;
  way: Review['way'];
  minutes: number;
  found: boolean;
}
