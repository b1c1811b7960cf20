import { randomUUID } from 'node:crypto';
import { pastOf, type LessonRow, type OtherWay, type Review } from '@pondu/core';
import { lessonSchema, moveSchema, truthSchema, type Lesson, type Move, type Truth } from '@pondu/core/schema';
import { notFound, Problem } from '../http/problem.ts';
import type { Store } from './database.ts';
import type { LessonStoredRow } from './models.ts';

/** A lesson with what is hidden in it: never sent as it is. */
export interface KeptLesson {
  readonly id: string;
  readonly machineId: string | null;
  readonly lesson: Lesson;
  readonly truth: Truth;
  readonly moves: readonly Move[];
  readonly begunAt: string;
  readonly by: string;
}

const read = (row: LessonStoredRow): KeptLesson => ({
  id: row.id,
  machineId: row.machineId,
  lesson: lessonSchema.parse(JSON.parse(row.body)),
  truth: truthSchema.parse(JSON.parse(row.truth)),
  moves: moveSchema.array().parse(JSON.parse(row.moves)),
  begunAt: row.begunAt,
  by: row.playedBy,
});

async function rowOf(store: Store, id: string) {
  const row = await store.models.lessons.findByPk(id);
  if (!row) throw notFound('lesson', id);
  return row;
}
export const keptLesson = async (store: Store, id: string): Promise<KeptLesson> => read(await rowOf(store, id));

export async function keepLesson(
  store: Store,
  { lesson, truth }: { lesson: Lesson; truth: Truth },
  machineId: string | null,
  by: string,
): Promise<KeptLesson> {
  const id = randomUUID();
  const row = {
    id,
    machineId,
    body: JSON.stringify(lesson),
    truth: JSON.stringify(truth),
    moves: '[]',
    review: null,
    playedBy: by,
    begunAt: new Date().toISOString(),
    overAt: null,
  };
  await store.write((transaction) => store.models.lessons.create(row, { transaction }));
  store.changes.tell({ type: 'lesson', id });
  return read(row);
}

/** Puts a move after so many others. Throws where somebody else has moved meanwhile. */
export async function keepMove(store: Store, id: string, place: number, move: Move): Promise<void> {
  await store.write(async (transaction) => {
    const row = await store.models.lessons.findByPk(id, { transaction });
    if (!row) throw notFound('lesson', id);
    const moves = JSON.parse(row.moves) as Move[];
    if (moves.length !== place) throw movedMeanwhile();
    const overAt = move.ask.kind === 'end' ? new Date().toISOString() : null;
    await row.update({ moves: JSON.stringify([...moves, move]), overAt }, { transaction });
  });
  store.changes.tell({ type: 'lesson', id });
}
export const movedMeanwhile = () =>
  new Problem(409, 'moved', 'Somebody has gone on with this lesson meanwhile. Look at it again; nothing was changed.');

/** What a review came to, kept: it is worked out once. */
export async function keepReview(store: Store, id: string, review: Review): Promise<void> {
  await store.write(async (transaction) => {
    const row = await store.models.lessons.findByPk(id, { transaction });
    await row?.update({ review: JSON.stringify(review) }, { transaction });
  });
  store.changes.tell({ type: 'lesson', id });
}
const reviewIn = (row: LessonStoredRow): Review | undefined =>
  row.review === null ? undefined : (JSON.parse(row.review) as Review);
export const keptReview = async (store: Store, id: string): Promise<Review | undefined> =>
  reviewIn(await rowOf(store, id));

export async function dropLesson(store: Store, id: string): Promise<void> {
  await store.write(async (transaction) => {
    const row = await store.models.lessons.findByPk(id, { transaction });
    if (!row) throw notFound('lesson', id);
    await row.destroy({ transaction });
  });
  store.changes.tell({ type: 'lesson', id });
}

const LISTED = 300;
/** The latest lessons, the newest first. */
export async function lessonRows(store: Store): Promise<LessonRow[]> {
  const rows = await store.models.lessons.findAll({ order: [['begunAt', 'DESC']], limit: LISTED });
  return rows.map((row) => {
    const { id, lesson, machineId, moves, begunAt, by } = read(row);
    const review = reviewIn(row);
    const trails = lesson.machine.fitOut.trails.map((t) => t.trail);
    return {
      id,
      machineId,
      begunAt,
      by,
      course: lesson.course,
      machine: lesson.machine.name,
      twists: lesson.twists,
      seed: lesson.seed,
      set: lesson.set,
      complaint: lesson.complaint,
      moves: moves.length,
      over: row.overAt !== null,
      past: review ? pastOf(review, machineId, trails) : null,
    };
  });
}

/** What others did with the very same machine: those that are over. */
export async function otherWays(store: Store, kept: KeptLesson): Promise<OtherWay[]> {
  const rows = await store.models.lessons.findAll({ order: [['begunAt', 'ASC']], limit: LISTED });
  const same = JSON.stringify(kept.truth);
  return rows.flatMap((row) => {
    const review = reviewIn(row);
    if (row.id === kept.id || !review || JSON.stringify(read(row).truth) !== same) return [];
    const { way, minutes, found } = review;
    return { id: row.id, by: row.playedBy, begunAt: row.begunAt, way, minutes, found };
  });
}
