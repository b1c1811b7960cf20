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

const [BASE_MM, RATIO, STEPS, AT_BASE] = [0.127, 92, 39, 36];
/** Square millimetres of a gauge number; 0 is 1/0, −1 is 2/0 and so on. Diameter 0.127·92^((36−n)/39) mm. */
export const mm2OfGauge = (n: number): number => (Math.PI / 4) * (BASE_MM * RATIO ** ((AT_BASE - n) / STEPS)) ** 2;
