import { randomUUID } from 'node:crypto';
import { snagSchema, type JobBody, type JobEvent, type Reading } from '@pondu/core/schema';
import { now } from '../clock.ts';
import { Router, type Request, type Response } from 'express';
import type { Compute } from '../compute/compute.ts';
import type { OfJob } from '../compute/tasks.ts';
import type { Summaries } from '../compute/summaries.ts';
import { fieldsOf, invalid, Problem } from '../http/problem.ts';
import { body, expectedVersion, leaving, param, query } from '../http/request.ts';
import type { Store } from '../store/database.ts';
import { readHouse } from '../store/house.ts';
import { addEvent, createJob, getJob, machineIdOf, putSnag, setJobDeleted, updateJob } from '../store/jobs.ts';
import { aheadOfJob, jobRows } from '../store/lists.ts';
import { getMachine } from '../store/machines.ts';
import { enteredAt, entry } from './entries.ts';
import * as schemas from './schemas.ts';

export function jobRoutes(store: Store, compute: Compute, summaries: Summaries): Router {
  const routes = Router();
  const id = (req: Request) => param(req, 'id');

  /** A job with its machine and the house rules: what everything that is worked out needs. */
  async function ofJob(req: Request): Promise<OfJob> {
    const { job, events, machineId } = await getJob(store, id(req));
    const { machine } = await getMachine(store, machineId);
    const { house } = await readHouse(store);
    return { job, events, machine, house };
  }
  const add = async (req: Request, res: Response, event: JobEvent) =>
    void res.status(201).json(await addEvent(store, id(req), event, expectedVersion(req)));

  routes.get('/', async (req, res) => {
    const asked = { ...query(req, schemas.jobsQuerySchema), now: new Date(now()).toISOString() };
    const found = await jobRows(store, asked);
    res.json(found);
    summaries.want(
      found.rows.filter((r) => r.summary === null && r.job && r.job.stage !== 'closed' && !r.awayAt).map((r) => r.id),
    );
  });
  routes.post('/', async (req, res) => {
    const { machineId, title, complaint, id: given, at } = body(req, schemas.newJobSchema);
    const job: JobBody = {
      title,
      complaint,
      stage: 'look',
      waitsFor: '',
      openedAt: enteredAt(at),
      closedAt: null,
      closedBecause: '',
    };
    const made = await createJob(store, machineId, job, given);
    res.status(201).location(`/api/jobs/${made.id}`).json(made);
  });
  routes.get('/:id', async (req, res) => void res.json(await getJob(store, id(req))));
  routes.patch('/:id', async (req, res) => {
    const { complaint = {}, ...patch } = body(req, schemas.jobPatchSchema);
    if (patch.stage === 'closed')
      throw new Problem(422, 'close-by-name', 'Close a job at /close, where its proof is asked for.');
    // Reopening a closed job takes its closing back.
    const reopened = patch.stage === undefined ? {} : { closedAt: null, closedBecause: '' };
    const since = (job: JobBody) =>
      patch.waitsFor === undefined || patch.waitsFor === job.waitsFor
        ? {}
        : { waitsSince: patch.waitsFor === '' ? null : new Date(now()).toISOString() };
    const laid = (job: JobBody): JobBody =>
      given({
        ...job,
        ...given(patch),
        ...since(job),
        ...reopened,
        complaint: { ...job.complaint, ...given(complaint) },
      }) as JobBody;
    res.json(await updateJob(store, id(req), laid, expectedVersion(req)));
  });
  routes.delete('/:id', async (req, res) => {
    await setJobDeleted(store, id(req), true);
    res.status(204).end();
  });
  routes.post('/:id/restore', async (req, res) => {
    await setJobDeleted(store, id(req), false);
    res.json(await getJob(store, id(req)));
  });

  routes.post('/:id/readings', async (req, res) => {
    const sent = body(req, schemas.newReadingSchema);
    const { machine } = await getMachine(store, await machineIdOf(store, id(req)));
    const { house } = await readHouse(store);
    const value = await compute.run('reading', { machine, house, sent });
    const { confirmed: _confirmed, supersedes, soakMinutes, probe, typed = '', value: _value, ...rest } = sent;
    const reading: Reading = {
      ...entry(req, rest),
      value,
      typed,
      ...(soakMinutes === undefined ? {} : { soakMinutes }),
      ...(probe ? { probe } : {}),
      ...(supersedes ? { supersedes } : {}),
    };
    await add(req, res, { type: 'reading', reading });
  });
  routes.post('/:id/fixes', (req, res) =>
    add(req, res, { type: 'fix', fix: entry(req, body(req, schemas.newFixSchema)) }),
  );
  routes.post('/:id/causes', (req, res) =>
    add(req, res, { type: 'cause', cause: entry(req, body(req, schemas.newCauseSchema)) }),
  );
  routes.post('/:id/settings', (req, res) =>
    add(req, res, { type: 'setting', setting: entry(req, body(req, schemas.newSettingSchema)) }),
  );
  routes.post('/:id/sheets', (req, res) =>
    add(req, res, { type: 'sheet', sheet: entry(req, body(req, schemas.newSheetSchema)) }),
  );
  routes.post('/:id/asides', (req, res) =>
    add(req, res, { type: 'aside', aside: entry(req, body(req, schemas.newAsideSchema)) }),
  );
  routes.post('/:id/cares', (req, res) =>
    add(req, res, { type: 'care', care: entry(req, body(req, schemas.newCareSchema)) }),
  );
  routes.post('/:id/photos', (req, res) =>
    add(req, res, { type: 'photo', photo: entry(req, body(req, schemas.newPhotoSchema)) }),
  );
  routes.post('/:id/snags', async (req, res) => {
    const { id: snagId = randomUUID(), ...sent } = body(req, schemas.snagPatchSchema);
    // One that is there keeps what is not mentioned, and when it was noticed.
    const laid = (known: object) => {
      const read = snagSchema.safeParse({ ...entry(req, { ...given(sent), id: snagId }), ...known, ...given(sent) });
      if (read.success) return read.data;
      throw invalid(fieldsOf(read.error));
    };
    res.status(201).json(await putSnag(store, id(req), snagId, laid, expectedVersion(req)));
  });

  routes.get('/:id/trace', async (req, res) => {
    const now = query(req, schemas.conditionsQuerySchema);
    res.json(await compute.run('trace', { ...(await ofJob(req)), now }, leaving(res)));
  });
  /** The first screen's trace, ruler and model; nothing where they have not been worked out yet. */
  routes.get('/:id/ahead', async (req, res) => {
    const found = await aheadOfJob(store, id(req));
    // Nothing yet is no mistake: a browser writes every 404 into its console as an error.
    if (!found) {
      await machineIdOf(store, id(req));
      return void res.status(204).end();
    }
    res.json({ stand: found.stand, packed: found.ahead });
  });
  routes.get('/:id/checks/:checkId/ruler', async (req, res) => {
    const asked = { ...(await ofJob(req)), checkId: param(req, 'checkId') };
    res.json(await compute.run('ruler', asked, leaving(res)));
  });
  routes.get('/:id/causes/:faultId', async (req, res) => {
    const asked = { ...(await ofJob(req)), faultId: param(req, 'faultId') };
    res.json(await compute.run('causes', asked, leaving(res)));
  });
  routes.get('/:id/proof', async (req, res) => {
    res.json(await compute.run('proof', await ofJob(req), leaving(res)));
  });
  routes.get('/:id/settings', async (req, res) => void res.json(await compute.run('settings', await ofJob(req))));
  routes.get('/:id/readings.csv', async (req, res) => {
    const csv = await compute.run('csv', await ofJob(req));
    res.type('text/csv').attachment('readings.csv').send(csv);
  });
  routes.post('/:id/close', async (req, res) => {
    const { because } = body(req, schemas.closeSchema);
    const of = await ofJob(req);
    const done = of.job.stage === 'closed' && of.job.closedBecause === because;
    if (!done && because === '' && !(await compute.run('proof', of)).proven)
      throw new Problem(
        422,
        'not-proven',
        'Not everything has been proved yet. Prove it, or say why the job closes without.',
        { fields: [{ field: 'because', message: 'Say why it closes unproved.' }] },
      );
    const closed = { stage: 'closed', closedAt: enteredAt(undefined), closedBecause: because } as const;
    // Asked again because the answer was lost: it is closed already, and stays as it was then.
    const laid = (job: JobBody) =>
      job.stage === 'closed' && job.closedBecause === because ? job : { ...job, ...closed };
    res.json(await updateJob(store, id(req), laid, expectedVersion(req)));
  });
  return routes;
}

/** Without the fields that were left out. */
const given = <T extends object>(fields: T) =>
  Object.fromEntries(Object.entries(fields).filter(([, v]) => v !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>;
  };
