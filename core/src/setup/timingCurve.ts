import { idleRpm, topRpm } from '../engine/speeds.ts';
import type { Fit } from '../schema/fit.ts';
import { figuresIfAny } from '../machine/figures.ts';
import type { JobEvent } from '../schema/job.ts';
import type { FreeProbe } from '../schema/freeProbe.ts';
import { tell } from '../tracing/events.ts';
import { markOffsets } from '../tracing/markEvidence.ts';
import { evidenceOf } from '../tracing/settingEvidence.ts';
import type { MachineParams } from '../machine/known.ts';
import { seededRandom } from '../random/lcg.ts';
import { drawSound, withFault } from '../tracing/draw.ts';
import { middleFigures } from '../tracing/middle.ts';
import type { Model, ModelFault } from '../tracing/model.ts';
import type { Tracer } from '../tracing/trace.ts';
import { IDLE } from '../machine/state.ts';
import { momentOf, shownAt, totalOf } from '../trails/timing/advance.ts';
import { BODY, BOX, POD, WEIGHTS } from '../trails/timing/ids.ts';
import { Scene } from '../machine/scene.ts';
import type { Advance } from './curveDesign.ts';

/** One reading of the light at a speed, degrees before top. */
export interface LightRow {
  readonly readingId: string;
  readonly rpm: number;
  /** Against true top, where the mark was found off it. */
  readonly degrees: number;
  readonly hose: 'on' | 'off';
  /** Taken since the last repair or setting that moves the timing. */
  readonly now: boolean;
}

/** A way in which the timing trail can have failed, held against the whole measured curve. */
export interface Explained {
  readonly faultId: string;
  readonly part: string;
  readonly how: string;
  readonly repair: string;
  /** Of the belief among the timing's own faults and a sound curve, 0…1. */
  readonly share: number;
  /** What the light would show at each of the curve's speeds, hose off. */
  readonly degrees: readonly number[];
}

export interface TimingCurve {
  readonly rpms: readonly number[];
  /** On the plate at each speed, hose off and, where there is a pod, on. */
  readonly band: readonly { readonly low: number; readonly high: number }[];
  readonly bandOn: readonly { readonly low: number; readonly high: number }[] | null;
  readonly rows: readonly LightRow[];
  readonly explained: readonly Explained[];
  /** How far the mark stands after true top, degrees: what the light showed has been mended by it. */
  readonly markOff: number;
  /** What turning the body alone would put right, where that is all of it. */
  readonly turn: Turn | null;
  /** Share of "as it should be". Null while nothing was read. */
  readonly sound: number | null;
  /** What the measured curve gives of itself: lowest speed, highest speed, hose off. */
  readonly measured: { readonly base: number; readonly gain: number } | null;
  /** With a pod: at idle on a tap over the throttle's edge, and on the manifold itself. */
  readonly taps: { readonly ported: number; readonly manifold: number } | null;
  /** What its plate says a vacuum advance gives in all, degrees of the crank; null without one. */
  readonly pod: { readonly low: number; readonly high: number } | null;
  /** What its weights and springs give by the middle of their plates, and where it idles; null without weights. */
  readonly weights: { readonly now: Advance; readonly idleRpm: number } | null;
  /** A box holds it by a map: nobody can turn it. */
  readonly mapped: boolean;
  /** What the plates allow. */
  readonly base: { readonly low: number; readonly high: number };
  readonly total: { readonly low: number; readonly high: number };
}

/** The light on number one, with the engine held at a speed. */
export const lightProbe = (rpm: number, hose: 'on' | 'off'): FreeProbe => ({
  instrument: 'timing light',
  live: BODY,
  earth: '',
  state: 'fast',
  unplugged: [],
  rpm,
  hose,
});

/** Light, pointer and eye, and a needle that hunts a little: one standard deviation, degrees. */
const SIGMA = 1.6;
/** A reading that says nothing (the wrong mark, the wrong lead): so often, anywhere within so many degrees. */
const [SLIPS, SLIP_DEGREES] = [0.03, 90];
/** Least share that is shown. */
const SHOWN_FROM = 0.02;
const STEPS = 24;

const chance = (read: number, meant: number): number =>
  ((1 - SLIPS) * Math.exp(-0.5 * ((read - meant) / SIGMA) ** 2)) / (SIGMA * Math.sqrt(2 * Math.PI)) +
  SLIPS / SLIP_DEGREES;

/** Whether something was done that the light would show: a repair, or a figure of the timing or the points set. */
function movesTiming(model: Model, event: JobEvent): boolean {
  if (event.type === 'fix') return true;
  // Left as it was found, nothing has moved.
  if (event.type !== 'setting' || event.setting.foundAt === event.setting.leftAt) return false;
  const { figure } = event.setting;
  const part = model.plates.get(figure)?.part;
  return figure === GAP || model.faults.some((f) => f.part === part && f.trail === 'timing');
}
/** Opening the points by a tenth of a millimetre moves the spark by some degrees. */
const GAP = 'points.gapMetres';

export function lightRows(model: Model, events: readonly JobEvent[]): LightRow[] {
  const told = evidenceOf(model, events);
  const moved = told.findLastIndex((e) => movesTiming(model, e));
  const since = new Set(told.slice(moved + 1).flatMap((e) => (e.type === 'reading' ? [e.reading.id] : [])));
  return tell(told).readings.flatMap(({ reading }) => {
    const { probe, value } = reading;
    if (probe?.instrument !== 'timing light' || probe.rpm === undefined || value.kind !== 'number') return [];
    const now = since.has(reading.id);
    return [{ readingId: reading.id, rpm: probe.rpm, degrees: value.value, hose: probe.hose ?? 'off', now }];
  });
}

/**
 * The measured curve against the plate's, and which of the timing's own parts would explain the difference: each is
 * played on many drawn machines, and the readings since the last repair judged together. Null on a machine
 * whose timing is not told.
 */
export function timingCurve(tracer: Tracer, events: readonly JobEvent[]): TimingCurve | null {
  const { model, weigher } = tracer;
  const { machine } = model;
  if (!machine.partById.has(BODY)) return null;
  const rpms = speedsOf(machine.fit);
  const bandAt = (hose: 'on' | 'off') =>
    rpms.map((rpm) => {
      const { low, high } = weigher.bands.of(weigher.learn(lightProbe(rpm, hose))!);
      return { low, high };
    });
  const band = bandAt('off');
  const rows = lightRows(model, events);
  const now = rows.filter((r) => r.now);
  const { explained, sound } = now.length ? explain(tracer, now, rpms) : { explained: [], sound: null };
  const off = now.filter((r) => r.hose === 'off').sort((a, b) => a.rpm - b.rpm);
  const [slow, quick] = [off[0], off[off.length - 1]];
  return {
    rpms,
    band,
    bandOn: machine.partById.has(POD) ? bandAt('on') : null,
    rows,
    explained,
    sound,
    markOff: markOffsets(events).at(-1) ?? 0,
    turn: turnOf(model, now, rpms, band),
    measured: slow && quick && quick.rpm > slow.rpm ? { base: slow.degrees, gain: quick.degrees - slow.degrees } : null,
    taps: tapsOf(model),
    pod: podOf(model),
    weights: weightsOf(model),
    mapped: machine.partById.has(BOX),
    base: band[0]!,
    total: band[band.length - 1]!,
  };
}

/** By how much the body is to be turned, of itself and of the crank; against the rotor's turning it comes earlier. */
export interface Turn {
  readonly crankDegrees: number;
  readonly bodyDegrees: number;
  readonly way: 'against' | 'with';
}
/** A curve that is off by the same everywhere, within as much, is moved by turning alone. Less than this is left. */
const [ALIKE_DEGREES, WORTH_TURNING] = [2.5, 2];

function turnOf(
  model: Model,
  rows: readonly LightRow[],
  rpms: readonly number[],
  band: TimingCurve['band'],
): Turn | null {
  const late = rows
    .filter((r) => r.hose === 'off')
    .map(({ rpm, degrees }) => {
      const k = rpms.reduce((best, r, i) => (Math.abs(r - rpm) < Math.abs(rpms[best]! - rpm) ? i : best), 0);
      return (band[k]!.low + band[k]!.high) / 2 - degrees;
    });
  if (late.length < 2) return null;
  const mean = late.reduce((a, b) => a + b, 0) / late.length;
  if (Math.abs(mean) < WORTH_TURNING || late.some((l) => Math.abs(l - mean) > ALIKE_DEGREES)) return null;
  // A distributor turns once while the crank turns twice; a plate on the crank turns with it.
  const perCrank = model.machine.partById.has('rotor') ? 0.5 : 1;
  return { crankDegrees: Math.abs(mean), bodyDegrees: perCrank * Math.abs(mean), way: mean > 0 ? 'against' : 'with' };
}

/** In the middle of its plates. */
function tapsOf(model: Model): TimingCurve['taps'] {
  if (!model.machine.partById.has(POD)) return null;
  const params = middleFigures(model);
  return { ported: totalOf(momentOf(params, IDLE)), manifold: totalOf(momentOf(params, IDLE, 'on', false)) };
}

function podOf({ plates }: Model): TimingCurve['pod'] {
  const plate = [...plates.values()].find(({ part, spec }) => part.id === POD && !spec.hidden);
  return plate ? { low: plate.low, high: plate.high } : null;
}

function weightsOf(model: Model): TimingCurve['weights'] {
  const params = middleFigures(model);
  const own = figuresIfAny(params, WEIGHTS);
  if (!own) return null;
  const now = { startRpm: own.startRpm, fullRpm: own.fullRpm, span: own.maxDegrees };
  return { now, idleRpm: new Scene(model.machine, params).see('idles', IDLE).rpm };
}

/** Where the curve is drawn, rev/min: from under idle to beyond the weights' stop, as far as it may be driven. */
function speedsOf(fit: Fit): number[] {
  const [low, high] = fit.cylinders <= 2 ? [800, 5000] : [500, 3600];
  const [from, to] = [Math.min(low, 0.6 * idleRpm(fit)), Math.min(high, topRpm(fit))];
  return Array.from({ length: STEPS + 1 }, (_v, k) => Math.round(from + ((to - from) * k) / STEPS));
}

/** So many machines stand for one hypothesis: several readings together leave few of the tracer's own members over. */
const DRAWS = 160;
const SEED = 41_213;
const drawn = new WeakMap<Model, readonly MachineParams[]>();
function soundDraws(model: Model): readonly MachineParams[] {
  let known = drawn.get(model);
  if (!known) {
    const random = seededRandom(SEED);
    drawn.set(model, (known = Array.from({ length: DRAWS }, () => drawSound(model, random))));
  }
  return known;
}

/** Each drawn machine with the fault in, slight to complete, and what follows from it on this trail. */
function drawsOf(model: Model, fault: ModelFault | undefined): readonly MachineParams[] {
  const sound = soundDraws(model);
  if (!fault) return sound;
  const settle = model.machine.trails.find((t) => t.id === 'timing')?.settle;
  const unasked = (): never => {
    throw new RangeError('The timing settles by its own figures alone');
  };
  return sound.map((params, k) => {
    const failed = withFault(model, params, fault, (k + 0.5) / DRAWS);
    return settle ? settle(unasked, failed) : failed;
  });
}

function explain({ model }: Tracer, rows: readonly LightRow[], rpms: readonly number[]) {
  /** How well each machine accounts for all rows together. */
  const fits = (machines: readonly MachineParams[]): number[] =>
    machines.map((p) => rows.reduce((whole, r) => whole * chance(r.degrees, shownAt(p, r.rpm, r.hose)), 1));
  const mean = (v: readonly number[]) => v.reduce((a, b) => a + b, 0) / v.length;
  const own = model.faults.filter((f) => f.trail === 'timing');
  // Before the light is held to it, a curve is as often right as wrong.
  const soundWeight = own.reduce((sum, f) => sum + f.weight, 0);
  const judged = own.map((fault) => {
    const machines = drawsOf(model, fault);
    return { fault, machines, each: fits(machines) };
  });
  const soundFits = mean(fits(drawsOf(model, undefined))) * soundWeight;
  const all = soundFits + judged.reduce((sum, j) => sum + mean(j.each) * j.fault.weight, 0);
  const explained = judged
    .map(({ fault, machines, each }): Explained => {
      const whole = each.reduce((a, b) => a + b, 0) || 1;
      const at = (rpm: number) => machines.reduce((sum, p, m) => sum + (shownAt(p, rpm, 'off') * each[m]!) / whole, 0);
      return {
        faultId: fault.id,
        part: fault.part.label,
        how: fault.mode.label,
        repair: model.repairs.get(fault.repairId)!.label,
        share: (mean(each) * fault.weight) / all,
        degrees: rpms.map(at),
      };
    })
    .filter((e) => e.share >= SHOWN_FROM)
    .sort((a, b) => b.share - a.share);
  return { explained, sound: soundFits / all };
}

/**
 * The figure to set at idle so that all of the advance that this distributor really has ends at the wanted total.
 * `gain` is what the light moved from idle to fast, hose off. Degrees.
 */
export const baseForTotal = (total: number, gain: number): number => total - gain;
