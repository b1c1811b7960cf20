import { houseSchema, storedMachineSchema } from '@pondu/core/schema';
import { KINDS } from '../kinds.ts';
import { timeKind } from './measure.ts';

/** One kind in a process of its own: cold, as a server's thread meets it. The kind's name is the argument. */
const kind = process.argv[2]!;
const machine = storedMachineSchema.parse({ name: kind, kind: 'car', worth: 2000, fitOut: KINDS[kind] });
const held = () => {
  globalThis.gc?.();
  const { heapUsed, arrayBuffers } = process.memoryUsage();
  return heapUsed + arrayBuffers;
};
const before = held();
const { timed, kept } = timeKind(machine, houseSchema.parse({}));
const tracerMegabytes = (held() - before) / 1e6;
process.stdout.write(JSON.stringify({ ...timed, tracerMegabytes, faults: kept.model.faults.length }));
