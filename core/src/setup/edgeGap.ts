import { halved } from '../engine/halved.ts';
import { rimDegrees, rimMetres } from '../engine/crankGeometry.ts';
import { magnetoAmps } from '../ignition/index.ts';
import { needed } from '../machine/figures.ts';
import { idOf } from '../machine/numbered.ts';
import type { Band, MachineState } from '../machine/part.ts';
import { Scene } from '../machine/scene.ts';
import { CRANKING } from '../machine/state.ts';
import { middleFigures } from '../tracing/middle.ts';
import type { Model } from '../tracing/model.ts';
import { crankshaftRpm, magnetsOf } from '../trails/spark/generated.ts';
import { magnetoOf } from '../trails/spark/magnetoSpark.ts';

/** One place of the points against the magnets. */
export interface EdgeRow {
  /** Gap between the magnet's edge and the pole's as the points part, metres along the rim, and the same in degrees. */
  readonly metres: number;
  readonly degrees: number;
  /** Amperes that are cut, as it is turned over and fast. */
  readonly cranking: number;
  readonly fast: number;
  /** Below this speed there is less than the plug asks; Infinity where it never fires. */
  readonly leastRpm: number;
}
export interface EdgeGap {
  readonly plate: Band;
  readonly acrossMetres: number;
  /** Of the magnets as it is turned over: what an impulse coupling snaps them to. */
  readonly crankingRpm: number;
  readonly fastRpm: number;
  readonly rows: readonly EdgeRow[];
}

const POINTS = idOf('points', 1);
/** From before neutral to far after it, degrees. */
const [FROM, TO, STEP] = [-30, 60, 3];
const FAST_RPM = 2500;
/** Between which speeds it is asked from where on it fires. */
const [SLOWEST, FASTEST] = [15, 1500];
const HALVINGS = 14;

/**
 * What a magneto's edge gap does: the current that its points cut over where they part, of a mid-plate machine, and the
 * speed from which that fires. Its magnets swing like a sine here: a real pulse is narrower, so this is the least that a
 * wrong gap loses [3]. Null where no points part against magnets.
 */
export function edgeGap(model: Model): EdgeGap | null {
  const plate = model.plates.get(`${POINTS}.edgeMetres`);
  if (!plate) return null;
  const sound = middleFigures(model);
  const scene = new Scene(model.machine, sound);
  const acrossMetres = needed(magnetsOf(scene).acrossMetres, 'acrossMetres');
  const crankingRpm = crankshaftRpm(scene, CRANKING);
  const rows: EdgeRow[] = [];
  for (let degrees = FROM; degrees <= TO; degrees += STEP) {
    const metres = rimMetres(degrees, acrossMetres);
    const put = new Scene(model.machine, { ...sound, [POINTS]: { ...sound[POINTS], edgeMetres: metres } }, scene);
    const magneto = magnetoOf(put, CRANKING, 1);
    rows.push({
      metres,
      degrees,
      cranking: magnetoAmps(magneto, crankingRpm),
      fast: magnetoAmps(magneto, FAST_RPM),
      leastRpm: leastRpm(put),
    });
  }
  return { plate: { low: plate.low, high: plate.high }, acrossMetres, crankingRpm, fastRpm: FAST_RPM, rows };
}

const turnedAt = (rpm: number): MachineState => ({ key: 'run', points: 'turning', rpm });

/** The speed from which it raises what the plug asks, rev/min. */
function leastRpm(scene: Scene): number {
  const fires = (rpm: number) => {
    const { availableVolts, requiredVolts } = scene.spark('plug', turnedAt(rpm), 1);
    return availableVolts >= requiredVolts;
  };
  return fires(FASTEST) ? halved(SLOWEST, FASTEST, HALVINGS, (rpm) => !fires(rpm))[1] : Infinity;
}

/** What a measured gap is worth: share of the best current as it is turned, and from where it fires. */
export interface EdgeRead {
  readonly degrees: number;
  readonly share: number;
  readonly leastRpm: number;
  /** Degrees at which most is cut as it is turned over. */
  readonly best: number;
}

/** A gap measured along the rim, metres, below zero before neutral; between the rows by a straight line. Beyond them nothing. */
export function edgeAt({ rows, acrossMetres }: EdgeGap, metres: number): EdgeRead | undefined {
  const degrees = rimDegrees(metres, acrossMetres);
  const k = rows.findIndex((r) => r.degrees >= degrees);
  const [after, before] = [rows[k], rows[Math.max(0, k - 1)]];
  if (!after || !before || degrees < FROM) return undefined;
  const f = after === before ? 0 : (degrees - before.degrees) / (after.degrees - before.degrees);
  const between = (of: (r: EdgeRow) => number) => of(before) + f * (of(after) - of(before));
  const best = rows.reduce((a, b) => (b.cranking > a.cranking ? b : a));
  return {
    degrees,
    share: between((r) => r.cranking) / best.cranking,
    leastRpm: f === 0 ? after.leastRpm : between((r) => r.leastRpm),
    best: best.degrees,
  };
}
