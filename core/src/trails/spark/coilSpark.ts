import { parallel } from './parts/points.ts';
import {
  availableVolts,
  currentAtBreak,
  firingPlan,
  WRONG_POLARITY,
  type Firing,
  type FiringPlan,
} from '../../ignition/index.ts';
import { OPEN_OHMS, type MachineState } from './parts/index.ts';
import { changedState, keyOf, pointsClosed, pointsOpen } from '../../machine/state.ts';
import { distributorPath } from './distributor.ts';
import { shuntWithIron } from './ironOhms.ts';
import type { Known } from '../../machine/known.ts';
import type { Spark, SparkPlace } from '../../machine/observed.ts';
import {
  askedVolts,
  figuresOf,
  plugOf,
  sparkOf,
  sparkPath,
  windingOhms,
  type CoilFigures,
  type CoilId,
  type SparkPath,
} from './sparkPath.ts';

/** What switches the coil: points and condenser, or a transistor. SI. */
export type Breaker = (
  scene: Known,
  state: MachineState,
  cylinder: number,
) => {
  closedSeconds: number;
  condenserFarads: number;
  /** Across the switch when it is open. */
  leakOhms: number;
  /** Of that, what the condenser lets by under its working volts. */
  condenserLeakOhms?: number;
  /** Where a transistor holds the primary; points have none and may arc. */
  clampVolts?: number;
};

/** Speed of the distributor in a state, rev/min; a coil is never asked at a standstill. */
export const distributorRpm = (scene: Known, state: MachineState): number =>
  Math.max(
    LEAST_RPM,
    scene.see('rpm', state.key === 'run' || state.key === 'crank' ? state : changedState(state, { key: 'crank' })),
  ) / 2;
const LEAST_RPM = 30;

/** Of the flux of a coil's two windings; what else is lost goes into its iron. */
const COUPLING = 0.98;

/** How cylinders are fired: by which coil, along which parts, switched by what. */
export interface Drive {
  readonly breaker: Breaker;
  /** Id of the coil; the only one when left out. */
  readonly coil?: (cylinder: number) => CoilId;
  readonly path?: (place: SparkPlace, cylinder: number) => string[];
  /** Volts asked besides the place's own: the other plug of a coil with two ends. */
  readonly besides?: (scene: Known, cylinder: number) => number;
}

/** The coil of a cylinder with its figures and the two ends of its primary. */
function coilOf(scene: Known, drive: Drive, state: MachineState, cylinder: number) {
  const id = drive.coil?.(cylinder) ?? 'coil';
  const { nodes } = scene.machine.partById.get(id)!;
  return { id, feed: nodes['a']!, switched: nodes['b']!, figures: figuresOf(scene, id, state) };
}
const pathOf = (drive: Drive) => drive.path ?? distributorPath;

type Driven = ReturnType<typeof coilOf>;
const cut = new WeakMap<Known, Map<string, number>>();

/** Amperes the coil loses when its switch opens: of a coil that serves several cylinders, worked out once. */
function interruption(scene: Known, state: MachineState, coil: Driven, seconds: number): number {
  let own = cut.get(scene);
  if (!own) cut.set(scene, (own = new Map()));
  const key = `${coil.id}|${seconds}|${keyOf(state)}`;
  let known = own.get(key);
  if (known === undefined) own.set(key, (known = interrupted(scene, state, coil, seconds)));
  return known;
}
function interrupted(scene: Known, state: MachineState, coil: Driven, seconds: number): number {
  const on = scene.solve(pointsClosed(state));
  const off = scene.solve(pointsOpen(state));
  // Resistance of the loop the coil's current meets: the coil and everything outside it.
  const drop = Math.abs(on.volts(coil.feed) - on.volts(coil.switched));
  const loopOhms = drop > 0 ? (coil.figures.primaryOhms * Math.abs(on.volts('post'))) / drop : OPEN_OHMS;
  const steady = Math.abs(on.amps(coil.id));
  const standing = Math.abs(off.amps(coil.id));
  return Math.max(0, currentAtBreak(steady, loopOhms, coil.figures.henries, seconds) - standing);
}

/** The spark of a coil whose current is cut: what it raises against what is asked, and what is left to burn. */
export function sparkOfCut(
  path: SparkPath,
  coil: Pick<CoilFigures, 'henries' | 'turnsRatio' | 'farads' | 'transfer'>,
  amps: number,
  askedVolts: number,
  cut: { condenserFarads: number; leakOhms: number; clampVolts?: number | undefined; parting?: number },
): Spark {
  const raised = availableVolts({
    amps,
    henries: coil.henries,
    turnsRatio: coil.turnsRatio,
    condenserFarads: cut.condenserFarads,
    secondaryFarads: coil.farads,
    shuntOhms: path.shuntOhms,
    primaryShuntOhms: cut.leakOhms,
    transfer: coil.transfer,
    ...(cut.clampVolts === undefined ? {} : { clampVolts: cut.clampVolts }),
    ...(cut.parting === undefined ? {} : { parting: cut.parting }),
  });
  const stored = 0.5 * coil.henries * amps ** 2 * coil.transfer ** 2;
  return sparkOf(path, raised, askedVolts, stored, coil.farads);
}

/** What a coil raises at a place, against what is asked there. */
export const coilSpark =
  (drive: Drive) =>
  (scene: Known, place: SparkPlace, state: MachineState, cylinder: number, gapMetres?: number): Spark => {
    const coil = coilOf(scene, drive, state, cylinder);
    const { figures } = coil;
    const path = sparkPath(scene, pathOf(drive)(place, cylinder), state);
    const { closedSeconds, condenserFarads, leakOhms, clampVolts } = drive.breaker(scene, state, cylinder);
    const amps = interruption(scene, state, coil, closedSeconds);
    const polarity = (figures.reversed ?? 0) > 0.5 ? WRONG_POLARITY : 1;
    const asked =
      askedVolts(scene, state, place, cylinder, gapMetres) * polarity + (drive.besides?.(scene, cylinder) ?? 0);
    return sparkOfCut(path, figures, amps, asked, { condenserFarads, leakOhms, clampVolts });
  };

/**
 * This machine's own firing as a circuit for the transient: the feed and the breaker's side by Thévenin's theorem with
 * the coil unplugged, the spark's side summed.
 */
export const coilFiring =
  (drive: Drive) =>
  (scene: Known, state: MachineState, cylinder: number, sparks: boolean): FiringPlan => {
    const coil = coilOf(scene, drive, state, cylinder);
    const { figures } = coil;
    const {
      closedSeconds,
      condenserFarads,
      condenserLeakOhms = Infinity,
      clampVolts,
    } = drive.breaker(scene, state, cylinder);
    const bare: MachineState = { ...state, unplugged: [...(state.unplugged ?? []), coil.id] };
    const [on, off] = [scene.solve(pointsClosed(bare)), scene.solve(pointsOpen(bare))];
    const path = sparkPath(scene, pathOf(drive)('plug', cylinder), state);
    const pointsOhms = Math.max(1e-3, on.outputOhms(coil.switched, '0'));
    const firing: Firing = {
      // Between the coil's own two terminals: the engine may stand above the battery's post.
      supplyVolts: Math.abs(on.volts(coil.feed) - on.volts(coil.switched)),
      feedOhms: Math.max(1e-4, on.outputOhms(coil.feed, coil.switched) - pointsOhms),
      primaryOhms: figures.primaryOhms,
      henries: figures.henries,
      turnsRatio: figures.turnsRatio,
      coupling: COUPLING,
      secondaryOhms: windingOhms(figures),
      secondaryFarads: figures.farads,
      shuntOhms: shuntWithIron(figures, condenserFarads, path.shuntOhms),
      pointsOhms,
      condenserFarads,
      condenserOhms: 0.3,
      condenserLeakOhms: parallel(Math.max(1e-3, off.outputOhms(coil.switched, '0')), condenserLeakOhms),
      closedSeconds,
      ...(clampVolts === undefined ? {} : { clampVolts }),
    };
    if (!sparks) return firingPlan(firing);
    const required = coilSpark(drive)(scene, 'plug', state, cylinder).requiredVolts;
    return firingPlan({ ...firing, plug: plugOf(path, required, firing.secondaryOhms) });
  };
