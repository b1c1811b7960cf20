import { LIGHTS_ITSELF_FROM } from '../machine/hazards.ts';
import type { Complaint } from '../schema/job.ts';
import { TRAIL_NAMES, type TrailName } from '../schema/symptoms.ts';
import { chanceBeside } from './linked.ts';
import type { Model, ModelFault } from './model.ts';
import { patternWeight } from './presence.ts';
import { happenedWeight } from './happened.ts';
import { recentWeight } from './recentWork.ts';

/** One account of what is wrong: something on a trail that nobody has told, or a fault; and what is wrong beside it. */
export interface Hypothesis {
  readonly id: string;
  readonly faults: readonly ModelFault[];
  readonly prior: number;
  /** The trail that it lies on, where that one has not been told. */
  readonly elsewhere?: TrailName;
}

/** Share of the whole, before any reading, of something that this model does not know. */
export const OUTSIDE = 0.01;
const REST = 1 - OUTSIDE;
/**
 * Defects that an old machine has beside the one that it came for, on the average. Each is there by its own prevalence
 * and need not explain the complaint; one that shows in no reading is counted with the account without it. Judgement.
 */
const COMPANIONS = 0.6;

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

/** Share of machines brought in with nothing wrong: it cured itself as it stood, or was misjudged. Judgement. */
export const NOTHING = 0.04;
/** The account that nothing is wrong at all. */
export const NOTHING_WRONG: Hypothesis = { id: 'nothing', faults: [], prior: REST * NOTHING };

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

/** Every fault by its prevalence beside another: as often as it is met, whatever this one's complaint comes with. */
const companions = (model: Model, complaint: Complaint): ReadonlyMap<ModelFault, number> =>
  faultPriors(model, { ...complaint, pattern: 'constant' });

/** Chance that a fault is there beside others, for a complaint. */
export function companionChance(
  model: Model,
  complaint: Complaint,
): (fault: ModelFault, others: readonly ModelFault[]) => number {
  const beside = companions(model, complaint);
  const prevalence = (f: ModelFault) => COMPANIONS * beside.get(f)!;
  return (fault, others) => chanceBeside(model, fault, others, prevalence);
}

/** What each fault beside another brings to the prior of an account, natural logarithms. */
const companionLogs = (model: Model, complaint: Complaint): ReadonlyMap<ModelFault, number> =>
  new Map([...companions(model, complaint)].map(([fault, share]) => [fault, Math.log(COMPANIONS * share)]));

/** Several faults at once, whichever is named first: one of them brought it in, the others are there besides. */
export function setOf(model: Model, complaint: Complaint, faults: readonly ModelFault[]): Hypothesis {
  const sorted = [...faults].sort((a, b) => (a.id < b.id ? -1 : 1));
  const priors = faultPriors(model, complaint);
  const chanceOf = companionChance(model, complaint);
  const besides = (bringer: ModelFault): number => {
    // Each is there beside those before it: what one of them has done is no coincidence.
    const before = [bringer];
    return sorted.reduce((p, f) => {
      if (f === bringer) return p;
      const chance = chanceOf(f, before);
      before.push(f);
      return p * chance;
    }, 1);
  };
  const each = sorted.map((bringer) => REST * priors.get(bringer)! * besides(bringer));
  return { id: sorted.map((f) => f.id).join('+'), faults: sorted, prior: each.reduce((a, b) => a + b, 0) };
}

/** Something on a trail that nobody has told brought it in, and these faults are there besides. */
export function besideElsewhere(
  model: Model,
  complaint: Complaint,
  trail: TrailName,
  faults: readonly ModelFault[],
): Hypothesis {
  const logs = companionLogs(model, complaint);
  return {
    id: `elsewhere: ${trail}+${faults.map((f) => f.id).join('+')}`,
    faults,
    elsewhere: trail,
    prior: REST * model.trailShares[trail] * Math.exp(faults.reduce((sum, f) => sum + logs.get(f)!, 0)),
  };
}

/** What each of two brings to the prior of their pair, as if the complaint came with both alike; logarithms. */
export const halfOfPairLogs = (model: Model, complaint: Complaint): ReadonlyMap<ModelFault, number> =>
  new Map(
    [...faultPriors(model, complaint)].map(([fault, p]) => [fault, Math.log(p) + Math.log(2 * COMPANIONS * REST) / 2]),
  );
