import { mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { importFile, type Reader } from './files/import.ts';
import type { Store } from './store/database.ts';

/** Reads every `.pondu.json` of a folder through the same import as a user's; what is there already is left alone. */
export async function loadFolder(store: Store, read: Reader, folder: string): Promise<void> {
  const names = (await readdir(folder)).filter((n) => n.endsWith('.pondu.json')).sort();
  const spool = await mkdtemp(join(tmpdir(), 'pondu-load-'));
  try {
    for (const name of names) await importFile(store, read, join(folder, name), spool);
  } finally {
    await rm(spool, { recursive: true, force: true });
  }
}
