import type { Check } from '../trails/checks.ts';
import type { Complaint, Conditions } from '../schema/job.ts';
import type { Belief, Weigher, Weighed } from './belief.ts';
import type { Cells } from './cells.ts';
import { STRATA, type Ensemble } from './ensemble.ts';
import { shows } from './presence.ts';

/** Hypotheses below this share cannot change which check is best. */
const NEGLIGIBLE = 1e-4;
const NEGLIGIBLE_PAIR = 0.01;
/** And below this share of all that may be wrong not which checks are in front. */
const SLIGHT = 0.002;

/** From so much blame on a fault accounts for the complaint; what is only there besides is not what is looked for. */
const LOOKED_FOR = 0.5;

/** The question a check should answer: which repair is next. Hypotheses with the same answer are one group. */
export const repairGroup = (w: Weighed): string =>
  [...new Set(w.remaining.flatMap((f, i) => (w.blame[i]! < LOOKED_FOR ? [] : f.repairId)))].sort().join('+');

/** Belief that nothing on the trails that are told is what is looked for, against all that is known; what is unknown lies nowhere. */
export const soundShare = ({ weighed, outside }: Belief): number =>
  weighed.reduce((sum, w) => sum + (repairGroup(w) === '' ? w.mass : 0), 0) / (1 - outside);

/**
 * Belief that what is complained of is not there: nothing is wrong, or something that brings it no oftener than a sound
 * machine does; on the same footing.
 */
export const unshownShare = ({ weighed, outside }: Belief): number =>
  weighed.reduce((sum, w) => sum + (w.brings ? 0 : w.mass), 0) / (1 - outside);

/** Belief in either: nothing on the trails that are told brings the complaint. */
export const notHereShare = ({ weighed, outside }: Belief): number =>
  weighed.reduce((sum, w) => sum + (!w.brings || repairGroup(w) === '' ? w.mass : 0), 0) / (1 - outside);

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
  /** The mass of all that has something wrong. */
  readonly wrong: number;
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
  const wrong = rows.reduce((sum, r) => sum + (r.ensemble.faults.length > 0 ? r.mass : 0), 0);
  return { groups: [...groups.keys()], trails: trailOfGroup, rows, sound: weigher.ensemble([]), wrong };
}

/** Two accounts, each as likely as the other, to ask how well a check tells them apart. */
export const countTwo = (one: Ensemble, other: Ensemble): Counted => ({
  groups: ['one', 'other'],
  trails: [0, 1],
  sound: one,
  wrong: 1,
  rows: [one, other].map((ensemble, group) => ({ group, ensemble, shows: 1, mass: 0.5, strata: EVEN })),
});

export function add(row: Float64Array, shares: Float64Array, weight: number): void {
  for (let c = 0; c < row.length; c++) row[c]! += weight * shares[c]!;
}

/** What a check would read, by group. */
export interface Outcomes {
  /** p(cell) of the sound machine. */
  readonly base: Float64Array;
  /** p(group, cell) of what does not read like the sound machine. */
  readonly table: readonly (Float64Array | undefined)[];
  /** The mass of each group that does: its row would be that mass times `base`. */
  readonly alike: Float64Array;
  /** Whether nothing was left out, and all that is told together was played together. */
  readonly exact: boolean;
}

/**
 * `rough`, for a first look: what weighs little beside the rest that may be wrong reads as a sound machine does, and
 * several faults that tell together are not played for it, see `Cells.roughly`.
 */
export function outcomes(
  cells: Cells,
  { groups, rows, sound, wrong }: Counted,
  check: Check,
  { rough } = { rough: false },
): Outcomes {
  const base = cells.of(sound, check)[0]!;
  const tells = cells.telling(sound, check);
  const table: (Float64Array | undefined)[] = new Array<Float64Array | undefined>(groups.length).fill(undefined);
  const alike = new Float64Array(groups.length);
  const least = SLIGHT * wrong;
  let exact = true;
  for (const { group, ensemble, shows: s, mass, strata } of rows) {
    const slight = rough && mass < least;
    const guess = rough && s > 0 && !slight ? cells.roughly(ensemble, check) : undefined;
    if (guess || slight) exact = false;
    const there = s === 0 || slight ? null : (guess ?? tells(ensemble));
    if (!there) {
      alike[group]! += mass;
      continue;
    }
    const row = (table[group] ??= new Float64Array(base.length));
    if (there.length === 1) add(row, there[0]!, mass * s);
    else for (let k = 0; k < there.length; k++) add(row, there[k]!, mass * s * strata[k]!);
    alike[group]! += mass * (1 - s);
  }
  return { base, table, alike, exact };
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
export function aboutGroups({ base, table, alike }: Outcomes): number {
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

/** How sure the likeliest reading is before it is taken, 0…1. */
export function surest({ base, table, alike }: Outcomes): number {
  const columns = new Float64Array(base.length);
  add(
    columns,
    base,
    alike.reduce((a, b) => a + b, 0),
  );
  for (const row of table) if (row) add(columns, row, 1);
  return Math.max(...columns) / columns.reduce((a, b) => a + b, 0);
}

/** `aboutGroups`, about the trail that it lies on. */
export function aboutTrails({ base, table, alike }: Outcomes, { trails }: Counted): number {
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
