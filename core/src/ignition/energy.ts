/**
 * Joules that reach the gap after breakdown: stored ½LI² less what charged the secondary's
 * capacitance, times the gap's share of the loop. A burning gap of about 40 mA and 1 kV stands as 25 kΩ [1].
 */
const ARC_OHMS = 25e3;
export function burnJoules(
  stored: number,
  secondaryFarads: number,
  breakdownVolts: number,
  seriesOhms: number,
): number {
  const left = stored - 0.5 * secondaryFarads * breakdownVolts ** 2;
  return Math.max(0, left) * (ARC_OHMS / (ARC_OHMS + seriesOhms));
}
