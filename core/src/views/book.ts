import { dueOf, type DueLine } from '../book/due.ts';
import { fittedOf, seriesOf, sumOf, type BookJob, type FittedPart, type JobSum, type Series } from '../book/history.ts';
import { tuneUpKit, type KitLine } from '../book/kit.ts';
import type { House } from '../schema/house.ts';
import type { MachineBody } from '../schema/machine.ts';
import type { Tracer } from '../tracing/trace.ts';

/** A machine's book, worked out from its jobs. */
export interface BookView {
  series: readonly Series[];
  jobs: readonly JobSum[];
  parts: readonly FittedPart[];
  adapted: readonly FittedPart[];
  temporary: readonly FittedPart[];
  due: readonly DueLine[];
  kit: readonly KitLine[];
}

/** `jobs` in any order; `now` an ISO time. */
export function bookView(
  tracer: Tracer,
  machine: MachineBody,
  house: House,
  jobs: readonly BookJob[],
  now: string,
): BookView {
  const inTime = [...jobs].sort((a, b) => a.job.openedAt.localeCompare(b.job.openedAt));
  return {
    series: seriesOf(tracer, inTime),
    jobs: inTime.map((j) => sumOf(tracer, house, j)).reverse(),
    ...fittedOf(inTime),
    due: dueOf(machine.book, now),
    kit: tuneUpKit(
      tracer.model,
      house,
      inTime.map((j) => j.events),
    ),
  };
}
