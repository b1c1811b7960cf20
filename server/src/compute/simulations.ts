import { simulatedName } from '@pondu/core';
import { now } from '../clock.ts';
import type { Store } from '../store/database.ts';
import { readHouse } from '../store/house.ts';
import { getMachine } from '../store/machines.ts';
import { hasSimulation, keepSimulation } from '../store/simulations.ts';
import type { Compute } from './compute.ts';

const MOST_WAITING = 100;

/**
 * Simulates machines as they are told or changed, one at a time: a page that opens the first job on one takes it over
 * and need not simulate for seconds itself. Those with jobs are carried with their bays.
 */
export class Simulations {
  private readonly waiting = new Set<string>();
  private working: Promise<void> | undefined;
  private closed = false;
  private readonly store: Store;
  private readonly compute: Compute;

  constructor(store: Store, compute: Compute) {
    this.store = store;
    this.compute = compute;
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
    const gzipped = await this.compute.run('simulated', { machine, house });
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
