import { OPENING_MINUTES, type Check, type Opening } from '../trails/checks.ts';
import type { Complaint, Conditions } from '../schema/job.ts';
import type { Belief, Weigher, Weighed } from './belief.ts';
import type { Cells } from './cells.ts';
import { STRATA, type Ensemble } from './ensemble.ts';
import { trailBelief } from './trailBelief.ts';
import { shows } from './presence.ts';
import { SEES_AGAIN } from './repeated.ts';

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

/** One hypothesis, laid out for counting what checks would tell. */
interface CountedRow {
  readonly group: number;
  readonly ensemble: Ensemble;
  /** Chance that the fault shows in the next reading. */
  readonly shows: number;
  readonly mass: number;
  readonly strata: Float64Array;
}

/** A belief laid out once, for all checks. */
export interface Counted {
  readonly groups: readonly string[];
  /** The trail that each group's first fault lies on, by number. */
  readonly trails: readonly number[];
  readonly rows: readonly CountedRow[];
  readonly sound: Ensemble;
}

const EVEN = new Float64Array(STRATA).fill(1 / STRATA);

/** Pairs are counted only when they weigh something. */
export function count(weigher: Weigher, belief: Belief, now: Conditions, complaint: Complaint): Counted {
  const groups = new Map<string, number>();
  const trails = new Map<string, number>();
  const trailOfGroup: number[] = [];
  const rows: CountedRow[] = [];
  for (const w of belief.weighed) {
    if (w.mass < (w.remaining.length > 1 ? NEGLIGIBLE_PAIR : NEGLIGIBLE)) continue;
    const name = repairGroup(w);
    if (!groups.has(name)) {
      const trail = w.elsewhere ?? w.remaining[0]?.trail ?? '';
      if (!trails.has(trail)) trails.set(trail, trails.size);
      trailOfGroup[groups.size] = trails.get(trail)!;
      groups.set(name, groups.size);
    }
    rows.push({
      group: groups.get(name)!,
      ensemble: weigher.ensemble(w.remaining),
      shows: w.remaining.length === 0 ? 0 : shows(complaint, now),
      mass: w.mass,
      strata: w.remaining.length === w.faults.length ? w.strata : EVEN,
    });
  }
  return { groups: [...groups.keys()], trails: trailOfGroup, rows, sound: weigher.ensemble([]) };
}

/** Two accounts, each as likely as the other, to ask how well a check tells them apart. */
export const countTwo = (one: Ensemble, other: Ensemble): Counted => ({
  groups: ['one', 'other'],
  trails: [0, 1],
  sound: one,
  rows: [one, other].map((ensemble, group) => ({ group, ensemble, shows: 1, mass: 0.5, strata: EVEN })),
});

function add(row: Float64Array, shares: Float64Array, weight: number): void {
  for (let c = 0; c < row.length; c++) row[c]! += weight * shares[c]!;
}

/**
 * p(group, cell) of one check. Groups of which every account reads like the sound machine have no row of their own:
 * `alike` holds their mass, and each of their rows would be that mass times `sound`.
 */
function outcomes(cells: Cells, { groups, rows, sound }: Counted, check: Check) {
  const base = cells.of(sound, check)[0]!;
  const same = sound.predict(check);
  const table: (Float64Array | undefined)[] = new Array<Float64Array | undefined>(groups.length).fill(undefined);
  const alike = new Float64Array(groups.length);
  for (const { group, ensemble, shows: s, mass, strata } of rows) {
    if (s === 0 || ensemble.predict(check) === same) {
      alike[group]! += mass;
      continue;
    }
    const there = cells.of(ensemble, check);
    const row = (table[group] ??= new Float64Array(base.length));
    if (there.length === 1) add(row, there[0]!, mass * s);
    else for (let k = 0; k < there.length; k++) add(row, there[k]!, mass * s * strata[k]!);
    alike[group]! += mass * (1 - s);
  }
  return { base, table, alike };
}

/** p(group, cell) in full, by the group's name. */
export function outcomeTable(cells: Cells, counted: Counted, check: Check): Map<string, Float64Array> {
  const { base, table, alike } = outcomes(cells, counted, check);
  return new Map(
    counted.groups.map((name, g) => {
      const row = table[g]?.slice() ?? new Float64Array(base.length);
      add(row, base, alike[g]!);
      return [name, row];
    }),
  );
}

const entropy = (values: Float64Array): number => {
  let sum = 0;
  for (const p of values) if (p > 0) sum += p * Math.log2(p);
  return sum;
};

/**
 * Expected information about the group, bits: Σ p log p over the table less rows and columns. Groups that would read
 * alike count as one, which changes nothing in the sum.
 */
function aboutGroups({ base, table, alike }: ReturnType<typeof outcomes>): number {
  const rows: Float64Array[] = [];
  let lumped = 0;
  table.forEach((row, g) => {
    if (!row) return void (lumped += alike[g]!);
    const whole = Float64Array.from(row);
    if (alike[g]! > 0) add(whole, base, alike[g]!);
    rows.push(whole);
  });
  if (rows.length === 0) return 0;
  if (lumped > 0) rows.push(base.map((p) => p * lumped));
  return mutual(rows);
}

/** The same about the trail that it lies on. */
function aboutTrails({ base, table, alike }: ReturnType<typeof outcomes>, { trails }: Counted): number {
  if (table.every((row) => !row)) return 0;
  const byTrail = new Map<number, Float64Array>();
  trails.forEach((trail, g) => {
    let whole = byTrail.get(trail);
    if (!whole) byTrail.set(trail, (whole = new Float64Array(base.length)));
    const row = table[g];
    if (row) add(whole, row, 1);
    if (alike[g]! > 0) add(whole, base, alike[g]!);
  });
  return mutual([...byTrail.values()]);
}
export const information = (cells: Cells, counted: Counted, check: Check): number =>
  aboutGroups(outcomes(cells, counted, check));

/** Information between the rows of a table and its columns, bits. */
function mutual(rows: readonly Float64Array[]): number {
  const columns = new Float64Array(rows[0]!.length);
  for (const row of rows) add(columns, row, 1);
  const total = columns.reduce((a, b) => a + b, 0);
  let bits = total * Math.log2(total) - entropy(columns);
  for (const row of rows) {
    const mass = row.reduce((a, b) => a + b, 0);
    if (mass > 0) bits += entropy(row) - mass * Math.log2(mass);
  }
  return Math.max(0, bits / total);
}

/** While no trail holds so much of the belief, what parts the trails comes first: a bit about them counts so much more. */
const TRAIL_FOUND = 0.6;
const TRAIL_COUNTS = 2;

/** Every check that could still be done, by expected information per minute [4]; `again` are those read before. */
export function rankChecks(
  weigher: Weigher,
  cells: Cells,
  belief: Belief,
  counted: Counted,
  excluded: ReadonlySet<string>,
  again: ReadonlySet<string> = new Set(),
): RankedCheck[] {
  const open = opened(belief, weigher);
  const trailOpen = Math.max(...trailBelief(belief).map((t) => t.share)) < TRAIL_FOUND;
  const ranked = weigher.model.checks
    .filter((check) => !excluded.has(check.id))
    .map((check) => {
      const table = outcomes(cells, counted, check);
      // What has been read once mostly reads the same: only what would be seen afresh tells anything.
      const fresh = again.has(check.id) ? 1 - SEES_AGAIN : 1;
      const bits = fresh * aboutGroups(table);
      const more = trailOpen && bits > 0 ? fresh * TRAIL_COUNTS * aboutTrails(table, counted) : 0;
      return {
        check,
        bits,
        minutes: minutesOf(check, open),
        bitsPerMinute: (bits + more) / minutesOf(check, open, OPENING_CHARGE),
      };
    })
    .sort((a, b) => b.bitsPerMinute - a.bitsPerMinute);
  return looksFirst(ranked, open);
}

/** A look that takes under a minute and tells at least this comes before anything is opened. */
const LOOK_MINUTES = 1;
const LOOK_BITS = 0.03;

/** Nobody opens a dash before looking at the wire: while the best check opens something, the best quick look goes first. */
function looksFirst(ranked: readonly RankedCheck[], open: ReadonlySet<Opening>): RankedCheck[] {
  const opens = ({ check }: RankedCheck) => check.opens.some((o) => !open.has(o));
  const [best] = ranked;
  if (!best || !opens(best)) return [...ranked];
  const look = ranked.find((r) => r.check.look && !opens(r) && r.minutes < LOOK_MINUTES && r.bits > LOOK_BITS);
  return look ? [look, ...ranked.filter((r) => r !== look)] : [...ranked];
}
