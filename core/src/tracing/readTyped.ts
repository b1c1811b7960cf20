import type { Check } from '../trails/checks.ts';
import { canBeShown, INSTRUMENTS } from '../instruments/index.ts';
import { parseQuantity, type ParseFailure } from '../quantity/index.ts';
import type { ReadingValue } from '../schema/job.ts';

export type TypedReading =
  | { ok: true; value: ReadingValue }
  | { ok: false; failure: ParseFailure | { code: 'not-a-word'; text: string; words: readonly string[] } };

/** What a typed reading needs to know of its check. */
type Asked = Pick<Check, 'instrument' | 'words'>;

export const wordsOf = (check: Asked): readonly string[] => check.words ?? INSTRUMENTS[check.instrument].words ?? [];

/** Whether a value is one that this check can show at all: a number for a number, and none that no instrument shows; OL where a meter has it, its own words. */
export function suits(check: Asked, value: ReadingValue): boolean {
  const { dimension } = INSTRUMENTS[check.instrument];
  if (value.kind === 'word') return dimension === undefined && wordsOf(check).includes(value.word);
  if (dimension === undefined) return false;
  return value.kind === 'open' ? dimension === 'resistance' : canBeShown(value.value, dimension);
}

/** A reading as typed or picked, made into a value that suits the check. A bare number takes the check's usual unit. */
export function readTyped(check: Asked, typed: string): TypedReading {
  const { dimension } = INSTRUMENTS[check.instrument];
  if (dimension === undefined) {
    const words = wordsOf(check);
    const word = words.find((w) => w.toLowerCase() === typed.trim().toLowerCase());
    return word
      ? { ok: true, value: { kind: 'word', word } }
      : { ok: false, failure: { code: 'not-a-word', text: typed, words } };
  }
  const parsed = parseQuantity(typed, dimension);
  if (!parsed.ok) return parsed;
  return { ok: true, value: parsed.open ? { kind: 'open' } : { kind: 'number', value: parsed.value } };
}
