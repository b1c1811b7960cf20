import { solveTransient, valueAt, type Circuit } from '../network/index.ts';
import { airVessel, NO_LEAK, outside } from './vessels.ts';

/** A vacuum line with its actuator, shut off from its source. SI; pressures absolute. */
export interface VacuumLine {
  /** Of the actuator's chamber and the line. */
  cubicMetres: number;
  kelvin: number;
  /** Below the air outside at the moment of shutting off. */
  vacuumPascals: number;
  /** A hole of this area leaks; 0 for none. */
  holeSquareMetres: number;
  /** What seeps through rubber and porous joints, pascal per kilogram a second. */
  seepOhms: number;
  /** Pressure of the air outside, pascal; that at sea level unless said. */
  outsidePascals?: number;
}

/** The line as a network: its air is a capacitor against a perfect vacuum, the air outside a source. */
export function vacuumLineCircuit(line: VacuumLine): Circuit {
  const farads = airVessel(line.cubicMetres, line.kelvin);
  return {
    couplings: [],
    leak: NO_LEAK,
    elements: [
      { type: 'voltage', id: 'outside', a: 'outside', b: '0', volts: outside(line) },
      { type: 'capacitor', id: 'line', a: 'line', b: '0', farads, initialVolts: outside(line) - line.vacuumPascals },
      { type: 'resistor', id: 'seep', a: 'outside', b: 'line', ohms: line.seepOhms },
      {
        type: 'gas-orifice',
        id: 'hole',
        a: 'outside',
        b: 'line',
        squareMetres: line.holeSquareMetres,
        discharge: 0.65,
        kelvin: line.kelvin,
      },
    ],
  };
}

/** Vacuum, in pascal below the air outside, at each of these seconds after shutting off. */
export function leakDown(line: VacuumLine, seconds: readonly number[]): number[] {
  const run = solveTransient(vacuumLineCircuit(line), { until: Math.max(...seconds), fromInitial: true });
  if (!run.ok) throw new Error(`A vacuum line does not solve: ${run.code}`);
  const trace = { at: run.at, values: run.volts('line') };
  return seconds.map((t) => outside(line) - valueAt(trace, t));
}

/** τ of p(t) = p₀·e^(−t/τ) from two readings of the vacuum, seconds (SOURCES, fuel). Infinite when it does not fall. */
export function leakDownSeconds(first: number, second: number, secondsBetween: number): number {
  return second < first ? secondsBetween / Math.log(first / second) : Infinity;
}
