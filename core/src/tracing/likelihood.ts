import type { Check } from '../checks/index.ts';
import { INSTRUMENTS, toRuler } from '../instruments/index.ts';
import type { Dimension } from '../quantity/index.ts';
import type { ReadingValue } from '../schema/job.ts';
import type { Predicted } from './ensemble.ts';

/** Share of readings that are something else altogether: wrong terminal, wrong range, a slipped probe. */
export const MISPROBE = 0.03;
/** Where such a reading may land: evenly over the ruler, this wide, or OL. */
const RULER_WIDTH: Readonly<Partial<Record<Dimension, number>>> = {
  voltage: 12,
  resistance: 20,
  length: 6,
  capacitance: 8,
};
const STRAY_OPEN = 0.15;

export const rulerWidth = (dimension: Dimension): number => RULER_WIDTH[dimension] ?? 10;

/** Likelihood of a reading that missed its mark. */
function stray(check: Check, value: ReadingValue): number {
  if (value.kind === 'word') return 1 / (check.words?.length ?? 3);
  if (value.kind === 'open') return STRAY_OPEN;
  return 1 / rulerWidth(INSTRUMENTS[check.instrument].dimension ?? 'ratio');
}

function meant(check: Check, predicted: Predicted, value: ReadingValue, member: number): number {
  if (predicted.kind === 'word') return value.kind === 'word' ? (predicted.shares[member]![value.word] ?? 0) : 0;
  if (value.kind === 'open') return predicted.open[member] ? 1 : 0;
  if (value.kind !== 'number' || predicted.open[member]) return 0;
  const dimension = INSTRUMENTS[check.instrument].dimension ?? 'ratio';
  const width = predicted.width[member]!;
  const z = (toRuler(value.value, dimension) - predicted.at[member]!) / width;
  return Math.exp((-z * z) / 2) / (width * Math.sqrt(2 * Math.PI));
}

/** p(reading | member), with the heavy tail; `straying` is the part of it that the tail explains. */
export function likelihood(check: Check, predicted: Predicted, value: ReadingValue, member: number) {
  const straying = MISPROBE * stray(check, value);
  return { total: (1 - MISPROBE) * meant(check, predicted, value, member) + straying, straying };
}

/** What a hypothesis that claims nothing says of any reading: all of the ruler alike. */
export const unclaimed = (check: Check, value: ReadingValue): number => stray(check, value);
