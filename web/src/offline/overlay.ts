import {
  entryOf,
  type Aside,
  type Care,
  type Cause,
  type Fix,
  type JobBody,
  type JobEvent,
  type Photo,
  type Reading,
  type Setting,
  type Sheet,
  type Snag,
} from '@pondu/core';
import type { StoredJob } from '../api/types.ts';
import type { Entry } from './entry.ts';

/** Fields that only the server has a use for. */
type Sent = Record<string, unknown> & { confirmed?: boolean };

function eventOf({ id, at, path, body }: Entry): JobEvent | undefined {
  const { confirmed: _confirmed, ...sent } = body as Sent;
  const entry = { note: '', ...sent, id, at } as unknown;
  switch (path) {
    case '/readings':
      return { type: 'reading', reading: entry as Reading };
    case '/fixes':
      return { type: 'fix', fix: entry as Fix };
    case '/causes':
      return { type: 'cause', cause: entry as Cause };
    case '/settings':
      return { type: 'setting', setting: entry as Setting };
    case '/sheets':
      return { type: 'sheet', sheet: entry as Sheet };
    case '/asides':
      return { type: 'aside', aside: entry as Aside };
    case '/cares':
      return { type: 'care', care: entry as Care };
    case '/photos':
      return { type: 'photo', photo: entry as Photo };
    default:
      return undefined;
  }
}

function changed(job: JobBody, { path, body, at }: Entry): JobBody {
  if (path === '/close') return { ...job, stage: 'closed', closedAt: at, closedBecause: String(body['because'] ?? '') };
  if (path !== '') return job;
  const patch = body as Partial<JobBody>;
  return { ...job, ...patch, complaint: { ...job.complaint, ...patch.complaint } };
}

/** A job as it will be once what waits has gone up. What was refused does not count. */
export function overlaid(stored: StoredJob, entries: readonly Entry[]): StoredJob {
  const own = entries.filter((e) => e.jobId === stored.id && e.state === 'waiting');
  return own.reduce<StoredJob>((job, entry) => {
    const event = eventOf(entry);
    if (event) {
      // The answer may have been lost after it was written down: then it is there already.
      const known = job.events.some((e) => entryOf(e).id === entry.id);
      return known ? job : { ...job, events: [...job.events, event] };
    }
    // A picture adds nothing to what is said.
    if (entry.blob) return job;
    if (entry.path === '/snags') {
      const before = job.snags.find((s) => s.id === entry.body['id']);
      const snag = { done: false, at: entry.at, ...before, ...entry.body } as Snag;
      return { ...job, snags: [...job.snags.filter((s) => s.id !== snag.id), snag] };
    }
    return { ...job, job: changed(job.job, entry) };
  }, stored);
}
