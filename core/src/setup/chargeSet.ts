import type { Band } from '../machine/part.ts';

/** A regulator's set point falls as it warms: volts of a twelve-volt one at 25 °C, and for each kelvin (SOURCES, charging). */
const [AT_25, PER_KELVIN, WIDTH] = [14.2, -0.0085, 0.35];
/** The cut-out of a generator: closes between these, twelve volts. */
const CUTS_IN = [12.7, 13.3] as const;
/** Amperes of the battery's that open it again. */
export const CUTS_OUT_AMPS = { low: 3, high: 5 };
/** How far a belt may be pressed at the middle of its span, metres. */
export const BELT_METRES = { low: 0.01, high: 0.015 };

/** At which a book gives it, where nothing else is said. Celsius. */
const BOOK_CELSIUS = 25;

/** Volts at which the regulator should hold, at its own temperature. Celsius; `own` is the machine’s own plate at 25 °C. */
export function setPoint(volts: number, celsius: number, own?: Band): Band {
  const warmer = (PER_KELVIN * (celsius - BOOK_CELSIUS) * volts) / 12;
  if (own) return { low: own.low + warmer, high: own.high + warmer };
  const at = ((AT_25 + PER_KELVIN * (celsius - BOOK_CELSIUS)) * volts) / 12;
  return { low: at - (WIDTH * volts) / 12, high: at + (WIDTH * volts) / 12 };
}
export const cutIn = (volts: number): Band => ({ low: (CUTS_IN[0] * volts) / 12, high: (CUTS_IN[1] * volts) / 12 });

export interface ChargeFound {
  readonly volts: number;
  readonly celsius: number;
  /** The regulator's own plate, where the machine has one. */
  readonly own?: Band | undefined;
  /** Where it holds with the battery charged. */
  readonly holds?: number | undefined;
  readonly cutsIn?: number | undefined;
  readonly beltMetres?: number | undefined;
}
export type ChargeSays =
  | 'holds low'
  | 'holds high'
  | 'holds right'
  | 'cuts in early'
  | 'cuts in late'
  | 'cuts in above set point'
  | 'belt slack'
  | 'belt tight';

/** What the set points say together: a cut-out must close below where the regulator holds, or it never charges. */
export function chargeSays({ volts, celsius, own, holds, cutsIn, beltMetres }: ChargeFound): ChargeSays[] {
  const says: ChargeSays[] = [];
  const band = setPoint(volts, celsius, own);
  if (holds !== undefined) says.push(holds < band.low ? 'holds low' : holds > band.high ? 'holds high' : 'holds right');
  if (cutsIn !== undefined) {
    const [low, high] = [cutIn(volts).low, cutIn(volts).high];
    if (holds !== undefined && cutsIn >= holds) says.push('cuts in above set point');
    else if (cutsIn < low) says.push('cuts in early');
    else if (cutsIn > high) says.push('cuts in late');
  }
  if (beltMetres !== undefined) {
    if (beltMetres > BELT_METRES.high) says.push('belt slack');
    else if (beltMetres < BELT_METRES.low) says.push('belt tight');
  }
  return says;
}
