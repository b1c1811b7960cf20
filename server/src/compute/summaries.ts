import { packed, type Summary } from '@pondu/core';
import { QueryTypes } from 'sequelize';
import { Problem } from '../http/problem.ts';
import type { Store } from '../store/database.ts';
import { readHouse } from '../store/house.ts';
import { getJob } from '../store/jobs.ts';
import { STAND } from '../store/lists.ts';
import { getMachine } from '../store/machines.ts';
import type { Compute } from './compute.ts';
import { readWorkedOut, type WorkedOut } from './workedOut.ts';

interface Made {
  summary: Summary;
  ahead: string | null;
}

/** Pages are shown at once for all; this many wait their turn. */
const MOST_WAITING = 500;

/**
 * Keeps what each bay shows, per version of job, machine and house rules. One is computed at a time; what somebody has
 * before their eyes comes first, and each is told to all pages once it is known.
 */
export class Summaries {
  private waiting: string[] = [];
  private working: Promise<void> | undefined;
  private readonly store: Store;
  private readonly compute: Compute;
  /** Where what was worked out before lies. */
  private readonly before: string | undefined;
  private readonly told: (machineId: string) => void;
  private readonly stopListening: () => void;
  private closed = false;

  /** `told` hears of each machine whose bay was told anew. */
  constructor(store: Store, compute: Compute, before?: string, told: (machineId: string) => void = () => undefined) {
    this.store = store;
    this.compute = compute;
    this.before = before;
    this.told = told;
    this.stopListening = store.changes.listen((change) => {
      if (change.type === 'job') this.want([change.id]);
    });
  }

  /** These next, in this order. */
  want(ids: readonly string[]): void {
    const first = new Set(ids);
    this.waiting = [...first, ...this.waiting.filter((id) => !first.has(id))].slice(0, MOST_WAITING);
    this.working ??= this.work().finally(() => (this.working = undefined));
  }

  private async work(): Promise<void> {
    for (let id = this.waiting.shift(); id !== undefined && !this.closed; id = this.waiting.shift()) {
      try {
        await this.make(id);
      } catch {
        // The job went away meanwhile, or the thread was closed: there is nothing to show.
      }
    }
  }

  private async stand(id: string): Promise<{ now: string; known: string | null } | undefined> {
    const [row] = await this.store.sequelize.query<{ now: string; known: string | null }>(
      `SELECT ${STAND} AS now, s.stand AS known FROM jobs j JOIN machines m ON m.id = j.machine_id
        LEFT JOIN summaries s ON s.job_id = j.id WHERE j.id = $id`,
      { type: QueryTypes.SELECT, bind: { id } },
    );
    return row;
  }

  private async make(id: string): Promise<void> {
    const stand = await this.stand(id);
    if (!stand || stand.now === stand.known) return;
    const { job, events, machineId } = await getJob(this.store, id);
    if (job.stage === 'closed') return;
    const { machine } = await getMachine(this.store, machineId);
    const { house } = await readHouse(this.store);
    const input = { machine, house, job, events };
    const known = this.before === undefined ? undefined : await readWorkedOut(this.before, input);
    const working = known
      ? Promise.resolve(known)
      : this.compute.run('summary', input).then(({ bay, ahead }): WorkedOut => ({ bay, ahead: packed(ahead) }));
    const { summary, ahead } = await working
      .then(({ bay, ahead }): Made => ({ ahead, summary: { ok: true, bay } }))
      .catch((error: unknown): Made => {
        if (error instanceof Problem) return { summary: { ok: false, message: error.message }, ahead: null };
        throw error;
      });
    if (this.closed) return;
    await this.store.write((transaction) =>
      this.store.models.summaries.upsert(
        { jobId: id, stand: stand.now, body: JSON.stringify(summary), ahead },
        { transaction },
      ),
    );
    this.store.changes.tell({ type: 'summary', id, summary });
    if (summary.ok) this.told(machineId);
  }

  /** Resolves once nothing waits any more. */
  async idle(): Promise<void> {
    while (this.working) await this.working;
  }
  async close(): Promise<void> {
    this.closed = true;
    this.stopListening();
    this.waiting = [];
    await this.working?.catch(() => undefined);
  }
}
