import { houseSchema, storedMachineSchema, type FitOut } from '@pondu/core/schema';
import { timeKind, timeRecalled } from './measure.ts';

export interface Told {
  fit: FitOut;
  /** What the workshop has simulated of it: only the first trace is then timed. */
  recall?: string;
}

/** In a browser's worker: told the fit-out, answers with the times. What the tracer holds stays, to be weighed. */
const held: unknown[] = [];
self.addEventListener('message', ({ data: { fit, recall } }: MessageEvent<Told>) => {
  const machine = storedMachineSchema.parse({ name: 'Timed', kind: 'boat', worth: 2000, fitOut: fit });
  const house = houseSchema.parse({});
  if (recall !== undefined) return self.postMessage({ recalledMs: timeRecalled(machine, house, recall) });
  const { timed, kept } = timeKind(machine, house);
  held.push(kept);
  self.postMessage(timed);
});
