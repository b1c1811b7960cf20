import type { MachineParams } from '../machine/known.ts';
import { Scene } from '../machine/scene.ts';
import { drawSound, withFault } from './draw.ts';
import type { Model, ModelFault } from './model.ts';

export const MIDDLE = 0.5;

/** Every figure in the middle of its band. */
export const middleFigures = (model: Model): MachineParams => drawSound(model, () => MIDDLE);

/** The machine with every figure in the middle of its band: sound, or with one fault, of middle severity unless said. */
export function middleScene(model: Model, fault?: ModelFault, severity = MIDDLE): Scene {
  const sound = middleFigures(model);
  return new Scene(model.machine, fault ? withFault(model, sound, fault, severity) : sound);
}
