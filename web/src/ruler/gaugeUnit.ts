import type { Ruler } from '@pondu/core';
import { useDraft } from '../draft/useDraft.ts';
import { useHabits } from '../units/habits.ts';

export const GAUGE_UNITS = ['kPa', 'inHg', 'bar', 'psi', 'mmHg'] as const;
export type GaugeUnit = (typeof GAUGE_UNITS)[number];

/** The unit that a gauge is read in: the shop's, or what was last chosen beside a face; `below` for one that shows vacuum. */
export function useGaugeUnit(below: boolean): [GaugeUnit, (unit: GaugeUnit) => void] {
  const { vacuum, pressure } = useHabits();
  const [chosen, setChosen] = useDraft<GaugeUnit | null>(below ? 'gauge.unit' : 'gauge.unit.over', null);
  return [chosen ?? (below ? vacuum : pressure), setChosen];
}

const BARE = /^\s*[-+−]?[\d.,]+\s*$/;
const UNSIGNED = /^\s*[\d.,]/;
/**
 * A bare number for a gauge is in the unit that its face shows; said with it, so that the log keeps what was meant. A
 * vacuum gauge shows how far below the air outside it is, and nobody says minus: `below` puts it there, a plus keeps it off.
 */
export function inGaugeUnit(typed: string, unit: GaugeUnit, below = false): string {
  const signed = below && UNSIGNED.test(typed) && !/^\s*[0.,]*\s*$/.test(typed) ? `−${typed.trim()}` : typed;
  return BARE.test(signed) ? `${signed.trim()} ${unit}` : signed;
}

/** Whether a gauge shows vacuum: below the air outside when all is well. */
export const showsVacuum = (ruler: Ruler | undefined): boolean =>
  ruler?.dimension === 'pressure' && ruler.well.high <= 0 && ruler.well.low < 0;
