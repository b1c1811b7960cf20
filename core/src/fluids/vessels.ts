import { AIR_GAS_CONSTANT } from '../network/elements/gasOrifice.ts';

/** Standard gravity, m/s². */
const GRAVITY = 9.80665;
/** Petrol, kg/m³ (SOURCES, fuel). */
export const PETROL_DENSITY = 745;
/** Air at sea level, pascal. */
export const ATMOSPHERE = 101_325;

/** Pressure outside, pascal, of what says where it works; that at sea level unless it does. */
export const outside = ({ outsidePascals = ATMOSPHERE }: { outsidePascals?: number }): number => outsidePascals;

/** Pressure of a column of liquid: ρ·g·h, pascal. */
export const headPascals = (metres: number, density = PETROL_DENSITY): number => density * GRAVITY * metres;

/** An open vessel with upright walls as a capacitor: cubic metres for each pascal at its floor, A/(ρ·g). */
export const openVessel = (squareMetres: number, density = PETROL_DENSITY): number =>
  squareMetres / (density * GRAVITY);

/** A rigid vessel of air as a capacitor: kilograms for each pascal at one temperature, V/(R·T). */
export const airVessel = (cubicMetres: number, kelvin: number): number => cubicMetres / (AIR_GAS_CONSTANT * kelvin);

/** The solver's leak for fluids: in SI a leak of 10⁻¹² would be that of a real seat. Kilograms or cubic metres a second, pascal. */
export const NO_LEAK = 1e-22;
