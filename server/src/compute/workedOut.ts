import { createHash } from 'node:crypto';
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { packed } from '@pondu/core';
import type { OfJob, Summarised } from './tasks.ts';

/** A job's bay and first screen as a file that was worked out before the server ran. */
export interface WorkedOut {
  bay: Summarised['bay'];
  ahead: string;
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

const bayFile = (folder: string, input: OfJob): string => join(folder, `${nameOf(input)}.json`);
const simulationFile = (folder: string, name: string): string => join(folder, 'simulations', `${name}.json.gz`);

/** Undefined where nobody worked it out, or its file cannot be read. */
export async function readWorkedOut(folder: string, input: OfJob): Promise<WorkedOut | undefined> {
  try {
    return JSON.parse(await readFile(bayFile(folder, input), 'utf8')) as WorkedOut;
  } catch {
    return undefined;
  }
}
/** Of the machine that `simulatedName` names; gzipped. */
export const readSimulation = (folder: string, name: string): Promise<Uint8Array | undefined> =>
  readFile(simulationFile(folder, name)).catch(() => undefined);

export const keepWorkedOut = (folder: string, input: OfJob, { bay, ahead }: Summarised): Promise<void> =>
  written(bayFile(folder, input), JSON.stringify({ bay, ahead: packed(ahead) }));
export const keepSimulated = (folder: string, name: string, gzipped: Uint8Array): Promise<void> =>
  written(simulationFile(folder, name), gzipped);

/** Written beside its place and moved there whole: one that is cut off is none. */
async function written(file: string, content: string | Uint8Array): Promise<void> {
  await mkdir(dirname(file), { recursive: true });
  await writeFile(`${file}.part`, content);
  await rename(`${file}.part`, file);
}
