import type { TypedReading } from '@pondu/core';

type Failure = Extract<TypedReading, { ok: false }>['failure'];

/** What was wrong with a typed reading, in words. The browser has its own, fuller wording by the box. */
export function parseWords(failure: Failure): string {
  switch (failure.code) {
    case 'empty':
      return 'Give the reading.';
    case 'unreadable':
      return `"${failure.text}" is not a reading. Try 12.4, 300 mV, 4k7 or OL.`;
    case 'unknown-unit':
      return `"${failure.unit}" is not a unit known here.`;
    case 'wrong-dimension':
      return `This check is read in ${failure.wanted}, not in ${failure.unit}.`;
    case 'negative':
      return `A ${failure.dimension} cannot be below zero.`;
    case 'open-not-possible':
      return `OL is no reading of ${failure.wanted}.`;
    case 'not-a-word':
      return `Answer with one of: ${failure.words.join(', ')}.`;
  }
}
