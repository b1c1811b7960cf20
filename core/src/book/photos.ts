import type { JobEvent, Photo } from '../schema/job.ts';

/** A job's photos as they were last told, in the order in which they were taken; those taken away are left out. */
export function photosOf(events: readonly JobEvent[]): Photo[] {
  const last = new Map<string, Photo>();
  for (const e of events) if (e.type === 'photo') last.set(e.photo.picture, e.photo);
  return [...last.values()].filter((p) => !p.gone);
}
