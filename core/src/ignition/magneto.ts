import { measure, solveTransient, valueAt, type Circuit } from '../network/index.ts';
import { FASTEST_RISE } from './available.ts';
import { coilElements, pointsElements, type CoilCircuit } from './coilCircuit.ts';
import { columnOf } from './firing.ts';
import { ohmsAt } from './winding.ts';

/** A magneto whose points short the armature until near the current's peak. SI; angles in degrees of the magnet. */
export interface Magneto extends CoilCircuit {
  /** Open-circuit peak of the armature for each rad/s of the magnet's electrical angle: the magnet's strength. */
  voltsPerRadian: number;
  /** North poles on the rotor: swings of voltage to a turn. */
  polePairs: number;
  pointsOhms: number;
  condenserFarads: number;
  /** From the points' terminal to earth with the points open: condenser, insulation, a stop line that is not open. */
  openOhms: number;
  /** Where the points open, electrical degrees after the voltage passes zero; the current peaks after the voltage. */
  opensDegrees: number;
  /** How long they were shut before, electrical degrees. */
  closedDegrees: number;
  celsius: number;
}

/** Electrical radians a second at a speed. */
const omega = (m: Pick<Magneto, 'polePairs'>, rpm: number): number => (2 * Math.PI * rpm * m.polePairs) / 60;

/** A magnet that has lost a share of its strength: the voltage falls with it, the energy with its square. */
export const weakened = (m: Magneto, share: number): Magneto => ({ ...m, voltsPerRadian: m.voltsPerRadian * share });
/** A key sheared by so many degrees of the crank: the magnet comes later (or earlier) against the points. */
export const sheared = (m: Magneto, crankDegrees: number): Magneto => ({
  ...m,
  opensDegrees: m.opensDegrees - crankDegrees * m.polePairs,
});

/**
 * Current when the points open, from the steady part and the start of a driven R–L loop:
 * i(t) = (E/Z)·[sin(ωt − φ) − sin(ωt₀ − φ)·e^(−R(t−t₀)/L)], closed from t₀. Amperes.
 */
export function magnetoAmps(m: Magneto, rpm: number): number {
  const w = omega(m, rpm);
  const r = ohmsAt(m.primaryOhms, m.celsius) + m.pointsOhms;
  const z = Math.hypot(r, w * m.henries);
  const phi = Math.atan2(w * m.henries, r);
  const [opens, closed] = [(m.opensDegrees * Math.PI) / 180, (m.closedDegrees * Math.PI) / 180];
  const decay = Math.exp((-r * closed) / (w * m.henries));
  return Math.abs(((m.voltsPerRadian * w) / z) * (Math.sin(opens - phi) - Math.sin(opens - closed - phi) * decay));
}

/** From the points' closing to a while after their opening. Nodes: `neg` (points), `sec`, `plug`. */
export function magnetoCircuit(m: Magneto, rpm: number): { circuit: Circuit; opensAt: number; until: number } {
  const w = omega(m, rpm);
  const opensAt = (m.closedDegrees * Math.PI) / 180 / w;
  const until = opensAt + 3e-3;
  const coil = coilElements({ ...m, primaryOhms: ohmsAt(m.primaryOhms, m.celsius) }, 'emf', 'neg');
  // A sine that stands at this angle when the points close.
  const start = ((m.opensDegrees - m.closedDegrees) * Math.PI) / 180;
  const turn = 2 * Math.PI;
  const delay = -(((start % turn) + turn) % turn) / w;
  return {
    opensAt,
    until,
    circuit: {
      couplings: [coil.coupling],
      elements: [
        {
          type: 'voltage',
          id: 'emf',
          a: 'emf',
          b: '0',
          volts: 0,
          wave: { kind: 'sine', offset: 0, amplitude: m.voltsPerRadian * w, hertz: w / turn, delay, damping: 0 },
        },
        ...coil.elements,
        ...pointsElements('neg', m.pointsOhms, opensAt, until, magnetoAmps(m, rpm) / m.condenserFarads > FASTEST_RISE),
        { type: 'resistor', id: 'rc', a: 'neg', b: 'c1', ohms: 0.3 },
        { type: 'capacitor', id: 'c1', a: 'c1', b: '0', farads: m.condenserFarads, initialVolts: 0 },
        { type: 'resistor', id: 'leak', a: 'neg', b: '0', ohms: m.openOhms },
      ],
    },
  };
}

/** Largest secondary voltage and the current cut, at a speed. Volts and amperes. */
export function magnetoFires(m: Magneto, rpm: number): { breakAmps: number; secondaryVolts: number } {
  const { circuit, opensAt, until } = magnetoCircuit(m, rpm);
  const run = solveTransient(circuit, { until, longest: 2e-5, fromInitial: true });
  if (!run.ok) throw new RangeError(`A magneto does not solve: ${run.code}`);
  return {
    breakAmps: Math.abs(valueAt({ at: run.at, values: run.amps('l1') }, opensAt)),
    secondaryVolts: measure(columnOf(run, 'sec'), opensAt, until).peak,
  };
}

/**
 * The speed below which the voltage that can be raised is under `requiredVolts`, rev/min, by bisection between the
 * two speeds given; infinite when even the higher one does not fire.
 */
export function leastFiringRpm(m: Magneto, requiredVolts: number, from = 20, to = 3000): number {
  const fires = (rpm: number) => magnetoFires(m, rpm).secondaryVolts >= requiredVolts;
  if (!fires(to)) return Infinity;
  let [low, high] = [from, to];
  while (high / low > 1.005) {
    const middle = Math.sqrt(low * high);
    if (fires(middle)) high = middle;
    else low = middle;
  }
  return high;
}
