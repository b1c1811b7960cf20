import { halved } from '../../engine/halved.ts';
import { dampedPeakShare } from '../../ignition/index.ts';
import type { CoilFigures } from './sparkPath.ts';

/**
 * Ohms across the secondary that burn what the iron loses: those at which the first swing keeps `share` of its height
 * against a characteristic impedance. By bisection on the decades.
 */
export function ironOhms(characteristicOhms: number, share: number): number {
  const [, high] = halved(0, 12, 60, (decade) => dampedPeakShare(characteristicOhms, 10 ** decade) < share);
  return 10 ** high;
}

/** What shunts a secondary, with what the coil's own iron burns beside it: for the transient, which has no other loss. */
export function shuntWithIron(
  coil: Pick<CoilFigures, 'turnsRatio' | 'farads' | 'henries' | 'transfer'>,
  condenserFarads: number,
  shuntOhms: number,
): number {
  const n2 = coil.turnsRatio ** 2;
  const farads = coil.farads + condenserFarads / n2;
  return 1 / (1 / shuntOhms + 1 / ironOhms(Math.sqrt((coil.henries * n2) / farads), coil.transfer));
}
