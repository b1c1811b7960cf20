import { readFileSync } from 'node:fs';
import { houseSchema, storedMachineSchema } from '@pondu/core/schema';
import { KINDS } from '../kinds.ts';
import { timeKind, timeRecalled } from './measure.ts';

/**
 * One kind in a process of its own: cold, as a server's thread meets it. The kind's name is the argument; with a file of
 * what was simulated of it as the second, only its first trace is timed.
 */
const [kind = '', recall] = process.argv.slice(2);
const machine = storedMachineSchema.parse({ name: kind, kind: 'car', worth: 2000, fitOut: KINDS[kind] });
const house = houseSchema.parse({});
process.stdout.write(JSON.stringify(recall === undefined ? timed() : recalled(readFileSync(recall, 'utf8'))));

function timed() {
  const before = held();
  const { timed, kept } = timeKind(machine, house);
  const tracerMegabytes = (held() - before) / 1e6;
  return { ...timed, tracerMegabytes, faults: kept.model.faults.length };
}
function recalled(text: string) {
  return { recalledMs: timeRecalled(machine, house, text) };
}
function held(): number {
  globalThis.gc?.();
  const { heapUsed, arrayBuffers } = process.memoryUsage();
  return heapUsed + arrayBuffers;
}
