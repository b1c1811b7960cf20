import { copyFile, mkdir, rename, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { codeOf } from '../http/codeOf.ts';
import { folderOf, ownName, wrongWith } from './backups.ts';
import { connect } from './connection.ts';
import { take } from './dataFile.ts';

/** Says why a file is not put in the place of the data. */
export class NotRestored extends Error {}

/** What a backup holds, to be shown before it is put in place. */
export interface Held {
  readonly machines: number;
  readonly jobs: number;
  /** When something was last written, or nothing where there is nothing. */
  readonly last: string | null;
}

/** What stands in a file, or why it is no backup of a workshop. */
export async function heldIn(from: string): Promise<Held> {
  const found = await stat(from).catch(() => undefined);
  if (!found?.isFile()) throw new NotRestored(`There is no file ${from}.`);
  const wrong = await wrongWith(from);
  if (wrong !== undefined) throw new NotRestored(`${from} is damaged or no backup: ${wrong}. Nothing was changed.`);
  const own = await connect(from);
  try {
    const [held] = await own.all<Held>(
      `SELECT (SELECT count(*) FROM machines) AS machines, (SELECT count(*) FROM jobs) AS jobs,
        (SELECT max(updated_at) FROM (SELECT updated_at FROM machines UNION ALL SELECT updated_at FROM jobs)) AS last`,
    );
    return held!;
  } catch {
    throw new NotRestored(`${from} holds no workshop. Nothing was changed.`);
  } finally {
    await own.close();
  }
}

/** SQLite’s own files beside a data file: what is in them belongs to it. */
const BESIDE = ['', '-wal', '-shm'];

/** Moves a file that may not be there. What cannot be moved stays where it is, and is no reason to lose it. */
const keepAway = (from: string, to: string): Promise<void> =>
  rename(from, to).catch((error: unknown) => {
    if (codeOf(error) !== 'ENOENT') throw error;
  });

/**
 * Puts a backup in the place of a data file that no server holds. What was there is kept among the backups, damaged or
 * not; its name is given back, or nothing where nothing was there. Throws Unusable or NotRestored, and nothing is changed.
 */
export async function restore(file: string, from: string, at: Date): Promise<string | undefined> {
  await heldIn(from);
  const lock = await take(file);
  try {
    const fresh = `${file}.new`;
    await copyFile(from, fresh);
    const there = await stat(file).catch(() => undefined);
    const kept = join(folderOf(file), `${ownName(file)}-replaced-${at.toISOString().replaceAll(':', '-')}.sqlite`);
    await mkdir(folderOf(file), { recursive: true });
    for (const end of BESIDE) await keepAway(`${file}${end}`, `${kept}${end}`);
    await rename(fresh, file);
    return there ? kept : undefined;
  } finally {
    await lock.close();
  }
}
