import type { CheckView, Move, StoredLesson } from '@pondu/core';
import { showQuantity } from '../../units/quantity.ts';

type Standing = NonNullable<StoredLesson['view']['standings'][number]>;

/** How a reading lies to what a sound machine reads. */
export const STANDING_WORDS: Readonly<Record<Standing, string>> = {
  well: 'as it should be',
  above: 'above its band',
  below: 'below its band',
  off: 'not as it should be',
};

/** What a check showed, as one would write it down. */
export function answerWords(
  answer: Extract<Move['answer'], { kind: 'reading' }>,
  check: CheckView | undefined,
): string {
  const { value } = answer;
  if (value.kind === 'word') return value.word;
  if (value.kind === 'open') return 'OL';
  if (check?.dimension) return showQuantity(value.value, check.dimension);
  return value.value.toPrecision(3);
}
