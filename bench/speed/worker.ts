import { houseSchema, storedMachineSchema, type FitOut } from '@pondu/core/schema';
import { timeKind } from './measure.ts';

/** In a browser's worker: told the fit-out, answers with the times. What the tracer holds stays, to be weighed. */
const held: unknown[] = [];
self.addEventListener('message', (told: MessageEvent<FitOut>) => {
  const machine = storedMachineSchema.parse({ name: 'Timed', kind: 'boat', worth: 2000, fitOut: told.data });
  const { timed, kept } = timeKind(machine, houseSchema.parse({}));
  held.push(kept);
  self.postMessage(timed);
});
