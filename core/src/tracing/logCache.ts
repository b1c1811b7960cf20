import type { Complaint } from '../schema/job.ts';
import type { PlacedReading } from './events.ts';
import { Latest } from './latest.ts';
import type { Hands } from './likelihood.ts';

/** log p(reading | severity step) by the names of the faults. */
type Logs = Map<string, Float64Array>;

const READINGS_KEPT = 150;

/**
 * What readings say of hypotheses, kept between calls: by reading, and by what it says, for a page sends the same facts
 * anew each time it asks. The least lately asked go first.
 */
export class LogCache {
  private readonly placed = new WeakMap<PlacedReading, Map<string, Logs>>();
  private readonly facts = new Latest<string, Map<string, Logs>>(READINGS_KEPT);

  of(placed: PlacedReading, { pattern }: Complaint, { misprobe }: Hands): Logs {
    let own = this.placed.get(placed);
    if (!own) this.placed.set(placed, (own = this.byFact(placed)));
    const how = `${pattern}|${misprobe}`;
    let logs = own.get(how);
    if (!logs) own.set(how, (logs = new Map()));
    return logs;
  }

  private byFact({ reading, earlier }: PlacedReading): Map<string, Logs> {
    const fact = JSON.stringify([reading, earlier.map((r) => r.id)]);
    return this.facts.of(fact, () => new Map());
  }
}
