import { dueOf, type DueLine } from '@pondu/core';
import { Router, type Response } from 'express';
import { createEvents, type Alarm, type DateTime, type EventAttributes } from 'ics';
import { now } from '../clock.ts';
import { param } from '../http/request.ts';
import type { Store } from '../store/database.ts';
import { waitingJobs } from '../store/lists.ts';
import { getMachine } from '../store/machines.ts';

const HALF_AN_HOUR = { minutes: 30 } as const;
const DAY_MS = 86_400_000;

/** One that cannot be written (a stored date beyond all calendars) never hides the others. */
const written = (event: EventAttributes): boolean => !createEvents([event]).error;

const calendar = (res: Response, name: string, events: EventAttributes[]): void => {
  const { value, error } = createEvents(events.filter(written), { productId: 'pondu', calName: 'Pondu' });
  if (error) throw error;
  res.attachment(name).type('text/calendar').send(value);
};

/** A day as a calendar counts it. */
const dayOf = (at: number): [number, number, number] => {
  const day = new Date(at);
  return [day.getUTCFullYear(), day.getUTCMonth() + 1, day.getUTCDate()];
};
/** All of a day, told of as it begins. What is overdue stands today: in the past nobody would see it. */
function allDay(onDate: string, today: string): { start: DateTime; end: DateTime; alarms: Alarm[] } {
  const at = Date.parse(onDate > today ? onDate : today);
  return { start: dayOf(at), end: dayOf(at + DAY_MS), alarms: [{ action: 'display', trigger: { hours: 8 } }] };
}

/** Jobs that wait for a time, and what is due on a machine by date, as iCalendar. */
export function dueRoutes(store: Store): Router {
  const routes = Router();
  routes.get('/due.ics', async (_req, res) => {
    const jobs = await waitingJobs(store);
    calendar(
      res,
      'waiting.ics',
      jobs.map(({ id, machineName, job }) => ({
        uid: `${id}@pondu`,
        title: `${machineName}: ${job.waitsFor || 'go on'}`,
        description: job.complaint.words,
        start: Date.parse(job.dueAt!),
        startInputType: 'utc',
        duration: HALF_AN_HOUR,
        alarms: [{ action: 'display', description: machineName, trigger: { minutes: 0, before: true } }],
      })),
    );
  });
  routes.get('/machines/:id/due.ics', async (req, res) => {
    const { machine } = await getMachine(store, param(req, 'id'));
    const today = new Date(now()).toISOString();
    const dated = dueOf(machine.book, today).filter((d): d is DueLine & { onDate: string } => d.onDate !== null);
    const day = today.slice(0, 10);
    calendar(
      res,
      'due.ics',
      dated.map(({ service, onDate }) => ({
        uid: `${service.id}@pondu`,
        title: `${machine.name}: ${service.what}${onDate < day ? `, overdue since ${onDate}` : ''}`,
        ...allDay(onDate, day),
      })),
    );
  });
  return routes;
}
