/** What decides the voltage a coil can raise. SI units. */
export interface CoilBreak {
  amps: number;
  henries: number;
  turnsRatio: number;
  /** Condenser across the points. */
  condenserFarads: number;
  /** Coil, leads and plug on the secondary side. */
  secondaryFarads: number;
  /** Everything that leaks from the secondary to earth, in parallel. */
  shuntOhms: number;
  /** What leaks across the points. */
  primaryShuntOhms: number;
  /** Share of the ideal voltage kept: coupling and iron. */
  transfer: number;
  /** Where a transistor holds the primary down; it does not arc as parting contacts do. */
  clampVolts?: number;
  /** How much quicker contacts part than at cranking speed; 1 unless given. */
  parting?: number;
}

/**
 * How far a shunt lowers the first peak of a ringing coil: exact for L ∥ C ∥ R,
 * ζ = Z/(2R), peak = Z·I·exp(−ζ/√(1−ζ²)·acos ζ); past critical damping the limit of the same expression. 0…1.
 */
export function dampedPeakShare(characteristicOhms: number, shuntOhms: number): number {
  const zeta = characteristicOhms / (2 * shuntOhms);
  if (zeta < 1e-9) return 1;
  if (Math.abs(zeta - 1) < 1e-6) return Math.exp(-1);
  if (zeta < 1) return Math.exp((-zeta / Math.sqrt(1 - zeta * zeta)) * Math.acos(zeta));
  const root = Math.sqrt(zeta * zeta - 1);
  return Math.exp((-zeta / root) * Math.acosh(zeta));
}

/**
 * A gap that opens from rest holds off 15 V at once and about 290 kV/s afterwards (circuit s07): with too small a
 * condenser the points arc, and the flux L·I drains into that arc. Volts across the points when it goes out.
 */
export const ARC_START_VOLTS = 15;
export const ARC_VOLTS_PER_SECOND = 292.5e3;
/** Volts per second above which parting contacts arc: 4 A into less than about 40 nF. A rule of this model. */
export const FASTEST_RISE = 1e8;
export function arcLimitedVolts(henries: number, amps: number, parting = 1): number {
  const flux = henries * amps;
  const rate = ARC_VOLTS_PER_SECOND * parting;
  const seconds = (Math.sqrt(ARC_START_VOLTS ** 2 + 2 * rate * flux) - ARC_START_VOLTS) / rate;
  return ARC_START_VOLTS + rate * seconds;
}

/**
 * Peak secondary volts with nothing sparking [1]: ½LI² = ½C₁V₁² + ½C₂V₂², V₂ = N·V₁, so
 * V₂ = η·I·√(L/(C₂ + C₁/N²)), times the damping of the shunts. Never more than the opening points allow.
 */
export function availableVolts(c: CoilBreak): number {
  if (!(c.amps > 0)) return 0;
  const n2 = c.turnsRatio ** 2;
  const farads = c.secondaryFarads + c.condenserFarads / n2;
  const characteristicOhms = Math.sqrt((c.henries * n2) / farads);
  const shunt = 1 / (1 / c.shuntOhms + 1 / (c.primaryShuntOhms * n2));
  const ringing = c.transfer * c.amps * Math.sqrt(c.henries / farads) * dampedPeakShare(characteristicOhms, shunt);
  if (c.clampVolts !== undefined) return Math.min(ringing, c.turnsRatio * c.clampVolts);
  // I/C₁ is how fast the voltage runs away from the contacts as they part.
  const { parting = 1 } = c;
  if (c.amps / c.condenserFarads < FASTEST_RISE * parting) return ringing;
  return Math.min(ringing, c.transfer * c.turnsRatio * arcLimitedVolts(c.henries, c.amps, parting));
}
