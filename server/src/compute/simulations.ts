import { simulatedName } from '@pondu/core';
import { now } from '../clock.ts';
import type { Store } from '../store/database.ts';
import { readHouse } from '../store/house.ts';
import { getMachine } from '../store/machines.ts';
import { hasSimulation, keepSimulation } from '../store/simulations.ts';
import type { Compute } from './compute.ts';
import { readSimulation } from './workedOut.ts';

const MOST_WAITING = 100;

export interface SimulationOptions {
  /** Where what was worked out before lies. */
  before?: string | undefined;
  /** Resolves once no bay waits: what somebody looks at comes first. */
  quiet?: () => Promise<void>;
}

/**
 * Simulates machines as they are told or changed and when their bays are told, one at a time: whoever traces one for
 * the first time, a page or a thread of this server, takes it over and need not simulate for seconds itself.
 */
export class Simulations {
  private readonly waiting = new Set<string>();
  private working: Promise<void> | undefined;
  private closed = false;
  private readonly store: Store;
  private readonly compute: Compute;
  private readonly before: string | undefined;
  private readonly quiet: () => Promise<void>;

  constructor(store: Store, compute: Compute, { before, quiet = () => Promise.resolve() }: SimulationOptions = {}) {
    this.store = store;
    this.compute = compute;
    this.before = before;
    this.quiet = quiet;
  }

  /** This machine, when those before it are done. */
  want(machineId: string): void {
    if (this.closed || this.waiting.size >= MOST_WAITING) return;
    this.waiting.add(machineId);
    this.working ??= this.work().finally(() => (this.working = undefined));
  }

  private async work(): Promise<void> {
    for (const id of this.waiting) {
      this.waiting.delete(id);
      await this.quiet();
      if (this.closed) return;
      try {
        await this.make(id);
      } catch {
        // It cannot be computed, went away, or the thread was closed: the page says what there is to say.
      }
    }
  }

  private async make(id: string): Promise<void> {
    const { machine } = await getMachine(this.store, id);
    const { house } = await readHouse(this.store);
    const name = simulatedName(machine, house);
    if (await hasSimulation(this.store, name)) return;
    const known = this.before === undefined ? undefined : await readSimulation(this.before, name);
    const gzipped = known ?? (await this.compute.run('simulated', { machine, house }));
    if (!this.closed) await keepSimulation(this.store, name, gzipped, now());
  }

  /** Resolves once nothing waits any more. */
  async idle(): Promise<void> {
    while (this.working) await this.working;
  }
  async close(): Promise<void> {
    this.closed = true;
    this.waiting.clear();
    await this.working?.catch(() => undefined);
  }
}
