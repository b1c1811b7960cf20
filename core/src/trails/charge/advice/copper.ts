/** Sizes of wire and fuse that are on the shelf. */
const WIRES_MM2 = [0.5, 0.75, 1, 1.5, 2.5, 4, 6, 10, 16, 25] as const;
const FUSES_AMPS = [1, 2, 3, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60, 80] as const;

/** Copper at 20 °C, ohms times square millimetres by metre; at 70 °C by 0.39 % a kelvin more [9]. */
export const COPPER_COLD = 0.0172;
const COPPER = COPPER_COLD * (1 + 0.0039 * 50);
/** What a single wire of each size carries all day in a loom by a warm engine, amperes; judgement, on the safe side. */
const CARRIES = [5, 7, 10, 14, 20, 28, 37, 52, 70, 92] as const;
/** Share of the nominal volts that may be lost on the way there and back, as in boats for what matters most [8]. */
const MAY_LOSE = 0.03;
/** A fuse of all-day current over what flows. */
const FUSE_OVER = 1.25;

export interface Copper {
  readonly mm2: number;
  /** Volts lost there and back at the current asked for. */
  readonly lostVolts: number;
  readonly fuseAmps: number;
}

/**
 * The thinnest wire that loses little enough over its length, there and back, and outlasts its fuse; the fuse above it.
 * Amperes, metres one way, volts. Throws a RangeError where no wire on the shelf will do.
 */
export function copperFor(amps: number, metres: number, volts: number): Copper {
  const fuseAmps = FUSES_AMPS.find((f) => f >= amps * FUSE_OVER);
  if (fuseAmps === undefined) throw new RangeError(`No fuse on the shelf for ${amps} A`);
  const lost = (mm2: number) => (2 * metres * COPPER * amps) / mm2;
  const k = WIRES_MM2.findIndex((mm2, w) => CARRIES[w]! >= fuseAmps && lost(mm2) <= MAY_LOSE * volts);
  if (k < 0) throw new RangeError(`No wire on the shelf for ${amps} A over ${metres} m`);
  return { mm2: WIRES_MM2[k]!, lostVolts: lost(WIRES_MM2[k]!), fuseAmps };
}
