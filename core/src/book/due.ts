import { addDays, addMonths, differenceInCalendarDays, format, parseISO } from 'date-fns';
import type { Book, Service } from '../schema/book.ts';

export interface DueLine {
  readonly service: Service;
  /** The day by its months, `yyyy-MM-dd`; null where it goes by the meter alone or was never done. */
  readonly byDate: string | null;
  /** What the meter stands at then; null where it goes by date alone or was never done. */
  readonly byMeter: number | null;
  /** The day on which the first of the two comes, the meter's by how fast it has moved so far; null where nothing tells. */
  readonly onDate: string | null;
  readonly state: 'due' | 'soon' | 'later' | 'never done';
}

/** Days ahead, and share of the interval on the meter, from which it is said to come soon. */
const [SOON_DAYS, SOON_SHARE] = [30, 0.1];
/** A meter that was read over fewer days than this tells no pace. */
const PACE_DAYS = 14;
const ISO_DAY = 'yyyy-MM-dd';
const DUE_FIRST: Readonly<Record<DueLine['state'], number>> = { due: 0, 'never done': 1, soon: 2, later: 3 };

const inTime = (read: Book['read']) => [...read].sort((a, b) => a.at.localeCompare(b.at));

/** What the meter moves in a day, by its first and last reading; undefined where too little was read. */
export function pacePerDay({ read }: Book): number | undefined {
  const sorted = inTime(read);
  const [first, last] = [sorted[0], sorted.at(-1)];
  if (!first || !last) return undefined;
  const days = differenceInCalendarDays(parseISO(last.at), parseISO(first.at));
  return days >= PACE_DAYS && last.value > first.value ? (last.value - first.value) / days : undefined;
}
/** What its meter stood at last; undefined where nobody read it. */
export const lastRead = ({ read }: Book) => inTime(read).at(-1);

/** What is due on a machine, the most urgent first. `now` is an ISO time. */
export function dueOf(book: Book | undefined, now: string): DueLine[] {
  if (!book) return [];
  const [pace, meter] = [pacePerDay(book), lastRead(book)];
  const today = parseISO(now);
  return book.services
    .map((service): DueLine => {
      const { everyMonths, everyMeter, lastAt, lastMeter } = service;
      const byDate =
        everyMonths !== null && lastAt !== null ? format(addMonths(parseISO(lastAt), everyMonths), ISO_DAY) : null;
      const byMeter = everyMeter !== null && lastMeter !== null ? lastMeter + everyMeter : null;
      const left = byMeter !== null && meter ? byMeter - meter.value : undefined;
      const meterDay =
        left === undefined
          ? null
          : left <= 0
            ? format(today, ISO_DAY)
            : pace
              ? format(addDays(parseISO(meter!.at), left / pace), ISO_DAY)
              : null;
      const onDate = [byDate, meterDay].filter((d) => d !== null).sort()[0] ?? null;
      const days = onDate === null ? undefined : differenceInCalendarDays(parseISO(onDate), today);
      const near = left !== undefined && everyMeter !== null && left <= SOON_SHARE * everyMeter;
      const state =
        byDate === null && byMeter === null
          ? 'never done'
          : (days !== undefined && days <= 0) || (left !== undefined && left <= 0)
            ? 'due'
            : (days !== undefined && days <= SOON_DAYS) || near
              ? 'soon'
              : 'later';
      return { service, byDate, byMeter, onDate, state };
    })
    .sort((a, b) => DUE_FIRST[a.state] - DUE_FIRST[b.state] || (a.onDate ?? '~').localeCompare(b.onDate ?? '~'));
}
