import { Scene } from '../machine/scene.ts';
import type { Slow } from '../machine/trail.ts';
import { drawSound, withFault } from '../tracing/draw.ts';
import type { Model } from '../tracing/model.ts';

/** Pressures over the minutes, every figure in the middle of its band: sound, or with one fault of middle severity. */
export function overMinutes(model: Model, faultId?: string): readonly Slow[] {
  const sound = drawSound(model, () => 0.5);
  const fault = model.faults.find((f) => f.id === faultId);
  const scene = new Scene(model.machine, fault ? withFault(model, sound, fault, 0.5) : sound);
  return model.machine.trails.flatMap((t) => t.slowly?.(scene) ?? []);
}
