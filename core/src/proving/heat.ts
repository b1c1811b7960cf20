import { differenceInMinutes, parseISO } from 'date-fns';
import type { JobEvent, Reading } from '../schema/job.ts';

/** It is hot through after so many minutes of running or soak, and stays so for as long as this after; by judgement. */
const HOT_MINUTES = 10;
const STAYS_HOT_MINUTES = 30;

/** What is known of when it was warm: until when it ran or was heated, and for how many minutes. */
export interface Warm {
  readonly until: string;
  readonly minutes: number;
}

/** What somebody told of its last running; undefined of any other event. */
export function toldRunning(event: JobEvent): Warm | undefined {
  if (event.type !== 'sheet' || event.sheet.body.kind !== 'heat') return undefined;
  const { ranMinutes, stoppedAt } = event.sheet.body;
  // Still running as it was told: until then at least.
  return { until: stoppedAt ?? event.sheet.at, minutes: ranMinutes };
}

/** What was told of its heat, and what timed soaks say of it, in the order of the job. */
export function warmSpells(events: readonly JobEvent[]): Warm[] {
  return events.flatMap((e): Warm[] => {
    const told = toldRunning(e);
    if (told) return [told];
    if (e.type === 'reading' && e.reading.soakMinutes !== undefined)
      return [{ until: e.reading.at, minutes: e.reading.soakMinutes }];
    return [];
  });
}

/** Whether it is known to have been hot as a reading was taken: a word alone heats nothing. */
export const wasHot = ({ warmth, at }: Reading, spells: readonly Warm[]): boolean =>
  warmth === 'hot' &&
  spells.some(({ until, minutes }) => {
    const stood = differenceInMinutes(parseISO(at), parseISO(until));
    return minutes >= HOT_MINUTES && stood >= 0 && stood <= STAYS_HOT_MINUTES;
  });

/** Whether it is known to have stood for so long as a reading was taken; `ran` are the times at which it ran. */
export function hasStood({ at }: Reading, hours: number, ran: readonly string[]): boolean {
  const before = ran.filter((t) => parseISO(t) < parseISO(at));
  return before.length > 0 && before.every((t) => differenceInMinutes(parseISO(at), parseISO(t)) >= 60 * hours);
}
