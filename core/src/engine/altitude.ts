import { ATMOSPHERE } from '../fluids/index.ts';
import type { Fit } from '../schema/fit.ts';

/** Standard atmosphere of the lower air: at sea level 15 °C, and 6.5 °C less for each kilometre. Kelvin, kelvin a metre. */
const KELVIN = 288.15;
const LAPSE = 0.0065;
/** g·M/(R·lapse). */
const EXPONENT = 5.25588;

/** Pressure outside at a height, pascal, and the air's density as a share of that at sea level. Metres, to 11 000. */
export function airAt(metres: number): { readonly pascals: number; readonly density: number } {
  const warmth = 1 - (LAPSE * metres) / KELVIN;
  return { pascals: ATMOSPHERE * warmth ** EXPONENT, density: warmth ** (EXPONENT - 1) };
}

/** Pressure outside where a machine works, pascal. */
export const outsideOf = ({ altitudeMetres }: Pick<Fit, 'altitudeMetres'>): number =>
  airAt(altitudeMetres ?? 0).pascals;

/** How much richer the same jets mix elsewhere: √(ρ₀/ρ), for the suction falls with the air's mass and the fuel's does not (SOURCES, air). */
export const richerAt = (fromMetres: number, toMetres: number): number =>
  Math.sqrt(airAt(fromMetres).density / airAt(toMetres).density);
/** And jets of the book, where a machine works. */
export const richerOf = ({ altitudeMetres }: Pick<Fit, 'altitudeMetres'>): number => richerAt(0, altitudeMetres ?? 0);

/** Diameter of a jet that mixes at one height as it did at another: with the fourth root of the air's density. */
export const jetFor = (diameterMetres: number, fromMetres: number, toMetres: number): number =>
  diameterMetres * (airAt(toMetres).density / airAt(fromMetres).density) ** 0.25;
