import type { Dimension } from '../quantity/index.ts';
import { INSTRUMENTS } from '../instruments/index.ts';
import type { House } from '../schema/house.ts';
import type { Fix, JobBody, JobEvent } from '../schema/job.ts';
import { tell } from '../tracing/events.ts';
import type { Tracer } from '../tracing/trace.ts';

/** A machine's job as its book reads it. */
export interface BookJob {
  readonly id: string;
  readonly job: JobBody;
  readonly events: readonly JobEvent[];
}
export interface SeriesPoint {
  readonly at: string;
  readonly value: number;
  readonly jobId: string;
  readonly kind: 'found' | 'left' | 'read';
}
/** One figure of the machine over the years, with its band. */
export interface Series {
  readonly id: string;
  readonly label: string;
  readonly dimension: Dimension;
  readonly band: { readonly low: number; readonly high: number } | null;
  readonly points: readonly SeriesPoint[];
}

/** Settings, and every check that was read as a number in more than one job, each over time. */
export function seriesOf(tracer: Tracer, jobs: readonly BookJob[]): Series[] {
  const { model, weigher } = tracer;
  const found = new Map<string, Omit<Series, 'points'> & { points: SeriesPoint[] }>();
  const put = (id: string, about: () => Omit<Series, 'points' | 'id'>, ...points: SeriesPoint[]) => {
    const known = found.get(id) ?? { id, ...about(), points: [] };
    known.points.push(...points);
    found.set(id, known);
  };
  for (const { id: jobId, events } of jobs) {
    weigher.learnAll(events);
    for (const e of events) {
      const plate = e.type === 'setting' ? model.plates.get(e.setting.figure) : undefined;
      if (e.type !== 'setting' || !plate) continue;
      const { at, foundAt, leftAt } = e.setting;
      const { spec, part, low, high } = plate;
      const label = `${spec.label}${part.together ? `, ${part.label.toLowerCase()}` : ''}`;
      put(
        plate.id,
        () => ({ label, dimension: spec.dimension, band: { low, high } }),
        ...(foundAt === null ? [] : [{ at, value: foundAt, jobId, kind: 'found' as const }]),
        { at, value: leftAt, jobId, kind: 'left' },
      );
    }
    for (const { reading } of tell(events).readings) {
      const check = weigher.check(reading.checkId);
      const dimension = check && INSTRUMENTS[check.instrument].dimension;
      if (!check || !dimension || reading.value.kind !== 'number') continue;
      // The figure's own check belongs to the figure.
      const plate = check.figure === undefined ? undefined : model.plates.get(check.figure);
      put(
        plate?.id ?? check.id,
        () => ({ label: plate?.spec.label ?? check.label, dimension, band: plate ?? weigher.bands.of(check) }),
        { at: reading.at, value: reading.value.value, jobId, kind: 'read' },
      );
    }
  }
  return [...found.values()]
    .filter(({ points }) => new Set(points.map((p) => p.at.slice(0, DAY))).size > 1)
    .map((s) => ({
      ...s,
      band: s.band && Number.isFinite(s.band.high) ? { low: s.band.low, high: s.band.high } : null,
      points: [...s.points].sort((a, b) => a.at.localeCompare(b.at)),
    }))
    .sort((a, b) => b.points.length - a.points.length);
}
/** Letters of an ISO time that say the day. */
const DAY = 10;

export interface FittedPart {
  readonly jobId: string;
  readonly fix: Fix;
}
export interface JobSum {
  readonly id: string;
  readonly job: JobBody;
  readonly repairs: readonly string[];
  readonly causes: readonly string[];
  /** As written down, and what the repairs done and the checks taken should have come to. */
  readonly minutes: number;
  readonly expectedMinutes: number;
  readonly money: number;
  readonly expectedMoney: number;
}

/** What one job came to, against what its checks and repairs should have. Minutes; money with labour at the shop's rate. */
export function sumOf(tracer: Tracer, house: House, { id, job, events }: BookJob): JobSum {
  const { model, weigher } = tracer;
  const perMinute = house.ratePerHour / 60;
  let [minutes, expected, money, expectedMoney] = [0, 0, 0, 0];
  for (const { reading } of tell(events).readings) {
    const took = weigher.check(reading.checkId)?.minutes ?? 0;
    minutes += took;
    expected += took;
  }
  for (const e of events) {
    if (e.type !== 'fix') continue;
    const repair = model.repairs.get(e.fix.repairId);
    minutes += e.fix.minutes;
    money += e.fix.money;
    expected += repair?.minutes ?? e.fix.minutes;
    expectedMoney += repair?.money ?? e.fix.money;
  }
  return {
    id,
    job,
    repairs: events.flatMap((e) => (e.type === 'fix' ? [e.fix.what] : [])),
    causes: events.flatMap((e) => (e.type === 'cause' && e.cause.found === 'found' ? [e.cause.cause] : [])),
    minutes,
    expectedMinutes: expected,
    money: money + minutes * perMinute,
    expectedMoney: expectedMoney + expected * perMinute,
  };
}

/** Repairs that are to be remembered: parts fitted, what was adapted, and what is temporary and still in. */
export function fittedOf(jobs: readonly BookJob[]) {
  const fixes = jobs.flatMap(({ id, events }) =>
    events.flatMap((e): FittedPart[] => (e.type === 'fix' ? [{ jobId: id, fix: e.fix }] : [])),
  );
  const lastOf = new Map(fixes.map((f) => [f.fix.repairId || f.fix.id, f]));
  return {
    parts: fixes.filter(({ fix }) => fix.parts !== '' || fix.partNumber !== undefined),
    adapted: fixes.filter(({ fix }) => fix.how === 'adapted' || fix.how === 'bypassed'),
    // A lasting repair of the same thing puts an end to it.
    temporary: fixes.filter((f) => f.fix.temporary && lastOf.get(f.fix.repairId || f.fix.id) === f),
  };
}
