import { randomInt } from 'node:crypto';
import { COURSE, courseLesson, dueAgain, habitsOf, type Review, type StoredLesson } from '@pondu/core';
import { lessonAskSchema, MOST_SEED, moveAskSchema, type LessonFile } from '@pondu/core/schema';
import { Router } from 'express';
import { z } from 'zod';
import type { Compute } from '../compute/compute.ts';
import { notFound, Problem } from '../http/problem.ts';
import { body, param } from '../http/request.ts';
import type { Store } from '../store/database.ts';
import { readHouse } from '../store/house.ts';
import {
  dropLesson,
  keepLesson,
  keepMove,
  keepReview,
  keptLesson,
  keptReview,
  lessonRows,
  movedMeanwhile,
  otherWays,
  type KeptLesson,
} from '../store/lessons.ts';
import { getMachine } from '../store/machines.ts';
import { byOf } from './entries.ts';

/** A move, and after how many others it comes: two who play at once do not overtake each other. */
export const newMoveSchema = z
  .object({ place: z.number().int().min(0).max(500), ask: moveAskSchema })
  .meta({ id: 'NewMove' });
const MOST_MOVES = 200;
const notOver = () =>
  new Problem(409, 'not-over', 'This lesson is not over: what is hidden is told when it is given back.');

/** Lessons of the practice bench. What is hidden leaves the workshop once a lesson is over, and not before. */
export function practiceRoutes(store: Store, compute: Compute): Router {
  const routes = Router();
  const asked = ({ lesson, moves }: KeptLesson) => ({
    machine: lesson.machine,
    house: lesson.house,
    lesson,
    moves: [...moves],
  });
  const shown = async (kept: KeptLesson): Promise<StoredLesson> => {
    const { id, lesson, machineId, moves, begunAt, by } = kept;
    return { id, lesson, machineId, moves, begunAt, by, view: await compute.run('lesson', asked(kept)) };
  };
  const isOver = ({ moves }: KeptLesson): boolean => moves.at(-1)?.ask.kind === 'end';
  async function reviewed(kept: KeptLesson): Promise<Review> {
    if (!isOver(kept)) throw notOver();
    const known = await keptReview(store, kept.id);
    if (known) return known;
    const review = await compute.run('review', { ...asked(kept), truth: kept.truth });
    await keepReview(store, kept.id, review);
    return review;
  }

  routes.get('/course', (_req, res) => {
    res.json(
      COURSE.map(({ n, title, teaches, machine, twists }) => ({ n, title, teaches, twists, machine: machine.name })),
    );
  });
  routes.get('/', async (_req, res) => {
    const lessons = await lessonRows(store);
    const past = lessons.flatMap((l) => l.past ?? []).reverse();
    res.json({ lessons, habits: habitsOf(past), due: dueAgain(past).length });
  });
  routes.post('/', async (req, res) => {
    const ask = body(req, lessonAskSchema);
    const { house } = await readHouse(store);
    const by = byOf(req)?.initials ?? '';
    if (ask.course !== undefined) {
      const shipped = courseLesson(ask.course);
      if (!shipped) throw notFound('lesson in the course', String(ask.course));
      const dealt = await compute.run('deal', { ...shipped, house, course: shipped.n });
      return void res.status(201).json(await shown(await keepLesson(store, dealt, null, by)));
    }
    if (ask.file) {
      const { machine, twists, seed, faults } = ask.file;
      const dealt = await compute.run('deal', { machine, house, twists, seed, faults });
      return void res.status(201).json(await shown(await keepLesson(store, dealt, null, by)));
    }
    const { machine } = await getMachine(store, ask.machineId!);
    const seed = ask.seed ?? randomInt(1, MOST_SEED + 1);
    const dealt = await compute.run('deal', { machine, house, twists: ask.twists, seed, faults: ask.faults });
    res.status(201).json(await shown(await keepLesson(store, dealt, ask.machineId!, by)));
  });
  /** A picture that was mistaken, again: it comes back by itself, later each time that it is found. */
  routes.post('/again', async (req, res) => {
    const past = (await lessonRows(store)).flatMap((l) => l.past ?? []).reverse();
    const [again] = dueAgain(past);
    if (!again) throw new Problem(409, 'nothing-due', 'Nothing that was mistaken is due again.');
    const { machine } = await getMachine(store, again.machineId);
    const { house } = await readHouse(store);
    const twists = again.faults.length > 1 ? (['two faults'] as const) : [];
    const wanted = { machine, house, twists, seed: randomInt(1, MOST_SEED + 1), faults: again.faults };
    const dealt = await compute.run('deal', wanted);
    const by = byOf(req)?.initials ?? '';
    res.status(201).json(await shown(await keepLesson(store, dealt, again.machineId, by)));
  });
  routes.get('/:id', async (req, res) => void res.json(await shown(await keptLesson(store, param(req, 'id')))));
  routes.delete('/:id', async (req, res) => {
    await dropLesson(store, param(req, 'id'));
    res.status(204).end();
  });
  routes.post('/:id/moves', async (req, res) => {
    const { place, ask } = body(req, newMoveSchema);
    const kept = await keptLesson(store, param(req, 'id'));
    if (kept.moves.length !== place) throw movedMeanwhile();
    if (place >= MOST_MOVES && ask.kind !== 'end')
      throw new Problem(422, 'too-many', `After ${MOST_MOVES} moves a lesson can only be given back.`);
    const { move, view } = await compute.run('move', { ...asked(kept), truth: kept.truth, ask });
    await keepMove(store, kept.id, place, move);
    const { id, lesson, machineId, begunAt, by } = kept;
    const stored: StoredLesson = { id, lesson, machineId, begunAt, by, moves: [...kept.moves, move], view };
    res.status(201).json(stored);
  });
  /** What one move was worth, by what was known then. */
  routes.get('/:id/moves/:place/worth', async (req, res) => {
    const kept = await keptLesson(store, param(req, 'id'));
    const place = Number(param(req, 'place'));
    if (!Number.isInteger(place) || place < 0 || place >= kept.moves.length)
      throw notFound('move in this lesson', param(req, 'place'));
    res.json(await compute.run('tutor', { ...asked(kept), place }));
  });
  /** The lesson as a file. One that a teacher set says what is wrong, and leaves once it is over. */
  routes.get('/:id/file', async (req, res) => {
    const kept = await keptLesson(store, param(req, 'id'));
    const { machine, twists, seed, set } = kept.lesson;
    if (set && !isOver(kept)) throw notOver();
    const file: LessonFile = {
      format: 'pondu-lesson',
      version: 1,
      machine,
      twists,
      seed,
      ...(set ? { faults: kept.truth.faults.map((f) => f.id) } : {}),
    };
    res.attachment(`lesson-${seed}.json`).json(file);
  });
  routes.get('/:id/review', async (req, res) => {
    const kept = await keptLesson(store, param(req, 'id'));
    const review = await reviewed(kept);
    res.json({ review, others: await otherWays(store, kept) });
  });
  return routes;
}
