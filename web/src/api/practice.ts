import type { Habit, LessonRow, OtherWay, Review, StoredLesson, Tutored } from '@pondu/core';
import type { LessonAsk, Move, MoveAsk, Twist } from '@pondu/core';
import useSWR from 'swr';
import { call, get } from './client.ts';

export interface Practice {
  lessons: readonly LessonRow[];
  habits: readonly Habit[];
  /** So many that were mistaken come back now. */
  due: number;
}
export interface CourseRow {
  n: number;
  title: string;
  teaches: string;
  machine: string;
  twists: readonly Twist[];
}
export interface Reviewed {
  review: Review;
  others: readonly OtherWay[];
}

const options = { keepPreviousData: true, dedupingInterval: 500 };
export const usePractice = () => useSWR<Practice>('/practice', get, options);
export const useCourse = () => useSWR<readonly CourseRow[]>('/practice/course', get, options);
export const useLesson = (id: string | undefined) => useSWR<StoredLesson>(id ? `/practice/${id}` : null, get, options);
export const useReview = (id: string | undefined) =>
  useSWR<Reviewed>(id ? `/practice/${id}/review` : null, get, options);

/** Drawing a machine that can be found takes its time. */
const PATIENCE_MS = 60_000;

export const beginLesson = (ask: Partial<LessonAsk>): Promise<StoredLesson> =>
  call('POST', '/practice', ask, undefined, PATIENCE_MS);
export const beginAgain = (): Promise<StoredLesson> => call('POST', '/practice/again', {}, undefined, PATIENCE_MS);
export const makeMove = (id: string, moves: readonly Move[], ask: MoveAsk): Promise<StoredLesson> =>
  call('POST', `/practice/${id}/moves`, { place: moves.length, ask }, undefined, PATIENCE_MS);
export const worthOf = (id: string, place: number): Promise<Tutored | null> =>
  call('GET', `/practice/${id}/moves/${place}/worth`, undefined, undefined, PATIENCE_MS);
export const dropLesson = (id: string): Promise<void> => call('DELETE', `/practice/${id}`);
