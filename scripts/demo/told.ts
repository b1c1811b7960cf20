import type { FitOut, FitOutOne, TrailFit } from '@pondu/core/schema';
import { upgradeFitOut } from '@pondu/core/schema';

/** A machine that was told by its spark alone, with what turns it and what charges it. */
export const told = (spark: FitOutOne, ...others: TrailFit[]) => {
  const whole = upgradeFitOut(spark) as FitOut;
  return { ...whole, trails: [...whole.trails, ...others] };
};
type Of<T extends TrailFit['trail']> = TrailFit & { trail: T };
export const crank = (kind: Of<'crank'>['kind'], ...interlocks: string[]): TrailFit => ({
  trail: 'crank',
  kind,
  options: { interlocks },
});
export const charge = (kind: Of<'charge'>['kind'], options: Partial<Of<'charge'>['options']> = {}): TrailFit => ({
  trail: 'charge',
  kind,
  options: { loads: [], ...options },
});
export const fuel = (kind: Of<'fuel'>['kind'], options: Partial<Of<'fuel'>['options']> = {}): TrailFit => ({
  trail: 'fuel',
  kind,
  options: { carburettors: 1, sealed: false, enriching: 'choke', ...options },
});
export const air = (options: Of<'air'>['options'] = {}): TrailFit => ({ trail: 'air', kind: 'throttled', options });
export const compression = (
  kind: Of<'compression'>['kind'],
  options: Partial<Of<'compression'>['options']> = {},
): TrailFit => ({ trail: 'compression', kind, options: { cooling: 'water', reeds: false, ...options } });
