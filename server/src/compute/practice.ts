import {
  answerMove,
  deal,
  lessonView,
  NoLesson,
  NoSuchMove,
  reviewOf,
  tutored,
  withTracer,
  type Dealt,
  type LessonView,
  type Review,
  type TracerCache,
  type Tutored,
  type LessonWanted,
} from '@pondu/core';
import type { Lesson, Move, MoveAsk, Truth } from '@pondu/core/schema';
import { Problem } from '../http/problem.ts';
import type { OfMachine } from './ofMachine.ts';

const NO_LESSON: Readonly<Record<NoLesson['code'], string>> = {
  'no such fault': 'This machine cannot fail in the way that was chosen. Choose another.',
  'not complained of': 'With that fault nobody would bring this machine in. Choose another fault or seed.',
  'not found': 'No dozen of draws gave a lesson that can be found on this machine. Try another seed or fewer twists.',
  'no ballast': 'There is no ballast on this machine that somebody could have bypassed. Choose another twist.',
};
const NO_MOVE: Readonly<Record<NoSuchMove['code'], string>> = {
  over: 'This lesson is over. Nothing was changed.',
  'no such check': 'This machine has no such check. Nothing was changed.',
  'no such repair': 'This machine has no such repair. Nothing was changed.',
};

export interface OfLesson extends OfMachine {
  lesson: Lesson;
  moves: Move[];
}

/** The practice bench: what is hidden stays in the workshop. */
export const PRACTICE_TASKS = {
  deal: (cache: TracerCache, wanted: LessonWanted & OfMachine): Dealt =>
    withTracer(cache, wanted.machine, wanted.house, (t) => {
      try {
        return deal(wanted, t);
      } catch (error) {
        if (error instanceof NoLesson) throw new Problem(422, 'no-lesson', NO_LESSON[error.code]);
        throw error;
      }
    }),
  lesson: (cache: TracerCache, { machine, house, lesson, moves }: OfLesson): LessonView =>
    withTracer(cache, machine, house, (t) => lessonView(t, lesson, moves)),
  move: (
    cache: TracerCache,
    { machine, house, lesson, moves, truth, ask }: OfLesson & { truth: Truth; ask: MoveAsk },
  ): { move: Move; view: LessonView } =>
    withTracer(cache, machine, house, (tracer) => {
      try {
        const move = answerMove({ tracer, lesson, truth, moves }, ask);
        return { move, view: lessonView(tracer, lesson, [...moves, move]) };
      } catch (error) {
        if (error instanceof NoSuchMove) throw new Problem(422, 'no-move', NO_MOVE[error.code]);
        throw error;
      }
    }),
  tutor: (cache: TracerCache, { machine, house, lesson, moves, place }: OfLesson & { place: number }): Tutored | null =>
    withTracer(cache, machine, house, (t) => tutored(t, lesson, moves, place) ?? null),
  review: (cache: TracerCache, { machine, house, lesson, moves, truth }: OfLesson & { truth: Truth }): Review =>
    withTracer(cache, machine, house, (t) => reviewOf(t, lesson, truth, moves)),
};
