import { figuresAt, needed } from '../../machine/figures.ts';
import { rimDegrees } from '../../engine/crankGeometry.ts';
import { idOf } from '../../machine/numbered.ts';
import { magnetoAmps, magnetoCircuit, sheared, type FiringPlan, type Magneto } from '../../ignition/index.ts';
import { fluxShare, type MachineState } from './parts/index.ts';
import { leakAtWork } from './parts/condenser.ts';
import { parallel } from './parts/points.ts';
import { crankshaftRpm, magnetsOf } from './generated.ts';
import { sparkOfCut } from './coilSpark.ts';
import { shuntWithIron } from './ironOhms.ts';
import type { Known } from '../../machine/known.ts';
import type { Spark, SparkPlace } from '../../machine/observed.ts';
import { askedVolts, figuresOf, ownCoilPath, plugOf, sparkPath, windingOhms } from './sparkPath.ts';

const COUPLING = 0.95;
const POLE_PAIRS = 1;
/** Speed at which the arc of parting contacts was taken (s07), rev/min. */
const ARC_RPM = 300;
const WIRING_FARADS = 0.2e-9;
/** Where the magnets stand neutral, electrical degrees after the voltage's zero: it is highest there. */
const NEUTRAL_DEGREES = 90;

/** Coil, points and condenser that fire a cylinder: its own, or the only ones there are. */
export interface Fired {
  readonly unit: number;
  /** Parts on the spark's way to a place. */
  readonly path: (place: SparkPlace, cylinder: number) => string[];
}
const OWN = (cylinder: number): Fired => ({ unit: cylinder, path: ownCoilPath });

/** Ohms from the points' end of a coil to earth with the coil away: contacts, condenser, stop line. */
function acrossPoints(scene: Known, state: MachineState, unit: number, points: 'open' | 'closed'): number {
  const bare: MachineState = { ...state, points, unplugged: [...(state.unplugged ?? []), idOf('coil', unit)] };
  return Math.max(1e-3, scene.solve(bare).outputOhms(`coil-${unit}`, '0'));
}

/** What is across the points: the machine's own condenser unless it is unhooked, and one that a helper clips on. */
function farads(scene: Known, state: MachineState, unit: number): number {
  const id = idOf('condenser', unit);
  const own = state.unplugged?.includes(id) ? WIRING_FARADS : figuresAt(scene.params, id).farads;
  return own + (state.clipped?.includes(id) ? 0.22e-6 : 0);
}

/** What its own condenser lets by under working volts, ohms. */
const leakOfCondenser = (scene: Known, state: MachineState, unit: number): number => {
  const id = idOf('condenser', unit);
  return state.unplugged?.includes(id) ? Infinity : leakAtWork(figuresAt(scene.params, id).leakOhms);
};

/** This machine's own magneto on one cylinder, all figures known. */
export function magnetoOf(scene: Known, state: MachineState, cylinder: number, by = OWN(cylinder)): Magneto {
  const coil = figuresOf(scene, idOf('coil', by.unit), state);
  const magnets = magnetsOf(scene);
  const points = figuresAt(scene.params, idOf('points', by.unit));
  const path = sparkPath(scene, by.path('plug', cylinder), state);
  const whole: Magneto = {
    primaryOhms: coil.primaryOhms,
    henries: coil.henries,
    turnsRatio: coil.turnsRatio,
    coupling: COUPLING,
    secondaryOhms: windingOhms(coil),
    secondaryFarads: coil.farads,
    shuntOhms: path.shuntOhms,
    voltsPerRadian:
      needed(coil.voltsPerRadian, 'voltsPerRadian') *
      fluxShare(needed(coil.airGapMetres, 'airGapMetres')) *
      magnets.strength,
    polePairs: POLE_PAIRS,
    pointsOhms: acrossPoints(scene, state, by.unit, 'closed'),
    condenserFarads: farads(scene, state, by.unit),
    openOhms: parallel(acrossPoints(scene, state, by.unit, 'open'), leakOfCondenser(scene, state, by.unit)),
    opensDegrees:
      NEUTRAL_DEGREES +
      POLE_PAIRS * rimDegrees(needed(points.edgeMetres, 'edgeMetres'), needed(magnets.acrossMetres, 'acrossMetres')),
    closedDegrees: points.dwellDegrees,
    celsius: 20,
  };
  return sheared(whole, 'slipDegrees' in magnets ? magnets.slipDegrees : 0);
}

/** What a magneto raises at a place, against what is asked there. */
export const magnetoSpark =
  (by: (cylinder: number) => Fired = OWN) =>
  (scene: Known, place: SparkPlace, state: MachineState, cylinder: number, gapMetres?: number): Spark => {
    const m = magnetoOf(scene, state, cylinder, by(cylinder));
    const path = sparkPath(scene, by(cylinder).path(place, cylinder), state);
    // What still flows when the points have opened is not cut: a stop line to earth leaves nearly all of it.
    const loop = m.primaryOhms + m.pointsOhms;
    const cut = Math.max(0, 1 - loop / (m.primaryOhms + m.openOhms));
    const rpm = crankshaftRpm(scene, state);
    const amps = magnetoAmps(m, rpm) * cut;
    const coil = figuresOf(scene, idOf('coil', by(cylinder).unit), state);
    return sparkOfCut(path, coil, amps, askedVolts(scene, state, place, cylinder, gapMetres), {
      condenserFarads: m.condenserFarads,
      leakOhms: m.openOhms,
      // The cam parts them as much quicker as it turns: what arcs at a fast speed is no more than at a slow one.
      parting: Math.max(1, rpm / ARC_RPM),
    });
  };

/** One firing of a magneto's cylinder as a circuit. */
export const magnetoFiring =
  (by: (cylinder: number) => Fired = OWN) =>
  (scene: Known, state: MachineState, cylinder: number, sparks: boolean): FiringPlan => {
    const whole = magnetoOf(scene, state, cylinder, by(cylinder));
    const coil = figuresOf(scene, idOf('coil', by(cylinder).unit), state);
    const m = { ...whole, shuntOhms: shuntWithIron(coil, whole.condenserFarads, whole.shuntOhms) };
    const path = sparkPath(scene, by(cylinder).path('plug', cylinder), state);
    const plug = plugOf(path, askedVolts(scene, state, 'plug', cylinder) + path.gapVolts, m.secondaryOhms);
    const run = magnetoCircuit(sparks ? { ...m, plug } : m, crankshaftRpm(scene, state));
    return {
      circuit: run.circuit,
      until: run.until,
      longest: 2e-5,
      at: run.opensAt,
      traces: [
        { id: 'primary', node: 'neg' },
        { id: 'secondary', node: 'sec' },
      ],
    };
  };
