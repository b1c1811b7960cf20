import { useDraft } from '../draft/useDraft.ts';

export const GAUGE_UNITS = ['kPa', 'inHg', 'bar', 'psi', 'mmHg'] as const;
export type GaugeUnit = (typeof GAUGE_UNITS)[number];

/** The unit that this shop's gauges are read in. */
export const useGaugeUnit = () => useDraft<GaugeUnit>('gauge.unit', 'kPa');

const BARE = /^\s*[-+−]?[\d.,]+\s*$/;
/** A bare number for a gauge is in the unit that its face shows; said with it, so that the log keeps what was meant. */
export const inGaugeUnit = (typed: string, unit: GaugeUnit): string =>
  BARE.test(typed) ? `${typed.trim()} ${unit}` : typed;
