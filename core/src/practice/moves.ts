import type { FreeProbe } from '../schema/freeProbe.ts';
import type { Conditions } from '../schema/job.ts';
import type { Lesson, Move, MoveAnswer, MoveAsk, Truth } from '../schema/practice.ts';
import type { CautionId, Check } from '../trails/checks.ts';
import { minutesOf } from '../tracing/nextCheck.ts';
import type { Tracer } from '../tracing/trace.ts';
import { hintFor } from './hint.ts';
import { PlayedMachine, seenSince } from './playedMachine.ts';
import { conditionsAt, standingOf, warmthOf, wasTold, type LessonStanding } from './standing.ts';

/** What cannot be done at all: by a code that the interface words. */
export class NoSuchMove extends Error {
  readonly code: 'over' | 'no such check' | 'no such repair';
  constructor(code: NoSuchMove['code']) {
    super(code);
    this.code = code;
  }
}

/** Minutes for what is no check and no repair. */
const MINUTES = { ask: 1, tried: 2 } as const;

const REFUSED = { minutes: 0, money: 0 } as const;

/** One lesson being played: the told machine's tracer for advice, the hidden one for answers. */
interface Playing {
  readonly tracer: Tracer;
  readonly lesson: Lesson;
  readonly truth: Truth;
  readonly moves: readonly Move[];
}

/** How things stand before the next move. */
export const standsAt = ({ tracer, lesson, moves }: Omit<Playing, 'truth'>): LessonStanding => {
  for (const { ask } of moves) if (ask.kind === 'check' && ask.probe) tracer.weigher.learn(ask.probe);
  return standingOf(lesson, moves, (id) => tracer.weigher.check(id));
};

/** Answers one move. The same lesson and moves give the same answer. Throws NoSuchMove. */
export function answerMove(playing: Playing, ask: MoveAsk): Move {
  const so = standsAt(playing);
  if (so.over) throw new NoSuchMove('over');
  switch (ask.kind) {
    case 'check':
      return checked(playing, so, ask);
    case 'wait': {
      const ran = ask.how !== 'run' || starts(playing, so);
      return { ask, answer: { kind: 'waited', ran }, minutes: ran ? ask.minutes : MINUTES.tried, money: 0 };
    }
    case 'ask': {
      const { since, before, recent = [] } = playing.truth.knows;
      const { what } = ask;
      const told = what === 'since' ? { words: since, recent: [] } : { words: before, recent };
      return { ask, answer: { kind: 'told', what, ...told }, minutes: MINUTES.ask, money: 0 };
    }
    case 'fit': {
      const repair = playing.tracer.model.repairs.get(ask.repairId);
      if (!repair) throw new NoSuchMove('no such repair');
      const what = `${repair.part.label}: ${repair.label}`;
      return { ask, answer: { kind: 'fitted', what }, minutes: repair.minutes, money: repair.money };
    }
    case 'hint': {
      const hint = hintFor(playing.tracer, so.complaint, so.events, conditionsAt(so), so.hintsHere + 1);
      return { ask, answer: { kind: 'hint', hint }, ...REFUSED };
    }
    case 'end':
      return { ask, answer: { kind: 'over' }, ...REFUSED };
  }
}

/** Whether the engine can be run at all just now. */
function starts({ tracer, lesson, truth, moves }: Playing, so: LessonStanding): boolean {
  const played = PlayedMachine.of(tracer.model, lesson, truth);
  const there = played.shownAt(moves.length, { ...warmthOf(so.warmMinutes), faultPresent: 'unknown' });
  const ways = played.at(so.mended, there).runs();
  return 1 - ways['does not fire']! > 0.5;
}

function checked(playing: Playing, so: LessonStanding, ask: Extract<MoveAsk, { kind: 'check' }>): Move {
  const { tracer } = playing;
  const check = ask.probe ? tracer.weigher.learn(ask.probe) : tracer.weigher.check(ask.checkId);
  if (!check || check.id !== ask.checkId) throw new NoSuchMove('no such check');
  const unread = check.cautions.filter((c) => !so.understood.has(c));
  const cautions = ask.understood ? [] : unread;
  if (cautions.some((c) => !wasTold(so, c))) return { ask, answer: { kind: 'refused', cautions }, ...REFUSED };
  const answer = read(playing, so, { check, probe: ask.probe, cautions });
  if (answer.kind === 'not there') return { ask, answer, ...REFUSED };
  return { ask, answer, minutes: minutesOf(check, so.opened), money: 0 };
}

/** What the instrument shows on the hidden machine as it stands just now. */
function read(
  { tracer, lesson, truth, moves }: Playing,
  so: LessonStanding,
  { check, probe, cautions }: { check: Check; probe: FreeProbe | undefined; cautions: readonly CautionId[] },
): MoveAnswer {
  const played = PlayedMachine.of(tracer.model, lesson, truth);
  const real = played.check(check.id, probe);
  if (!real) return { kind: 'not there' };
  const place = moves.length;
  const warm: Conditions = { ...warmthOf(so.warmMinutes), faultPresent: 'unknown' };
  const there = played.shownAt(place, warm);
  const value = played.at(so.mended, there, seenSince(moves)).read(real, played.luck(place));
  const faultPresent = there ? 'yes' : 'no';
  return { kind: 'reading', value, conditions: { ...warm, faultPresent }, passedOver: [...cautions] };
}
