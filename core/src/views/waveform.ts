import { CRANKING } from '../trails/checks.ts';
import { solveTransient, type Transient } from '../network/index.ts';
import type { Scene } from '../machine/scene.ts';
import { middleScene } from '../tracing/middle.ts';
import type { Model } from '../tracing/model.ts';
import { chargeWaves } from './chargeWave.ts';
import { triggerPlan } from './triggerWave.ts';

export type WaveId = 'primary' | 'secondary' | 'trigger' | 'charge coil' | 'store' | 'leg' | 'ripple' | 'charge amps';
/** What a scope is put to: one firing while cranking, or the charge as it runs fast with all on. */
export type WaveSubject = 'firing' | 'charge';

/** One trace of a scope. Seconds from the moment that matters (points open, trigger, a wave's start); volts or amperes. */
export interface Wave {
  readonly id: WaveId;
  readonly at: readonly number[];
  readonly values: readonly number[];
}
export type Waveforms =
  | { readonly ok: true; readonly waves: readonly Wave[] }
  /** Solved by nobody: said, not drawn. */
  | { readonly ok: false; readonly code: string };

const POINTS_DRAWN = 600;
/** Shown of a firing, before and after its moment, seconds; a charge coil's swings are shown whole. */
const [BEFORE, AFTER] = [0.4e-3, 2.6e-3];

/** Lowest and highest of each stretch, so that no peak is lost in the drawing. */
function thinned(at: readonly number[], values: readonly number[]): Pick<Wave, 'at' | 'values'> {
  if (at.length <= POINTS_DRAWN) return { at, values };
  const kept: number[] = [];
  const stretch = Math.ceil((2 * at.length) / POINTS_DRAWN);
  for (let from = 0; from < at.length; from += stretch) {
    const to = Math.min(at.length, from + stretch);
    let [low, high] = [from, from];
    for (let k = from; k < to; k++) {
      if (values[k]! < values[low]!) low = k;
      if (values[k]! > values[high]!) high = k;
    }
    kept.push(...new Set([Math.min(low, high), Math.max(low, high)]));
  }
  return { at: kept.map((k) => at[k]!), values: kept.map((k) => values[k]!) };
}

function waveOf(run: Transient, id: WaveId, node: string, moment: number): Wave {
  const slow = id === 'charge coil' || id === 'store' || id === 'trigger';
  const [from, to] = slow ? [-Infinity, Infinity] : [moment - BEFORE, moment + AFTER];
  const all = run.volts(node);
  const [at, volts]: [number[], number[]] = [[], []];
  for (let k = 0; k < run.at.length; k++)
    if (run.at[k]! >= from && run.at[k]! <= to) {
      at.push(run.at[k]! - moment);
      volts.push(all[k]!);
    }
  return { id, ...thinned(at, volts) };
}

/** What a scope shows, every figure in the middle of its band: sound, or with one fault of middle severity. */
export function waveforms(model: Model, faultId?: string, subject: WaveSubject = 'firing'): Waveforms {
  const fault = model.faults.find((f) => f.id === faultId);
  if (faultId !== undefined && !fault) return { ok: false, code: 'unknown-fault' };
  const scene = middleScene(model, fault);
  return subject === 'charge' ? ofCharge(scene) : ofFiring(scene, fault?.part.cylinder ?? 1);
}

function ofCharge(scene: Scene): Waveforms {
  const waves = chargeWaves(scene);
  if ('code' in waves) return { ok: false, code: waves.code };
  return { ok: true, waves: waves.map(({ id, at, values }) => ({ id, ...thinned(at, values) })) };
}

function ofFiring(scene: Scene, cylinder: number): Waveforms {
  const plan = scene.machine.firing(scene, CRANKING, cylinder, true);
  const run = solveTransient(plan.circuit, { until: plan.until, longest: plan.longest, fromInitial: true });
  if (!run.ok) return { ok: false, code: run.code };
  const waves = plan.traces.map(({ id, node }) => waveOf(run, id, node, plan.at));
  return { ok: true, waves: [...waves, ...triggerWave(scene)] };
}

/** What told it to fire, where something did. */
function triggerWave(scene: Scene): Wave[] {
  const plan = triggerPlan(scene, 2 * AFTER);
  if (!plan) return [];
  const run = solveTransient({ elements: plan.elements, couplings: [] }, { until: 2 * AFTER, longest: AFTER / 100 });
  return run.ok ? [waveOf(run, 'trigger', plan.node, AFTER)] : [];
}
