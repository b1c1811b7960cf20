import { houseSchema, storedMachineSchema, type FitOut } from '@pondu/core/schema';
import { timeKind, timeRecalled } from './measure.ts';

export interface Told {
  fit: FitOut;
  /** What another worker has simulated of it: only the first trace is then timed. */
  simulated?: string;
}

/** In a browser's worker: told the fit-out, answers with the times. What the tracer holds stays, to be weighed. */
const held: unknown[] = [];
self.addEventListener('message', ({ data: { fit, simulated } }: MessageEvent<Told>) => {
  const machine = storedMachineSchema.parse({ name: 'Timed', kind: 'boat', worth: 2000, fitOut: fit });
  const house = houseSchema.parse({});
  if (simulated !== undefined) return self.postMessage({ recalledMs: timeRecalled(machine, house, simulated) });
  const { timed, kept, simulated: text } = timeKind(machine, house);
  held.push(kept);
  self.postMessage({ ...timed, simulated: text });
});
