import { createHash } from 'node:crypto';
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { packed } from '@pondu/core';
import type { OfJob, Summarised } from './tasks.ts';

/** A job's bay and first screen as a file that was worked out before the server ran: text, but for the simulation's bytes. */
export interface WorkedOut {
  bay: Summarised['bay'];
  ahead: string;
  simulated: Uint8Array | null;
}

/** The same whatever the order in which properties were written down. */
const inOrder = (_key: string, value: unknown): unknown =>
  value !== null && typeof value === 'object' && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;
/** All that a bay hangs on: of anything else it is another file. */
const nameOf = ({ machine, house, job, events }: OfJob): string =>
  createHash('sha256')
    .update(JSON.stringify([machine, house, job, events], inOrder))
    .digest('hex');

const fileOf = (folder: string, input: OfJob): string => join(folder, `${nameOf(input)}.json`);

/** Undefined where nobody worked it out, or its file cannot be read. */
export async function readWorkedOut(folder: string, input: OfJob): Promise<WorkedOut | undefined> {
  try {
    const kept = JSON.parse(await readFile(fileOf(folder, input), 'utf8')) as {
      bay: WorkedOut['bay'];
      ahead: string;
      simulated: string;
    };
    return { bay: kept.bay, ahead: kept.ahead, simulated: Buffer.from(kept.simulated, 'base64') };
  } catch {
    return undefined;
  }
}

/** Written beside its place and moved there whole: one that is cut off is none. */
export async function keepWorkedOut(folder: string, input: OfJob, made: Summarised): Promise<void> {
  const { bay, ahead, simulated } = made;
  const text = JSON.stringify({
    bay,
    ahead: packed(ahead),
    simulated: Buffer.from(simulated ?? []).toString('base64'),
  });
  const file = fileOf(folder, input);
  await mkdir(folder, { recursive: true });
  await writeFile(`${file}.part`, text);
  await rename(`${file}.part`, file);
}
