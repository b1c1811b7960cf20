/**
 * Volts a plug asks at the moment of spark [3]: V[kV] = 4.3 + 136·p/T + 324·(p/T)·d, p bar, T kelvin, d mm.
 * Arguments are bar, kelvin, metres.
 */
export function requiredVolts(bar: number, kelvin: number, gapMetres: number): number {
  return 1e3 * (4.3 + (136 * bar) / kelvin + 324 * (bar / kelvin) * gapMetres * 1e3);
}

/** Share more that a gap asks when its hot centre electrode is positive: 15–30 %, the middle of it. */
export const WRONG_POLARITY = 1.22;

/** Charge at the spark while cranking or running: p = p₀·r^1.3, T = T₀·r^0.3. Bar and kelvin. */
export function chargeAtSpark(compressionRatio: number, inletBar: number, inletKelvin: number) {
  return { bar: inletBar * compressionRatio ** 1.3, kelvin: inletKelvin * compressionRatio ** 0.3 };
}
