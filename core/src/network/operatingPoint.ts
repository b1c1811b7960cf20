import { Prepared } from './prepared.ts';
import type { Element, SolveResult } from './types.ts';

/** Operating point of a network that is solved once [6]. Efforts against node '0'; `leak` as in `Prepared`. */
export function solveOperatingPoint(elements: readonly Element[], leak?: number): SolveResult {
  return new Prepared(elements, leak).operatingPoint();
}
