import { idleRpm, topRpm } from '../engine/speeds.ts';
import { figuresAt, figuresIfAny } from '../machine/figures.ts';
import type { Fit } from '../schema/fit.ts';
import { Scene } from '../machine/scene.ts';
import type { MachineParams } from '../machine/known.ts';
import type { MachineState } from '../machine/part.ts';
import { CRANKING, KEY_ON_CLOSED } from '../machine/state.ts';
import { middleFigures } from '../tracing/middle.ts';
import type { Model } from '../tracing/model.ts';

/** Figures to try instead of the plate's middle, by `part.figure`, SI. */
export type Tried = Readonly<Record<string, number>>;

export interface SpeedRow {
  readonly rpm: number;
  /** Volts the ignition raises with nothing sparking, and volts that the plug and the gaps before it ask, pulling. */
  readonly available: number;
  readonly asked: number;
  readonly joules: number;
}
export interface SparkBench {
  readonly rows: readonly SpeedRow[];
  readonly cranking: SpeedRow;
  /** Steady amperes through points that stand closed, key on; null where nothing can be held closed. */
  readonly closedAmps: number | null;
  /** As it runs: mean heat in the coil's winding and in the ballast, watts. */
  readonly coilWatts: number | null;
  readonly ballastWatts: number | null;
  /** Where the margin falls below MARGIN as it pulls, rev/min; null where it holds all the way. */
  readonly shortFrom: number | null;
  readonly says: readonly SparkSays[];
  /** Ballast to fit so that the steady current is TARGET_AMPS, ohms; null where none is asked for. */
  readonly ballastFor: number | null;
  /** Series resistance from coil to plug, part by part, ohms; of number one. */
  readonly path: readonly { readonly part: string; readonly ohms: number }[];
}
export type SparkSays =
  | 'burns points'
  | 'hard on points'
  | 'feeble'
  | 'current right'
  | 'weak cranking'
  | 'short at speed'
  | 'holds to the top'
  | 'resistors twice';

/** Below this share of volts there over volts asked it misses under load (SOURCES, ignition). */
export const MARGIN = 1.3;
/** Amperes through points: above the first they burn, above the second they suffer; below the last the spark is feeble. */
const [BURNS, SUFFERS, FEEBLE] = [5, 4.4, 2.2];
const TARGET_AMPS = 3.8;
/** A path with more than this has suppression twice: in leads and plugs, or both and the rotor. Ohms. */
const TWICE_FROM = 22e3;
const STEPS = 16;
const HIGH_TENSION = ['coil-lead', 'rotor', 'lead-1', 'plug-1', 'plugs'];

/** From half its idle to its top, rev/min. */
const speeds = (fit: Fit): number[] => {
  const [from, to] = [idleRpm(fit) / 2, topRpm(fit)];
  return Array.from({ length: STEPS + 1 }, (_v, k) => Math.round(from + ((to - from) * k) / STEPS));
};

/** Beyond idling what charges is up. */
const CHARGES_FROM = 1300;
const runningAt = (rpm: number): MachineState => ({
  key: 'run',
  points: 'turning',
  loads: 'none',
  rpm,
  ...(rpm >= CHARGES_FROM ? { speed: 'fast' as const } : {}),
});

/**
 * Coil, ballast, points or module, leads and plugs of this machine over its speeds, with figures to try: solved by the
 * same model as every reading. The plug is asked for as it pulls: that is where it misses first. Null where the
 * machine's spark is not told.
 */
export function sparkBench(model: Model, tried: Tried = {}): SparkBench | null {
  const { machine } = model;
  if (!machine.offers.spark || !machine.partById.has('plugs')) return null;
  const scene = new Scene(machine, withTried(model, middleFigures(model), tried));
  const row = (state: MachineState, rpm: number): SpeedRow => {
    const { availableVolts, requiredVolts, joules } = scene.spark('plug', state, 1);
    return { rpm, available: availableVolts, asked: requiredVolts, joules };
  };
  const rows = speeds(machine.fit).map((rpm) => row(runningAt(rpm), rpm));
  const cranking = row(CRANKING, scene.see('rpm', CRANKING));
  const points = machine.partById.has('points') && machine.partById.has('coil');
  const closed = points ? scene.solve(KEY_ON_CLOSED) : undefined;
  const closedAmps = closed ? Math.abs(closed.amps('coil')) : null;
  const shortFrom = rows.find((r) => r.available < MARGIN * r.asked)?.rpm ?? null;
  const path = pathOf(model, scene.params);
  const ohms = path.reduce((sum, p) => sum + p.ohms, 0);
  const says: SparkSays[] = [];
  if (closedAmps !== null)
    says.push(
      closedAmps > BURNS
        ? 'burns points'
        : closedAmps > SUFFERS
          ? 'hard on points'
          : closedAmps < FEEBLE
            ? 'feeble'
            : 'current right',
    );
  if (cranking.available < MARGIN * cranking.asked) says.push('weak cranking');
  says.push(shortFrom === null ? 'holds to the top' : 'short at speed');
  if (ohms > TWICE_FROM) says.push('resistors twice');
  return {
    rows,
    cranking,
    closedAmps,
    ...heat(model, scene, closedAmps),
    shortFrom,
    says,
    ballastFor: ballastFor(scene, closedAmps),
    path,
  };
}

const withTried = ({ plates }: Model, params: MachineParams, tried: Tried): MachineParams =>
  Object.entries(tried).reduce((p, [id, value]) => {
    const plate = plates.get(id);
    return plate ? { ...p, [plate.part.id]: { ...p[plate.part.id], [plate.spec.id]: value } } : p;
  }, params);

const pathOf = ({ machine }: Model, params: MachineParams) =>
  HIGH_TENSION.flatMap((id) => {
    const part = machine.partById.get(id);
    const ohms = part?.kind.highTension?.(params[id]!, machine.fit).seriesOhms ?? 0;
    return part && ohms > 0 ? [{ part: part.label, ohms }] : [];
  });

/** Mean heat as it runs: I²R of the steady current for the share of the turn in which it flows. */
function heat({ machine }: Model, scene: Scene, closedAmps: number | null) {
  const share = machine.trails.find((t) => t.onShare)?.onShare?.(scene);
  if (closedAmps === null || share === undefined) return { coilWatts: null, ballastWatts: null };
  const ballast = figuresIfAny(scene.params, 'ballast')?.ohms;
  return {
    coilWatts: closedAmps ** 2 * figuresAt(scene.params, 'coil').primaryOhms * share,
    ballastWatts: ballast === undefined ? null : closedAmps ** 2 * ballast * share,
  };
}

/** What must stand before the coil for the target current: the loop's ohms there and now, scaled. */
function ballastFor(scene: Scene, closedAmps: number | null): number | null {
  if (closedAmps === null || closedAmps <= SUFFERS) return null;
  const point = scene.solve(KEY_ON_CLOSED);
  const loop = Math.abs(point.volts('post')) / closedAmps;
  const now = figuresIfAny(scene.params, 'ballast')?.ohms ?? 0;
  return Math.max(0, now + loop * (closedAmps / TARGET_AMPS) - loop);
}
