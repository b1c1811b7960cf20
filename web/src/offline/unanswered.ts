import { v4 as uuid } from 'uuid';

const KEY = 'pondu.unanswered';
/** Longer ago than this the same words are another entry. */
const SAME_WITHIN_MS = 10 * 60_000;
const MOST = 40;

interface Sent {
  said: string;
  id: string;
  at: number;
}

function read(now: number): Sent[] {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '[]') as Sent[];
    return kept.filter((s) => now - s.at < SAME_WITHIN_MS);
  } catch {
    return [];
  }
}
function write(kept: readonly Sent[]): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(kept.slice(-MOST)));
  } catch {
    // A full store: then the same entry sent again is another one, as it was before.
  }
}

/**
 * The id under which these words go up: that of the last time, where no answer to it was seen, as on a page that was
 * left in that moment. Sent again they are then the same entry.
 */
export function idFor(said: string, now = Date.now()): string {
  const kept = read(now);
  const known = kept.find((s) => s.said === said);
  if (known) return known.id;
  const id = uuid();
  write([...kept, { said, id, at: now }]);
  return id;
}

/** An answer was seen, or it waits in sight: the same words are another entry from now on. */
export function answered(said: string, now = Date.now()): void {
  write(read(now).filter((s) => s.said !== said));
}
