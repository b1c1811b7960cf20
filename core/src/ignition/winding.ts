/** Of copper's resistance, per kelvin, from 20 °C (SOURCES, magnetos). */
const COPPER_PER_KELVIN = 0.00393;

/** Ohms of a copper winding at a temperature, from its ohms at 20 °C: R = R₂₀·(1 + 0.00393·(T − 20)). */
export const ohmsAt = (ohms20: number, celsius: number): number => ohms20 * (1 + COPPER_PER_KELVIN * (celsius - 20));

/**
 * What a meter's figure stands for at 20 °C: the leads' own ohms (shorted together first) taken off, the winding's
 * temperature allowed for. Throws when the leads alone read more than the winding with them.
 */
export function windingOhms(shownOhms: number, leadOhms: number, celsius: number): number {
  const own = shownOhms - leadOhms;
  if (own < 0)
    throw new RangeError(`The leads alone read ${leadOhms} Ω, more than the ${shownOhms} Ω with the winding`);
  return own / (1 + COPPER_PER_KELVIN * (celsius - 20));
}
