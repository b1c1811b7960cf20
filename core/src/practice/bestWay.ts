import type { Lesson, Move, MoveAsk, Truth, WayStep } from '../schema/practice.ts';
import type { Tracer } from '../tracing/trace.ts';
import { answerMove, standsAt } from './moves.ts';
import { conditionsAt, type LessonStanding } from './standing.ts';

/** Longer than this nobody would go on. */
const MOST_MOVES = 45;
/** A fault that heat brings on is waited for so long at a time, minutes. */
const WARM_FOR = 12;

/** Belief that one of those that are still there is what is wrong; once none is, it is found. */
export function beliefIn(
  tracer: Tracer,
  { complaint, events, mended }: Pick<LessonStanding, 'complaint' | 'events' | 'mended'>,
  truth: Pick<Truth, 'faults'>,
): number {
  const wrong = new Set(truth.faults.filter((f) => !mended.has(f.repairId)).map((f) => f.id));
  if (wrong.size === 0) return 1;
  const { weighed } = tracer.belief(complaint, events);
  return weighed.reduce((sum, w) => sum + (w.remaining.some((f) => wrong.has(f.id)) ? w.mass : 0), 0);
}

/** What the ranked policy would do next, as a move; nothing where it sees nothing wrong any more. */
export function adviseMove(tracer: Tracer, lesson: Lesson, moves: readonly Move[]): MoveAsk | undefined {
  const so = standsAt({ tracer, lesson, moves });
  const trace = tracer.trace(so.complaint, so.events, conditionsAt(so));
  const { verdict, ranked, soak } = trace;
  if (verdict.kind === 'fix') return { kind: 'fit', repairId: verdict.repair.id };
  if (verdict.kind === 'sound' || verdict.kind === 'outside') return undefined;
  if (verdict.kind === 'wait' || (soak && so.warmMinutes < WARM_FOR))
    return { kind: 'wait', how: 'warm', minutes: WARM_FOR };
  const check = verdict.kind === 'second check' ? verdict.check : ranked[0]?.check;
  return check && { kind: 'check', checkId: check.id, understood: true };
}

/** A move in a line, with what it left of belief in the truth. */
export function stepOf(tracer: Tracer, move: Move, belief: number): WayStep {
  const { ask, answer, minutes, money } = move;
  const took = { minutes, money, belief };
  if (ask.kind === 'check')
    return { kind: 'check', ref: ask.checkId, label: tracer.weigher.check(ask.checkId)?.label ?? ask.checkId, ...took };
  if (ask.kind === 'fit')
    return {
      kind: 'fit',
      ref: ask.repairId,
      label: answer.kind === 'fitted' ? answer.what : ask.repairId,
      ...took,
    };
  return { kind: 'other', ref: ask.kind, label: '', ...took };
}

/** The ranked policy's own way on this very machine: until everything is put right, or it sees no further. */
export function bestWay(
  tracer: Tracer,
  lesson: Lesson,
  truth: Omit<Truth, 'best'>,
): { way: WayStep[]; right: boolean } {
  const moves: Move[] = [];
  const way: WayStep[] = [];
  const playing = () => ({ tracer, lesson, truth: { ...truth, best: [] }, moves });
  for (;;) {
    const { mended } = standsAt({ tracer, lesson, moves });
    if (truth.faults.every((f) => mended.has(f.repairId))) return { way, right: true };
    const ask = moves.length < MOST_MOVES ? adviseMove(tracer, lesson, moves) : undefined;
    if (!ask) return { way, right: false };
    // A way that buys a part in vain is no way to learn from.
    if (ask.kind === 'fit' && ![...truth.faults, ...truth.besides].some((f) => f.repairId === ask.repairId))
      return { way, right: false };
    moves.push(answerMove(playing(), ask));
    const so = standsAt({ tracer, lesson, moves });
    way.push(stepOf(tracer, moves.at(-1)!, beliefIn(tracer, so, truth)));
  }
}
