import { addDays, setHours, setMinutes } from 'date-fns';

/** Hours at which somebody is there to start it. */
const OPENS = 8;
const CLOSES = 18;
/** The same, or the next time at which the shop is open. */
export function whenOpen(at: Date): Date {
  const morning = setMinutes(setHours(at, OPENS), 0);
  if (at < morning) return morning;
  return at.getHours() < CLOSES ? at : addDays(morning, 1);
}
