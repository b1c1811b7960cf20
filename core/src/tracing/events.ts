import type { Check } from '../trails/checks.ts';
import type { ModelFault } from './model.ts';
import { MOST_TOGETHER } from './repeated.ts';
import type { By, Fix, JobEvent, Reading } from '../schema/job.ts';

/** A reading with the repairs done before it: which faults it could still see. */
export interface PlacedReading {
  readonly reading: Reading;
  readonly repaired: ReadonlySet<string>;
  /** The last few of the same check before, nothing having been put right between: it shares what was amiss with them. */
  readonly earlier: readonly Reading[];
  /** All that was read since the same repair, in order; this one among them. */
  readonly since: readonly PlacedReading[];
}

/** So many readings of one check are weighed, the last ones, as long as nothing was put right between them. */
const WEIGHED_AT_MOST = 12;

export interface Story {
  readonly readings: readonly PlacedReading[];
  /** Those of them that are weighed. */
  readonly weighed: readonly PlacedReading[];
  readonly fixes: readonly Fix[];
  readonly repaired: ReadonlySet<string>;
  /** Checks that told nothing, tried since something was put right last. */
  readonly aside: ReadonlySet<string>;
}

/** What was read since something was put right last. */
export const sinceRepair = ({ readings, repaired }: Story): Reading[] =>
  readings.filter((p) => p.repaired.size === repaired.size).map((p) => p.reading);

/** What every event has: its id, when it was entered and by whom. */
export function entryOf(event: JobEvent): { id: string; at: string; by?: By | undefined } {
  switch (event.type) {
    case 'reading':
      return event.reading;
    case 'fix':
      return event.fix;
    case 'cause':
      return event.cause;
    case 'setting':
      return event.setting;
    case 'sheet':
      return event.sheet;
    case 'photo':
      return event.photo;
    case 'aside':
      return event.aside;
    case 'care':
      return event.care;
  }
}

/** Puts the events of a job in order and leaves out readings that a later one corrects. */
export function tell(events: readonly JobEvent[]): Story {
  const superseded = new Set(
    events.flatMap((e) => (e.type === 'reading' && e.reading.supersedes ? [e.reading.supersedes] : [])),
  );
  // A correction stands where the reading that it corrects stood: the repair came after both.
  const placeOf = new Map<string, ReadonlySet<string>>();
  const readings: PlacedReading[] = [];
  const fixes: Fix[] = [];
  let repaired: ReadonlySet<string> = new Set();
  const aside = new Set<string>();
  const asked = new Map<ReadonlySet<string>, Map<string, PlacedReading[]>>();
  const together = new Map<ReadonlySet<string>, PlacedReading[]>();
  const sameOf = (at: ReadonlySet<string>, checkId: string): PlacedReading[] => {
    const checks = asked.get(at) ?? new Map<string, PlacedReading[]>();
    asked.set(at, checks);
    const same = checks.get(checkId) ?? [];
    checks.set(checkId, same);
    return same;
  };
  for (const event of events) {
    if (event.type === 'fix') {
      fixes.push(event.fix);
      repaired = new Set([...repaired, event.fix.repairId]);
      aside.clear();
    } else if (event.type === 'aside') aside.add(event.aside.checkId);
    else if (event.type === 'reading') {
      const { reading } = event;
      aside.delete(reading.checkId);
      const at = (reading.supersedes !== undefined && placeOf.get(reading.supersedes)) || repaired;
      placeOf.set(reading.id, at);
      if (superseded.has(reading.id)) continue;
      const same = sameOf(at, reading.checkId);
      const since = together.get(at) ?? [];
      together.set(at, since);
      const earlier = same.slice(1 - MOST_TOGETHER).map((p) => p.reading);
      const placed: PlacedReading = { reading, repaired: at, earlier, since };
      since.push(placed);
      same.push(placed);
      readings.push(placed);
    }
  }
  const weighed = new Set([...asked.values()].flatMap((checks) => [...checks.values()].flatMap(last)));
  return { readings, weighed: readings.filter((p) => weighed.has(p)), fixes, repaired, aside };
}
const last = (same: readonly PlacedReading[]) => same.slice(-WEIGHED_AT_MOST);

/** Those of these faults that were not put right yet when it was read. */
export const seenBy = (faults: readonly ModelFault[], placed: PlacedReading): ModelFault[] =>
  faults.filter((f) => !placed.repaired.has(f.repairId));

/** Readings of one check, as long as nothing was put right between them. */
export interface Asked {
  readonly check: Check;
  readonly all: readonly PlacedReading[];
}
/** A story by what was asked in it, in the order in which each was first asked; checks that are not known are left out. */
export function byCheck(story: Story, checkOf: (id: string) => Check | undefined): Asked[] {
  const asked = new Map<string, { check: Check; all: PlacedReading[] }>();
  for (const placed of story.weighed) {
    const check = checkOf(placed.reading.checkId);
    if (!check) continue;
    const key = `${check.id} after ${placed.repaired.size}`;
    const own = asked.get(key);
    if (own) own.all.push(placed);
    else asked.set(key, { check, all: [placed] });
  }
  return [...asked.values()];
}
