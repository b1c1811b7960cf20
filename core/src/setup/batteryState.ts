/** Density of the acid and volts at rest of a twelve-volt lead battery at 25 °C, over what is left in it (SOURCES, charging). */
const LEFT = [0, 0.25, 0.5, 0.75, 1] as const;
const DENSITY = [1.12, 1.155, 1.19, 1.225, 1.265] as const;
const REST_VOLTS = [11.8, 12, 12.2, 12.4, 12.7] as const;
const AT_CELSIUS = 25;
/** A float rides so much higher for each kelvin that the acid is colder: 0.004 for ten degrees Fahrenheit. */
const DENSITY_PER_KELVIN = 0.004 / (10 / 1.8);
/** Cells this far apart are not one battery any more, by the trade's usage. */
const CELLS_WITHIN = 0.05;
/** Off the charger or just driven: what stands on its plates shows more than is in it. Volts of twelve. */
const SURFACE_FROM = 12.9;

function between(xs: readonly number[], ys: readonly number[], x: number): number {
  if (x <= xs[0]!) return ys[0]!;
  const k = xs.findIndex((v) => v >= x);
  if (k < 0) return ys.at(-1)!;
  return ys[k - 1]! + ((ys[k]! - ys[k - 1]!) * (x - xs[k - 1]!)) / (xs[k]! - xs[k - 1]!);
}

/** What a hydrometer's float would show at 25 °C. */
export const densityAt25 = (shown: number, celsius: number): number =>
  shown + DENSITY_PER_KELVIN * (celsius - AT_CELSIUS);

/** What is left in a cell by its acid, 0…1. */
export const leftByDensity = (shown: number, celsius: number): number =>
  between(DENSITY, LEFT, densityAt25(shown, celsius));

export interface RestState {
  /** What is left in it, 0…1. */
  readonly left: number;
  /** It was charged or driven just before: lamps on for a minute, an hour's rest, and read again. */
  readonly surface: boolean;
}
/** What is left in a battery that has stood for some hours with nothing on; volts at its posts, 6, 12 or 24 of them. */
export function leftByVolts(volts: number, nominal: number): RestState {
  const ofTwelve = (volts * 12) / nominal;
  return { left: between(REST_VOLTS, LEFT, ofTwelve), surface: ofTwelve >= SURFACE_FROM };
}

export interface Cells {
  /** What is left in the weakest, 0…1. */
  readonly left: number;
  readonly spread: number;
  /** Number of the one that is far under the rest; undefined where they are of one kind. */
  readonly dead: number | undefined;
}
/** Cells by their acid, in the order of the battery. */
export function judgeCells(shown: readonly number[], celsius: number): Cells {
  const [least, most] = [Math.min(...shown), Math.max(...shown)];
  return {
    left: leftByDensity(least, celsius),
    spread: most - least,
    dead: most - least > CELLS_WITHIN ? shown.indexOf(least) + 1 : undefined,
  };
}

/** Hours until it is flat, by what is in it and what is drawn; the slow draw of a lamp, not a starter's. */
export const hoursToFlat = (left: number, ampHours: number, amps: number): number => (left * ampHours) / amps;
