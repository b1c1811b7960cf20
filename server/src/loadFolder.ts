import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { ponduFileSchema } from '@pondu/core/schema';
import type { Store } from './store/database.ts';
import { importFile } from './store/files.ts';

/** Reads every `.pondu.json` of a folder through the same import as a user's; what is there already is left alone. */
export async function loadFolder(store: Store, folder: string): Promise<void> {
  const names = (await readdir(folder)).filter((n) => n.endsWith('.pondu.json')).sort();
  for (const name of names) {
    const file = ponduFileSchema.parse(JSON.parse(await readFile(join(folder, name), 'utf8')));
    await importFile(store, file);
  }
}
