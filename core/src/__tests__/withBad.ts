import type { MachineParams } from '../machine/known.ts';
import { withFault } from '../tracing/draw.ts';
import type { Model, ModelFault } from '../tracing/model.ts';

/** The degree of a fault that lies so far between what its own formula begins with and its worst: bad enough to be brought in. */
const badDegree = ({ mode: { slight = 0 } }: ModelFault, bad: number): number => slight + (1 - slight) * bad;

/** A machine whose fault is bad enough to be brought in: 0 just so, 1 as bad as it gets. */
export const withBad = (model: Model, sound: MachineParams, fault: ModelFault, bad: number): MachineParams =>
  withFault(model, sound, fault, badDegree(fault, bad));
