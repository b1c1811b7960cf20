import type { Slow } from '../machine/trail.ts';
import { middleScene } from '../tracing/middle.ts';
import type { Model } from '../tracing/model.ts';

/** Pressures over the minutes, every figure in the middle of its band: sound, or with one fault of middle severity. */
export function overMinutes(model: Model, faultId?: string): readonly Slow[] {
  const scene = middleScene(
    model,
    model.faults.find((f) => f.id === faultId),
  );
  return model.machine.trails.flatMap((t) => t.slowly?.(scene) ?? []);
}
