import type { Live } from '@pondu/core';
import { showQuantity } from '../units/quantity.ts';

/** Two figures differ where a meter would say so: by two hundredths of a volt or an ampere, and by a fiftieth. */
const LEAST = 0.02;
const SHARE = 0.02;
export const differs = (well: number | undefined, bad: number | undefined): boolean =>
  well !== undefined && bad !== undefined && Math.abs(bad - well) > LEAST + SHARE * Math.abs(well);

export const volts = (value: number | undefined): string =>
  value === undefined ? '' : showQuantity(Math.abs(value) < 5e-4 ? 0 : value, 'voltage');
export const amps = (value: number | undefined): string =>
  value === undefined || Math.abs(value) < 5e-4 ? '' : showQuantity(Math.abs(value), 'current');

export interface Figure {
  readonly well: string;
  /** Only where it differs. */
  readonly bad: string | undefined;
}
type Told = 'volts' | 'amps';
export function figureOf(of: Told, key: string, well: Live, bad: Live | undefined): Figure {
  const words = of === 'volts' ? volts : amps;
  const [w, b] = [well[of][key], bad?.[of][key]];
  return { well: words(w), bad: differs(w, b) ? words(b) || '0 A' : undefined };
}
