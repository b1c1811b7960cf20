import { dueOf, type DueLine } from '@pondu/core';
import { Router, type Response } from 'express';
import { createEvents, type EventAttributes } from 'ics';
import { param } from '../http/request.ts';
import type { Store } from '../store/database.ts';
import { waitingJobs } from '../store/lists.ts';
import { getMachine } from '../store/machines.ts';

const calendar = (res: Response, name: string, events: EventAttributes[]): void => {
  const { value, error } = createEvents(events, { productId: 'pondu', calName: 'Pondu' });
  if (error) throw error;
  res.attachment(name).type('text/calendar').send(value);
};

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
        duration: { minutes: 30 },
      })),
    );
  });
  routes.get('/machines/:id/due.ics', async (req, res) => {
    const { machine } = await getMachine(store, param(req, 'id'));
    const dated = dueOf(machine.book, new Date().toISOString()).filter(
      (d): d is DueLine & { onDate: string } => d.onDate !== null,
    );
    calendar(
      res,
      'due.ics',
      dated.map(({ service, onDate }) => {
        const [year, month, day] = onDate.split('-').map(Number) as [number, number, number];
        return {
          uid: `${service.id}@pondu`,
          title: `${machine.name}: ${service.what}`,
          start: [year, month, day],
          duration: { days: 1 },
        };
      }),
    );
  });
  return routes;
}
