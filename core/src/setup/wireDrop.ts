import { copperFor, COPPER_COLD, type Copper } from '../trails/charge/advice/copper.ts';

export interface WireDrop {
  /** Volts lost on the way there and back. */
  readonly volts: number;
  /** Of the nominal volts. */
  readonly share: number;
  /** What would lose little enough; undefined where no wire on the shelf does. */
  readonly better: Copper | undefined;
}

/** What a wire of a known size loses at a current; amperes, metres one way, square millimetres, volts. At 20 °C [8]. */
export function wireDrop(amps: number, metres: number, mm2: number, nominal: number): WireDrop {
  const volts = (2 * metres * COPPER_COLD * amps) / mm2;
  let better: Copper | undefined;
  try {
    better = copperFor(amps, metres, nominal);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
  }
  return { volts, share: volts / nominal, better };
}
