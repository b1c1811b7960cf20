import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Entry } from './entry.ts';

/** What was last seen at an address of the API. */
interface Seen {
  path: string;
  value: unknown;
}
interface Kept extends DBSchema {
  seen: { key: string; value: Seen };
  outbox: { key: string; value: Entry };
}

/** What this browser keeps for when there is no signal. */
export interface Keep {
  putSeen(path: string, value: unknown): Promise<void>;
  getSeen(path: string): Promise<unknown>;
  putEntry(entry: Entry): Promise<void>;
  dropEntry(id: string): Promise<void>;
  entries(): Promise<Entry[]>;
}

function inDatabase(db: IDBPDatabase<Kept>): Keep {
  return {
    putSeen: async (path, value) => void (await db.put('seen', { path, value })),
    getSeen: async (path) => (await db.get('seen', path))?.value,
    // Durable before anyone is told that it is kept.
    putEntry: async (entry) => {
      const write = db.transaction('outbox', 'readwrite', { durability: 'strict' });
      await write.store.put(entry);
      await write.done;
    },
    dropEntry: (id) => db.delete('outbox', id),
    entries: () => db.getAll('outbox'),
  };
}

/** Where there is no database (a private window), for as long as the page is open. */
export function inMemory(): Keep {
  const seen = new Map<string, unknown>();
  const outbox = new Map<string, Entry>();
  return {
    putSeen: async (path, value) => void seen.set(path, structuredClone(value)),
    getSeen: async (path) => seen.get(path),
    putEntry: async (entry) => void outbox.set(entry.id, structuredClone(entry)),
    dropEntry: async (id) => void outbox.delete(id),
    entries: async () => [...outbox.values()],
  };
}

async function open(): Promise<Keep> {
  if (typeof indexedDB === 'undefined') return inMemory();
  try {
    const db = await openDB<Kept>('pondu', 1, {
      upgrade(fresh) {
        fresh.createObjectStore('seen', { keyPath: 'path' });
        fresh.createObjectStore('outbox', { keyPath: 'id' });
      },
    });
    return inDatabase(db);
  } catch {
    return inMemory();
  }
}

/** Longer than this nobody waits for a store that does not answer, as while a page that was left still holds it. */
const PATIENCE_MS = 3000;

let opened: Promise<Keep> | undefined;
export const keep = (): Promise<Keep> => (opened ??= open());

/** What the store answers in time; nothing when it is late: what was asked of it is done when it comes round to it. */
export async function inTime<T>(ask: (store: Keep) => Promise<T>): Promise<T | undefined> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<undefined>((done) => (timer = setTimeout(done, PATIENCE_MS, undefined)));
  return Promise.race([keep().then(ask), late]).finally(() => clearTimeout(timer));
}
