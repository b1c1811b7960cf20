import type { MachineParams } from '../layouts/index.ts';
import type { PartParams } from '../parts/index.ts';
import type { Random } from '../random/lcg.ts';
import type { Model, ModelFault } from './model.ts';

/**
 * Figures of one sound machine of this plate: each drawn over its band, more often near the middle (the mean of two
 * even draws). `stretch` above 1 goes beyond the band by that factor.
 */
export function drawSound(model: Model, random: Random, stretch = 1): MachineParams {
  const params: Record<string, Record<string, number>> = {};
  for (const part of model.layout.parts) params[part.id] = {};
  for (const plate of model.plates.values()) {
    const middle = (plate.low + plate.high) / 2;
    const half = ((plate.high - plate.low) / 2) * stretch;
    params[plate.part.id]![plate.spec.id] = middle + half * (random() + random() - 1);
  }
  return params;
}

/** The same machine with a fault put in. */
export function withFault(model: Model, params: MachineParams, fault: ModelFault, severity: number): MachineParams {
  const failed: PartParams = fault.mode.apply(params[fault.part.id]!, severity, model.layout.fit);
  return { ...params, [fault.part.id]: failed };
}
