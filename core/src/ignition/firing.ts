import {
  measure,
  solveTransient,
  type Circuit,
  type Element,
  type RecordedTrace,
  type Transient,
} from '../network/index.ts';
import { FASTEST_RISE } from './available.ts';
import { currentAtBreak } from './primary.ts';
import { ARC, coilElements, pointsElements, type CoilCircuit } from './coilCircuit.ts';

/** A firing as a circuit to be run, and what of it is worth looking at. */
export interface FiringPlan {
  circuit: Circuit;
  /** Seconds to run, and the longest step that shows its swings. */
  until: number;
  longest: number;
  /** The moment that matters: points opening, trigger, dump. */
  at: number;
  /** Nodes that a mechanic would put a probe on. */
  traces: readonly { id: 'primary' | 'secondary' | 'trigger' | 'charge coil' | 'store'; node: string }[];
}

/** One firing of a battery ignition with points. SI. */
export interface Firing extends CoilCircuit {
  supplyVolts: number;
  /** Battery, wires, switch, ballast: everything in the primary's loop but coil and points. */
  feedOhms: number;
  pointsOhms: number;
  condenserFarads: number;
  condenserOhms: number;
  condenserLeakOhms: number;
  closedSeconds: number;
  /** A transistor in place of points: no arc, and its primary held at this. */
  clampVolts?: number;
}

/** How long the coil is watched after the points have opened, seconds: a burn and its swings. */
const WATCHED = 4e-3;

/** From the moment the points close until the swings have died away. Nodes: `feed`, `neg` (points), `sec`, `plug`. */
export function firingCircuit(f: Firing): Circuit {
  const until = f.closedSeconds + WATCHED;
  const coil = coilElements(f, 'feed', 'neg');
  const loop = f.feedOhms + f.primaryOhms + f.pointsOhms;
  const amps = currentAtBreak(f.supplyVolts / loop, loop, f.henries, f.closedSeconds);
  const arcs = f.clampVolts === undefined && amps / f.condenserFarads > FASTEST_RISE;
  return {
    couplings: [coil.coupling],
    elements: [
      { type: 'voltage', id: 'battery', a: 'supply', b: '0', volts: f.supplyVolts },
      { type: 'resistor', id: 'feed', a: 'supply', b: 'feed', ohms: f.feedOhms },
      ...coil.elements,
      ...pointsElements('neg', f.pointsOhms, f.closedSeconds, until, arcs),
      { type: 'resistor', id: 'rc', a: 'neg', b: 'c1', ohms: f.condenserOhms },
      { type: 'capacitor', id: 'c1', a: 'c1', b: '0', farads: f.condenserFarads, initialVolts: 0 },
      { type: 'resistor', id: 'leak', a: 'neg', b: '0', ohms: f.condenserLeakOhms },
      ...(f.clampVolts === undefined ? [] : clamp(f.clampVolts)),
    ],
  };
}

/** Avalanche of a transistor that holds the primary. */
const clamp = (volts: number): Element[] => [
  { type: 'diode', id: 'clamp', a: 'neg', b: 'held', saturationAmps: 1e-9, emission: 2, seriesOhms: 1 },
  { type: 'voltage', id: 'hold', a: 'held', b: '0', volts },
];

export function firingPlan(f: Firing): FiringPlan {
  return {
    circuit: firingCircuit(f),
    until: f.closedSeconds + WATCHED,
    longest: WATCHED / 200,
    at: f.closedSeconds,
    traces: [
      { id: 'primary', node: 'neg' },
      { id: 'secondary', node: 'sec' },
    ],
  };
}

export interface Fired {
  /** Primary current at the moment of opening. */
  breakAmps: number;
  /** Largest voltage of the secondary after it, either sign. */
  secondaryVolts: number;
  primaryVolts: number;
  /** How long the plug burned, and what its arc took. */
  burnSeconds: number;
  burnJoules: number;
  run: Transient;
}

/** What a plug's arc did between two moments: burning wherever more flows than keeps it alight. */
export function burn(run: Transient, seriesOhms: number, from: number): { seconds: number; joules: number } {
  const [sec, plug] = [run.volts('sec'), run.volts('plug')];
  let [seconds, joules] = [0, 0];
  for (let k = 1; k < run.at.length; k++) {
    if (run.at[k]! <= from) continue;
    const amps = Math.abs(sec[k]! - plug[k]!) / Math.max(1, seriesOhms);
    // A gap that has not struck carries nothing; charging its own lead is not burning.
    if (amps < ARC.holdAmps / 2 || Math.abs(plug[k]!) > 2.5 * ARC.arcVolts) continue;
    const h = run.at[k]! - run.at[k - 1]!;
    seconds += h;
    joules += amps * Math.abs(plug[k]!) * h;
  }
  return { seconds, joules };
}

/** A column of a run, ready to be measured. */
export const columnOf = (run: Transient, node: string): RecordedTrace => ({ at: run.at, values: run.volts(node) });

/** Solves one firing. Throws only when the circuit itself makes no sense (a negative figure). */
export function fire(f: Firing): Fired {
  const { circuit, until, longest } = firingPlan(f);
  const run = solveTransient(circuit, { until, longest, fromInitial: true });
  if (!run.ok) throw new RangeError(`A firing does not solve: ${run.code}`);
  const l1 = { at: run.at, values: run.amps('l1') };
  const burned = f.plug ? burn(run, f.plug.seriesOhms, f.closedSeconds) : { seconds: 0, joules: 0 };
  return {
    breakAmps: measure(l1, f.closedSeconds * 0.5, f.closedSeconds + 1e-6).max,
    secondaryVolts: measure(columnOf(run, 'sec'), f.closedSeconds, until).peak,
    primaryVolts: measure(columnOf(run, 'neg'), f.closedSeconds, until).peak,
    burnSeconds: burned.seconds,
    burnJoules: burned.joules,
    run,
  };
}
