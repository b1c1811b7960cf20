import { logistic } from '../random/lcg.ts';

/** A part under a bonnet, or under a heat gun held to it: so far above the air, and so slowly. °C, minutes. */
const RISE = 65;
const MINUTES_TO_WARM = 11;
const AIR = 20;

/** Temperature of a part that has been run or heated for so many minutes, from cold: T = T₀ + ΔT·(1 − e^(−t/τ)). °C */
export const partCelsius = (minutes: number, air = AIR): number =>
  air + RISE * (1 - Math.exp(-Math.max(0, minutes) / MINUTES_TO_WARM));

/** Faults that heat brings out do so at temperatures of their own, spread about this one. °C */
const MIDDLE = 57;
const SPREAD = 7;
/** Not every one comes at all on a given day. */
const EVER = 0.97;
const COLD_ANYWAY = 0.04;

/** Share of such faults that show with the part at a temperature, 0…1. */
export const showsAt = (celsius: number): number => Math.max(COLD_ANYWAY, EVER * logistic((celsius - MIDDLE) / SPREAD));

/** A soak test of so many minutes: how warm, how many such faults would have shown, and what a pass leaves of one. */
export function soak(minutes: number): { celsius: number; shows: number; passLeaves: number } {
  const celsius = partCelsius(minutes);
  const shows = showsAt(celsius);
  return { celsius, shows, passLeaves: 1 - shows };
}

/** Minutes after which nearly all of them would have shown: longer is waiting for nothing. */
export const SOAK_MINUTES = 25;
