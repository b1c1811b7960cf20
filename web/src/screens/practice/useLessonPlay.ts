import type { MoveAsk, StoredLesson } from '@pondu/core';
import { useState } from 'react';
import { useSWRConfig } from 'swr';
import { makeMove } from '../../api/practice.ts';
import { problemOf } from '../../api/problem.ts';

/** Makes moves one after the other: the answer takes the lesson's place on the screen. */
export function useLessonPlay(stored: StoredLesson) {
  const { mutate } = useSWRConfig();
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState('');
  const make = async (ask: MoveAsk): Promise<StoredLesson | undefined> => {
    if (busy) return undefined;
    setBusy(true);
    setError('');
    try {
      const after = await makeMove(stored.id, stored.moves, ask);
      await mutate(`/practice/${stored.id}`, after, { revalidate: false });
      if (ask.kind === 'end') void mutate('/practice');
      return after;
    } catch (failed) {
      setError(problemOf(failed).message);
      // Somebody else may have moved on it.
      void mutate(`/practice/${stored.id}`);
      return undefined;
    } finally {
      setBusy(false);
    }
  };
  return { make, busy, error };
}
export type LessonPlay = ReturnType<typeof useLessonPlay>;
