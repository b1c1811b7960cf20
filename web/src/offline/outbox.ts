import { useSyncExternalStore } from 'react';
import { call, put } from '../api/client.ts';
import type { ApiProblem } from '../api/problem.ts';
import { problemOf } from '../api/problem.ts';
import type { StoredJob } from '../api/types.ts';
import type { Entry } from './entry.ts';
import { inTime } from './keep.ts';
import { link } from './link.ts';
import { alone, beside } from './turns.ts';
import { answered, idFor } from './unanswered.ts';

export type Draft = Pick<Entry, 'jobId' | 'method' | 'path' | 'body' | 'blob' | 'version'>;
/** It went up, and this is the job now; or it waits here. */
export type Sent = { state: 'sent'; job: StoredJob } | { state: 'waiting'; entry: Entry };

/** An entry that waited longer than this goes up with the time at which it was entered. */
const LATE_MS = 30_000;
/** While the line stands, what waits is tried again after this. */
const AGAIN_MS = 15_000;
/** Pages of this browser tell one another here that what waits has changed. */
const CHANNEL = 'pondu-outbox';

const addressOf = ({ jobId, path }: Entry): string => (path === '/jobs' ? '/jobs' : `/jobs/${jobId}${path}`);
/** Making a job or writing down a fact takes the entry's own id; a change of the job has none. */
const bodyOf = (entry: Entry): Record<string, unknown> => {
  const named = entry.method === 'POST' && entry.path !== '/close';
  const late = named && Date.now() - Date.parse(entry.at) > LATE_MS;
  return { ...(named ? { id: entry.id } : {}), ...entry.body, ...(late ? { at: entry.at } : {}) };
};

/** What was entered and is not acknowledged yet; it goes up in the order in which it was entered. */
class Outbox {
  entries: readonly Entry[] = [];
  /** The workshop's disk takes no more: what is entered waits here. */
  diskFull = false;
  /** This browser's store takes no more: what waits is kept for as long as the page is open. */
  cannotKeep = false;
  private readonly watchers = new Set<() => void>();
  private seq = 0;
  private flushing: Promise<void> | undefined;
  /** What this browser's store would not take, or has not taken yet: only this page knows of it. */
  private readonly unkept = new Set<string>();
  private channel: BroadcastChannel | undefined;
  /** Told of each job that something went up to. */
  sent: (job: StoredJob) => void = () => undefined;

  /** Shows what this browser keeps, whichever of its pages it was entered on, and hears of it from now on. */
  async load(): Promise<void> {
    if (!this.channel && typeof BroadcastChannel !== 'undefined') {
      this.channel = new BroadcastChannel(CHANNEL);
      this.channel.onmessage = () =>
        void this.reload().then(() => {
          if (link.state === 'here' && !document.hidden && this.waiting()) void this.flush();
        });
    }
    await this.reload();
  }
  private async reload(): Promise<void> {
    // A store that does not answer now is asked again with the next change.
    const kept = await inTime((k) => k.entries());
    if (!kept) return;
    const own = this.entries.filter((e) => this.unkept.has(e.id) && !kept.some((k) => k.id === e.id));
    this.show([...own, ...kept].sort(inOrder));
    this.seq = Math.max(this.seq, ...this.entries.map((e) => e.seq));
  }

  private show(entries: readonly Entry[]): void {
    this.entries = entries;
    for (const watcher of this.watchers) watcher();
  }
  /** Kept by this browser, where it takes it; shown and sent up in any case. */
  private async kept(entry: Entry): Promise<void> {
    try {
      const done = await inTime((k) => k.putEntry(entry).then(() => true));
      this.cannotKeep = false;
      if (done) this.unkept.delete(entry.id);
      else this.unkept.add(entry.id);
    } catch {
      this.cannotKeep = true;
      this.unkept.add(entry.id);
    }
  }
  private async dropped(id: string): Promise<void> {
    // What was never kept is not there to be dropped.
    await inTime((k) => k.dropEntry(id)).catch(() => undefined);
    this.unkept.delete(id);
  }
  private async put(entry: Entry): Promise<void> {
    await this.kept(entry);
    this.show([...this.entries.filter((e) => e.id !== entry.id), entry].sort(inOrder));
    this.channel?.postMessage(null);
  }
  async drop(id: string): Promise<void> {
    await this.dropped(id);
    this.show(this.entries.filter((e) => e.id !== id));
    this.channel?.postMessage(null);
  }

  /**
   * Keeps what is entered, then sends it. Where the workshop cannot be reached, or something of this job waits already,
   * it waits. What is refused at once is thrown as ApiProblem and not kept: it is still in its box.
   */
  async enter(draft: Draft): Promise<Sent> {
    const said = JSON.stringify([draft.jobId, draft.method, draft.path, draft.body, draft.blob?.size]);
    try {
      return await this.entered(draft, said);
    } finally {
      answered(said);
    }
  }
  private async entered(draft: Draft, said: string): Promise<Sent> {
    const given = draft.body['id'];
    const id = typeof given === 'string' && draft.path !== '/snags' ? given : idFor(said);
    const entry: Entry = {
      ...draft,
      id,
      seq: ++this.seq,
      at: new Date().toISOString(),
      state: 'waiting',
      why: '',
      code: '',
    };
    const behind = this.entries.some((e) => e.jobId === entry.jobId && e.state === 'waiting');
    await this.kept(entry);
    if (behind || link.state === 'gone') {
      await this.put(entry);
      if (link.state !== 'gone') void this.flush();
      return { state: 'waiting', entry };
    }
    try {
      const sent = await beside(async () => {
        const job = await this.send(entry, entry.version);
        // Also where a tab read what is kept meanwhile, and shows it as waiting.
        await this.drop(id);
        return job;
      });
      // Another page, or this one, is sending what waits: this goes up after it.
      if (!sent) {
        await this.put(entry);
        void this.flush();
        return { state: 'waiting', entry };
      }
      this.went();
      return { state: 'sent', job: sent.done };
    } catch (error) {
      const problem = problemOf(error);
      if (waits(problem)) {
        this.held(problem);
        await this.put(entry);
        return { state: 'waiting', entry };
      }
      await this.drop(id);
      throw problem;
    }
  }

  private send(entry: Entry, version: number | undefined): Promise<StoredJob> {
    if (entry.blob) return put<StoredJob>(addressOf(entry), entry.blob);
    return call<StoredJob>(entry.method, addressOf(entry), bodyOf(entry), version);
  }

  /** Sends what waits, in order, until the workshop cannot be reached. */
  flush(): Promise<void> {
    this.flushing ??= alone(() => this.run()).finally(() => (this.flushing = undefined));
    return this.flushing;
  }
  private async run(): Promise<void> {
    // Another page may have sent some of it, or have more.
    await this.reload();
    for (let next = this.waiting(); next; next = this.waiting()) {
      try {
        // Facts stand beside what others wrote meanwhile; a change of the job itself must not go over theirs.
        const job = await this.send(next, next.method === 'PATCH' ? next.version : undefined);
        // Shown from the answer before it goes from what waits: in no moment is it on neither.
        this.sent(job);
        this.went();
        await this.drop(next.id);
        await this.follow(job);
      } catch (error) {
        const problem = problemOf(error);
        if (waits(problem)) return this.held(problem);
        await this.put({
          ...next,
          state: problem.stale ? 'conflict' : 'refused',
          why: problem.fields[0]?.message ?? problem.message,
          code: problem.code,
        });
      }
    }
  }
  /** It waits although the line stands: it is tried again, for nothing else tells when there is room. */
  private held({ status }: ApiProblem): void {
    this.diskFull = status === DISK_FULL;
    this.show(this.entries);
    if (link.state === 'here') setTimeout(() => void this.flush(), AGAIN_MS);
  }
  private went(): void {
    if (!this.diskFull) return;
    this.diskFull = false;
    this.show(this.entries);
  }
  private waiting(): Entry | undefined {
    return this.entries.find((e) => e.state === 'waiting');
  }
  /** Later changes of this device are based on what it has just written itself. */
  private async follow(job: StoredJob): Promise<void> {
    for (const e of this.entries)
      if (e.jobId === job.id && e.method === 'PATCH' && e.state === 'waiting' && e.version === job.version - 1)
        await this.put({ ...e, version: job.version });
  }

  /** Sends one that was refused or came into conflict again, as it is now to be. */
  async again(id: string, body: Record<string, unknown> = {}): Promise<void> {
    const entry = this.entries.find((e) => e.id === id);
    if (!entry) return;
    await this.put({ ...entry, body: { ...entry.body, ...body }, version: undefined, state: 'waiting', why: '' });
    await this.flush();
  }

  watch = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => void this.watchers.delete(watcher);
  };
}

const inOrder = (a: Entry, b: Entry): number => a.seq - b.seq || a.at.localeCompare(b.at);
const DISK_FULL = 507;
/** Not refused: a server behind a line that is down, a door that is to be opened again, a disk that takes no more. */
const waits = (problem: ApiProblem): boolean =>
  problem.unreachable || [401, 429, 502, 503, 504, DISK_FULL].includes(problem.status);

export const outbox = new Outbox();
/** Why what is entered waits, or is not kept, although the line may stand. */
export const useOutboxTrouble = (): 'disk full' | 'cannot keep' | undefined =>
  useSyncExternalStore(outbox.watch, () =>
    outbox.cannotKeep ? 'cannot keep' : outbox.diskFull ? 'disk full' : undefined,
  );
export const useOutbox = (): readonly Entry[] =>
  useSyncExternalStore(
    outbox.watch,
    () => outbox.entries,
    () => outbox.entries,
  );
