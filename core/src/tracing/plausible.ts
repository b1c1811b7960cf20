import type { Check } from '../trails/checks.ts';
import { fromRuler, INSTRUMENTS } from '../instruments/index.ts';
import type { Dimension } from '../quantity/index.ts';
import type { ReadingValue } from '../schema/job.ts';
import type { Weigher } from './belief.ts';
import type { ModelFault } from './model.ts';

/** So many times the farthest that anything on this machine would show, a reading is asked about. */
const FARTHER = 1.6;

/** No workshop meter shows more. */
const MOST_OHMS = 1e9;

/** The farthest from nothing that the check shows with these faults, SI; 0 where it shows OL alone. */
function farthest(weigher: Weigher, check: Check, dimension: Dimension, faults: readonly ModelFault[]): number {
  const predicted = weigher.ensemble(faults).predict(check);
  if (predicted.kind === 'word') return 0;
  return predicted.at.reduce(
    (most, u) => (Number.isNaN(u) ? most : Math.max(most, Math.abs(fromRuler(u, dimension)))),
    0,
  );
}

/**
 * Whether to ask "is the meter on the right range?" before taking a reading: it lies well beyond what this check shows
 * on this machine, sound or with any one fault.  It may still stand.
 */
export function absurd(weigher: Weigher, check: Check, value: ReadingValue): boolean {
  if (value.kind !== 'number') return false;
  const { dimension } = INSTRUMENTS[check.instrument];
  if (dimension === undefined) return false;
  const size = Math.abs(value.value);
  const within = (faults: readonly ModelFault[]) => size <= FARTHER * farthest(weigher, check, dimension, faults);
  // Ohms run on to OL with any broken joint, and a hand on the probes shows megohms.
  if (dimension === 'resistance') return size > MOST_OHMS;
  return !within([]) && !weigher.model.faults.some((fault) => within([fault]));
}
