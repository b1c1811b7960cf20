import { LIGHTS_ITSELF_FROM } from '../machine/hazards.ts';
import type { Complaint } from '../schema/job.ts';
import { TRAIL_NAMES, type TrailName } from '../schema/symptoms.ts';
import type { Model, ModelFault } from './model.ts';
import { patternWeight } from './presence.ts';
import { happenedWeight } from './happened.ts';
import { recentWeight } from './recentWork.ts';

/** One account of what is wrong: something on a trail that nobody has told, one fault, two at once. */
export interface Hypothesis {
  readonly id: string;
  readonly faults: readonly ModelFault[];
  readonly prior: number;
  /** The trail that it lies on, where that one has not been told. */
  readonly elsewhere?: TrailName;
}

/** Shares of the whole before any reading. */
export const SHARES = {
  /** Two faults at once: old machines have something slight beside what they came for. Judgement. */
  pairs: 0.08,
  /** Something this model does not know. */
  outside: 0.01,
} as const;
const REST = 1 - SHARES.pairs - SHARES.outside;

/**
 * Share of each fault among all that can be wrong with this machine, for a pattern of complaint: its share of its own
 * trail, times that trail's of engines.
 */
export function faultPriors(model: Model, complaint: Complaint): ReadonlyMap<ModelFault, number> {
  const key = JSON.stringify([complaint.pattern, complaint.recent ?? [], complaint.happened ?? []]);
  let known = model.priors.get(key);
  if (!known) {
    const raw = (f: ModelFault) => f.weight * patternWeight(complaint, f);
    const totals = new Map<TrailName, number>();
    for (const f of model.faults) totals.set(f.trail, (totals.get(f.trail) ?? 0) + raw(f));
    const worn = (f: ModelFault) => (model.trailShares[f.trail] * raw(f)) / totals.get(f.trail)!;
    // Work draws belief to where it was done, over the trails as well.
    const drawn = model.faults.map((f): [ModelFault, number] => [
      f,
      worn(f) * recentWeight(model, complaint, f) * happenedWeight(complaint, f),
    ]);
    const [told, all] = [model.faults.map(worn), drawn.map(([, w]) => w)].map((w) => w.reduce((a, b) => a + b, 0));
    known = new Map(drawn.map(([f, w]) => [f, (w * told!) / all!]));
    model.priors.set(key, known);
  }
  return known;
}

export function singles(model: Model, complaint: Complaint): Hypothesis[] {
  const priors = faultPriors(model, complaint);
  return model.faults.map((f) => ({ id: f.id, faults: [f], prior: REST * priors.get(f)! }));
}

/** Trails that nobody has told, each as one account. */
export function elsewhere(model: Model): Hypothesis[] {
  const told = new Set<string>(model.machine.trails.map((t) => t.id));
  const sparkless = model.machine.fit.compressionRatio >= LIGHTS_ITSELF_FROM;
  return TRAIL_NAMES.filter((t) => !told.has(t) && !(t === 'spark' && sparkless)).map((trail) => ({
    id: `elsewhere: ${trail}`,
    faults: [],
    elsewhere: trail,
    prior: REST * model.trailShares[trail],
  }));
}

/** The pair of two faults, whichever is named first. */
export function pairOf(model: Model, complaint: Complaint, a: ModelFault, b: ModelFault): Hypothesis {
  const [x, y] = a.id < b.id ? [a, b] : [b, a];
  return {
    id: `${x.id}+${y.id}`,
    faults: [x, y],
    prior: Math.exp(pairLog(model, complaint, x) + pairLog(model, complaint, y)),
  };
}

/** What one fault brings to the prior of a pair, a natural logarithm: pairs are a share of what is told of the machine. */
export function pairLog(model: Model, complaint: Complaint, fault: ModelFault): number {
  const told = model.machine.trails.reduce((sum, t) => sum + model.trailShares[t.id], 0);
  return Math.log(faultPriors(model, complaint).get(fault)!) + Math.log((SHARES.pairs * 2) / told) / 2;
}
