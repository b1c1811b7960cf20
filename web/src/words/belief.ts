import type { CheckView, TraceView } from '@pondu/core';
import { showQuantity } from '../units/quantity.ts';
/** A share of belief in words. */
export function shareWords(share: number): string {
  if (share >= 0.98) return 'almost certain';
  if (share >= 0.85) return 'very likely';
  if (share >= 0.6) return 'likely';
  if (share >= 0.3) return 'quite possible';
  if (share >= 0.1) return 'possible';
  if (share >= 0.02) return 'unlikely';
  return 'all but ruled out';
}

export const percent = (share: number): string =>
  share > 0.995 ? '99 %+' : share < 0.005 ? '<1 %' : `${Math.round(share * 100)} %`;

/** How a reading bears on a suspect, from the powers of ten by which it moved it. */
export function bearing(decades: number): string {
  const size = Math.abs(decades);
  const how = size > 2 ? 'decisively' : size > 1 ? 'strongly' : size > 0.6 ? 'clearly' : 'a little';
  return `${how} ${decades > 0 ? 'for' : 'against'}`;
}

export const minutesWords = (minutes: number): string =>
  minutes < 0.9 ? 'under a minute' : minutes < 10 ? `${Math.round(minutes * 2) / 2} min` : `${Math.round(minutes)} min`;

export const moneyWords = (amount: number, currency: string): string => `${currency}${Math.round(amount)}`;

/** A reading as one would say it: a word, OL, or about so much. */
export function cellWords(
  reading: TraceView['mindChangers'][number]['reading'],
  dimension: CheckView['dimension'],
): string {
  if (reading.kind === 'word') return reading.word;
  if (reading.kind === 'open') return 'OL';
  return dimension ? `about ${showQuantity((reading.low + reading.high) / 2, dimension)}` : '';
}
