import { MIDDLE, middleFigures } from './middle.ts';
import type { Model, ModelFault } from './model.ts';

const kept = new WeakMap<ModelFault, ReadonlySet<string>>();

/** The figures of its part that a fault changes. */
function changedBy(model: Model, fault: ModelFault): ReadonlySet<string> {
  let known = kept.get(fault);
  if (!known) {
    const sound = middleFigures(model)[fault.part.id]!;
    const failed = fault.mode.apply(sound, MIDDLE, model.machine.fit);
    known = new Set(Object.keys(failed).filter((figure) => failed[figure] !== sound[figure]));
    kept.set(fault, known);
  }
  return known;
}

/**
 * Whether two faults can be there at once: of two parts always; of one part where they change nothing in common and are
 * put right together, as a condenser that leaks and has lost capacitance.
 */
export function goTogether(model: Model, one: ModelFault, other: ModelFault): boolean {
  if (one.part.id !== other.part.id) return true;
  if (one === other || one.repairId !== other.repairId) return false;
  const changed = changedBy(model, one);
  return [...changedBy(model, other)].every((figure) => !changed.has(figure));
}
