import { AGE_WEIGHT, causesOf, names } from '../machine/cause.ts';
import { CAUSES } from '../trails/causes.ts';
import type { Model, ModelFault } from './model.ts';

type Shares = ReadonlyMap<ModelFault, number>;

/** However often one thing lies behind another, it is not counted on more than this. */
const AT_MOST = 0.5;
/**
 * Of the causes that are found once they are looked for, so many were bad enough to show before. Judgement; with all of
 * them pairs take what one fault explains (docs/DECISIONS.md).
 */
const SHOWS_BEFORE = 0.1;
const kept = new WeakMap<Model, ReadonlyMap<ModelFault, Shares>>();

/** Of each fault: how often which other fault lies behind it, by the causes that are named for it; 0…1. */
function behind(model: Model): ReadonlyMap<ModelFault, Shares> {
  let known = kept.get(model);
  if (!known) {
    known = new Map(model.faults.map((effect) => [effect, behindOne(model, effect)]));
    kept.set(model, known);
  }
  return known;
}

function behindOne(model: Model, effect: ModelFault): Shares {
  const causes = causesOf(CAUSES, effect, model.machine.fit).map((spec) => ({
    weight: spec.weight,
    looked: spec.faults.length === 0,
    faults: model.faults.filter((f) => names(spec, f, effect) && f.part.id !== effect.part.id),
  }));
  const usable = causes.filter((c) => c.looked || c.faults.length > 0);
  const total = usable.reduce((sum, c) => sum + c.weight, AGE_WEIGHT);
  const shares = new Map<ModelFault, number>();
  for (const { weight, faults } of usable)
    for (const f of faults) shares.set(f, Math.min(AT_MOST, (shares.get(f) ?? 0) + weight / total / faults.length));
  return shares;
}

/** Whether what one repair puts right is named as a cause of what another does. */
export const liesBehind = (model: Model, cause: string, effect: string): boolean =>
  model.faults.some(
    (f) => f.repairId === effect && [...behind(model).get(f)!.keys()].some((c) => c.repairId === cause),
  );

/**
 * Chance that a fault is there beside these others: its own prevalence, or, where it is a cause of one of them or what
 * one of them does, as often as that is so. p(effect | cause) = p(cause | effect) · p(effect) / p(cause).
 */
export function chanceBeside(
  model: Model,
  fault: ModelFault,
  others: readonly ModelFault[],
  prevalence: (f: ModelFault) => number,
): number {
  const links = behind(model);
  let chance = prevalence(fault);
  for (const other of others) {
    const asCause = links.get(other)!.get(fault);
    if (asCause !== undefined) chance = Math.max(chance, SHOWS_BEFORE * asCause);
    const asEffect = links.get(fault)!.get(other);
    if (asEffect !== undefined)
      chance = Math.max(chance, Math.min(AT_MOST, (SHOWS_BEFORE * asEffect * prevalence(fault)) / prevalence(other)));
  }
  return chance;
}
