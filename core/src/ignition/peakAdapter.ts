import { measure, solveTransient, type Circuit, type Element, type NodeName } from '../network/index.ts';

/** Diode, capacitor and the meter's 10 MΩ: holds the peak so that a plain meter can show it. */
const HELD_FARADS = 0.047e-6;
const METER_OHMS = 10e6;

/** The adapter on a node, its meter at `reading`. */
export function adapterElements(node: NodeName, earth: NodeName = '0'): Element[] {
  return [
    { type: 'diode', id: 'adapter', a: node, b: 'reading', saturationAmps: 2e-9, emission: 1.8, seriesOhms: 2 },
    { type: 'capacitor', id: 'held', a: 'reading', b: earth, farads: HELD_FARADS, initialVolts: 0 },
    { type: 'resistor', id: 'meter', a: 'reading', b: earth, ohms: METER_OHMS },
  ];
}

/** What the meter shows on a node of a circuit after `seconds`, as the mean of the last `window` of them. Volts. */
export function adapterReading(circuit: Circuit, node: NodeName, seconds: number, window: number): number {
  const with_: Circuit = { ...circuit, elements: [...circuit.elements, ...adapterElements(node)] };
  const run = solveTransient(with_, { until: seconds, fromInitial: true });
  if (!run.ok) throw new RangeError(`A peak reading does not solve: ${run.code}`);
  return measure({ at: run.at, values: run.volts('reading') }, seconds - window, seconds).mean;
}

/**
 * A peak read at one cranking speed, brought to the speed for which the plate gives its figure: EMF goes with speed
 * (SOURCES, magnetos). Good near the rated speed; far above it the coil's reactance holds the loaded peak down.
 */
export function normalisedPeak(volts: number, rpm: number, ratedRpm: number): number {
  if (!(rpm > 0)) throw new RangeError(`A peak reading needs a turning engine, not ${rpm} rev/min`);
  return (volts * ratedRpm) / rpm;
}
