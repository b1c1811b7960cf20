import { drawingOf, type Drawing } from '../drawing/drawing.ts';
import { liveOf, statesOf, type DrawnState, type Live } from '../drawing/live.ts';
import type { TrailId } from '../schema/fitOut.ts';
import type { FaultMode, PartParams } from '../machine/part.ts';
import type { Fit } from '../schema/fit.ts';
import { middleFigures, middleScene } from '../tracing/middle.ts';
import type { Model } from '../tracing/model.ts';

export interface DrawnFault {
  readonly id: string;
  readonly part: string;
  /** "Points: burnt or dirty". */
  readonly label: string;
  /** Comes by degrees: how bad it is can be chosen. */
  readonly graded: boolean;
}

export interface DrawingView {
  readonly drawing: Drawing;
  readonly states: readonly DrawnState[];
  /** Faults that change something on the drawing, by part. */
  readonly faults: readonly DrawnFault[];
}

/** The wiring of a machine to be laid out, and what can be asked of it. */
export function drawingView(model: Model, trail?: TrailId): DrawingView {
  const drawing = drawingOf(model.machine, trail);
  const drawn = new Set(drawing.parts.map((p) => p.id));
  const sound = middleFigures(model);
  const faults = model.faults
    .filter(({ part }) => drawn.has(part.id) && !part.apart)
    .map(({ id, part, mode }) => ({
      id,
      part: part.id,
      label: `${part.label}: ${mode.label}`,
      graded: comesByDegrees(mode, sound[part.id]!, model.machine.fit),
    }));
  return { drawing, states: statesOf(model.machine), faults };
}
/** Whether its worst is another than its slightest. */
function comesByDegrees({ apply }: FaultMode, sound: PartParams, fit: Fit): boolean {
  const [least, most] = [apply(sound, 0, fit), apply(sound, 1, fit)];
  return Object.keys(most).some((figure) => most[figure] !== least[figure]);
}

export interface LiveView {
  readonly well: Live;
  /** The same with the fault that was chosen. */
  readonly bad: Live | undefined;
}

/** Volts and amperes of a state, as computed: when well, and with a fault so bad (0…1). */
export function liveView(
  model: Model,
  state: DrawnState,
  trail?: TrailId,
  faultId?: string,
  severity?: number,
): LiveView {
  const drawing = drawingOf(model.machine, trail);
  const fault = model.faults.find((f) => f.id === faultId);
  return {
    well: liveOf(drawing, middleScene(model), state),
    bad: fault && liveOf(drawing, middleScene(model, fault, severity), state),
  };
}
