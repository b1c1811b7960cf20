import type { Complaint, Reading } from '../schema/job.ts';
import type { PlacedReading } from './events.ts';
import { Latest } from './latest.ts';
import type { Ensemble } from './ensemble.ts';
import type { Hands } from './likelihood.ts';
import type { Predicted } from './prediction.ts';
import type { Repeated } from './repeated.ts';

/** What one reading says, for one kind of hands. */
export interface Sayings {
  /**
   * By what is predicted, for what many faults leave as it is, is one: p(reading | member), and log p(reading | severity
   * step) by how the members speak for the steps.
   */
  readonly by: Map<Predicted, { readonly each: Float64Array; readonly logs: Map<Ensemble['strata'], Float64Array> }>;
  /** It with those before it, and by itself; made when asked. */
  together?: Repeated;
  alone?: Repeated;
  /** Of one that is held against its fellow: by what is predicted of itself and of that. */
  readonly beside: Map<Predicted, Map<Predicted, Predicted>>;
}

const READINGS_KEPT = 600;

/**
 * What readings say of hypotheses, kept between calls: by reading, and by what it says, for a page sends the same facts
 * anew each time it asks. The least lately asked go first.
 */
export class LogCache {
  private readonly placed = new WeakMap<PlacedReading, Map<string, Sayings>>();
  private readonly facts = new Latest<string, Map<string, Sayings>>(READINGS_KEPT);

  of(placed: PlacedReading, { pattern }: Complaint, { misprobe }: Hands, fellow?: Reading): Sayings {
    let own = this.placed.get(placed);
    if (!own) this.placed.set(placed, (own = this.byFact(placed, fellow)));
    const how = `${pattern}|${misprobe}`;
    let said = own.get(how);
    if (!said) own.set(how, (said = { by: new Map(), beside: new Map() }));
    return said;
  }

  private byFact({ reading, earlier }: PlacedReading, fellow: Reading | undefined): Map<string, Sayings> {
    const fact = JSON.stringify([reading, earlier.map((r) => r.id), fellow]);
    return this.facts.of(fact, () => new Map());
  }
}
