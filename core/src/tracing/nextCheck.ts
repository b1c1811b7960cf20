import { OPENING_MINUTES, type Check, type Opening } from '../checks/index.ts';
import { INSTRUMENTS } from '../instruments/index.ts';
import { normalCdf } from '../random/lcg.ts';
import type { Complaint, Conditions } from '../schema/job.ts';
import type { Belief, Weigher, Weighed } from './belief.ts';
import { MEMBERS, STRATA, type Ensemble, type Predicted } from './ensemble.ts';
import { MISPROBE } from './likelihood.ts';
import { shows } from './presence.ts';

/** Cells of the ruler for counting information; the last but one is OL, the last is a stray reading's. */
const CELLS = 24;

/** p(cell | member), cell by cell: what a check's reading may be under one set of faults. */
type CellShares = Float64Array[];

/** Hypotheses below this share cannot change which check is best. */
const NEGLIGIBLE = 1e-4;
const NEGLIGIBLE_PAIR = 0.01;
/** What has been opened serves later checks too, so only this share of it is charged to the one that asks for it. */
const OPENING_CHARGE = 0.6;

export interface RankedCheck {
  readonly check: Check;
  /** Expected entropy lost over "which repair", bits. */
  readonly bits: number;
  /** Minutes with what must still be opened. */
  readonly minutes: number;
  readonly bitsPerMinute: number;
}

export function minutesOf(check: Check, open: ReadonlySet<Opening>, charge = 1): number {
  return check.opens.reduce((sum, o) => sum + (open.has(o) ? 0 : charge * OPENING_MINUTES[o]), check.minutes);
}

/** What is open already, from the checks that were done. */
export function opened(belief: Belief, weigher: Weigher): Set<Opening> {
  return new Set(belief.story.readings.flatMap(({ reading }) => weigher.check(reading.checkId)?.opens ?? []));
}

/** The question a check should answer: which repair is next. Hypotheses with the same answer are one group. */
export function repairGroup(w: Weighed): string {
  if (w.remaining.length === 0) return '';
  return w.remaining
    .map((f) => f.repairId)
    .sort()
    .join('+');
}

/** Turns predictions into cells, once for each ensemble and check. */
export class Cells {
  private readonly weigher: Weigher;
  private readonly edges = new Map<string, { low: number; step: number }>();
  private readonly known = new WeakMap<Predicted, CellShares>();

  constructor(weigher: Weigher) {
    this.weigher = weigher;
  }

  private edgesOf(check: Check): { low: number; step: number } {
    let found = this.edges.get(check.id);
    if (found) return found;
    const ensembles = [[], ...this.weigher.model.faults.map((f) => [f])].map((f) => this.weigher.ensemble(f));
    let [low, high] = [Infinity, -Infinity];
    for (const e of ensembles) {
      const p = e.predict(check);
      if (p.kind !== 'number') continue;
      for (const u of p.at) if (!Number.isNaN(u)) [low, high] = [Math.min(low, u), Math.max(high, u)];
    }
    if (!(high > low)) [low, high] = [low - 0.5, low + 0.5];
    found = { low, step: (high - low) / CELLS };
    this.edges.set(check.id, found);
    return found;
  }

  of(ensemble: Ensemble, check: Check): CellShares {
    // Ensembles that a fault cannot tell apart here share one prediction, and so one table.
    const predicted = ensemble.predict(check);
    let shares = this.known.get(predicted);
    if (!shares) this.known.set(predicted, (shares = this.compute(predicted, check)));
    return shares;
  }

  private compute(p: Predicted, check: Check): CellShares {
    if (p.kind === 'word') {
      const words = check.words ?? INSTRUMENTS[check.instrument].words ?? [];
      return p.shares.map((s) => mixed(Float64Array.from(words, (w) => s[w] ?? 0)));
    }
    const { low, step } = this.edgesOf(check);
    return Array.from({ length: MEMBERS }, (_, m) => {
      const cells = new Float64Array(CELLS + 1);
      if (p.open[m]) cells[CELLS] = 1;
      else {
        let before = 0;
        for (let c = 0; c < CELLS; c++) {
          const upTo = c === CELLS - 1 ? 1 : normalCdf((low + step * (c + 1) - p.at[m]!) / p.width[m]!);
          cells[c] = upTo - before;
          before = upTo;
        }
      }
      return mixed(cells);
    });
  }
}

/** With the share of stray readings laid over all cells alike. */
function mixed(cells: Float64Array): Float64Array {
  return cells.map((p) => (1 - MISPROBE) * p + MISPROBE / cells.length);
}

/** The belief, laid out for counting: one row for each hypothesis that can still change the choice. */
export interface Counted {
  readonly group: string;
  readonly ensemble: Ensemble;
  readonly sound: Ensemble;
  /** Chance that the fault shows in the next reading. */
  readonly shows: number;
  readonly weights: Float64Array;
}

/** Lays out a belief once, for all checks. Pairs are counted only when they weigh something. */
export function count(weigher: Weigher, belief: Belief, now: Conditions, complaint: Complaint): Counted[] {
  const sound = weigher.ensemble([]);
  return belief.weighed
    .filter((w) => w.mass >= (w.remaining.length > 1 ? NEGLIGIBLE_PAIR : NEGLIGIBLE))
    .map((w) => {
      const ensemble = weigher.ensemble(w.remaining);
      const steps = w.remaining.length === w.faults.length ? w.strata : EVEN;
      return {
        group: repairGroup(w),
        ensemble,
        sound,
        shows: w.remaining.length === 0 ? 0 : shows(complaint, now),
        weights: memberWeights(ensemble, steps).map((m) => m * w.mass),
      };
    });
}

const EVEN = new Float64Array(STRATA).fill(1 / STRATA);

/** Weight of each member, from the weight of each step of severity. Sum 1. */
export function memberWeights(ensemble: Ensemble, steps: Float64Array): Float64Array {
  return Float64Array.from({ length: MEMBERS }, (_, m) =>
    steps.reduce((sum, w, s) => sum + w * ensemble.strata[s]![m]!, 0),
  );
}

/** p(group, cell) of one check under the present belief. */
export function outcomeTable(cells: Cells, counted: readonly Counted[], check: Check): Map<string, Float64Array> {
  const table = new Map<string, Float64Array>();
  for (const { group, ensemble, sound, shows: s, weights } of counted) {
    const there = cells.of(ensemble, check);
    let row = table.get(group);
    if (!row) table.set(group, (row = new Float64Array(there[0]!.length)));
    const [withFault, without] = s === 0 ? [0, 1] : [s, 1 - s];
    for (let m = 0; m < MEMBERS; m++) {
      const weight = weights[m]!;
      if (weight < NEGLIGIBLE / MEMBERS) continue;
      add(row, there[m]!, weight * withFault);
      if (without > 0) add(row, cells.of(sound, check)[m]!, weight * without);
    }
  }
  return table;
}

function add(row: Float64Array, shares: Float64Array, weight: number): void {
  for (let c = 0; c < row.length; c++) row[c]! += weight * shares[c]!;
}

/** Expected information about the group, bits. */
export function information(table: ReadonlyMap<string, Float64Array>): number {
  const rows = [...table.values()];
  if (rows.length === 0) return 0;
  const columns = new Float64Array(rows[0]!.length);
  let total = 0;
  for (const row of rows)
    for (let c = 0; c < row.length; c++) [columns[c], total] = [columns[c]! + row[c]!, total + row[c]!];
  // I(G;C) = Σ p log p over the table − Σ over rows − Σ over columns, all unnormalised.
  const entropy = (values: Float64Array) => values.reduce((sum, p) => (p > 0 ? sum + p * Math.log2(p) : sum), 0);
  let bits = total * Math.log2(total) - entropy(columns);
  for (const row of rows) {
    const mass = row.reduce((a, b) => a + b, 0);
    bits += entropy(row) - mass * Math.log2(mass);
  }
  return Math.max(0, bits / total);
}

/** Every check that could still be done, by expected information per minute [4]. */
export function rankChecks(
  weigher: Weigher,
  cells: Cells,
  belief: Belief,
  counted: readonly Counted[],
  excluded: ReadonlySet<string>,
): RankedCheck[] {
  const open = opened(belief, weigher);
  return weigher.model.checks
    .filter((check) => !excluded.has(check.id))
    .map((check) => {
      const bits = information(outcomeTable(cells, counted, check));
      return {
        check,
        bits,
        minutes: minutesOf(check, open),
        bitsPerMinute: bits / minutesOf(check, open, OPENING_CHARGE),
      };
    })
    .sort((a, b) => b.bitsPerMinute - a.bitsPerMinute);
}
