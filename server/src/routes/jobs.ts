import { randomUUID } from 'node:crypto';
import {
  absurd,
  causesView,
  proofView,
  readTyped,
  ruler,
  settingsView,
  traceCauses,
  tracerFor,
  traceView,
  type Tracer,
} from '@pondu/core';
import type { JobBody, Reading } from '@pondu/core/schema';
import { Router } from 'express';
import { invalid, notFound, Problem } from '../http/problem.ts';
import { body, expectedVersion, param, query } from '../http/request.ts';
import type { Store } from '../store/database.ts';
import { readHouse } from '../store/house.ts';
import {
  addEvent,
  createJob,
  getJob,
  listJobs,
  putSnag,
  setJobDeleted,
  updateJob,
  type StoredJob,
} from '../store/jobs.ts';
import { getMachine } from '../store/machines.ts';
import * as schemas from './schemas.ts';
import { readingsCsv } from './readingsCsv.ts';
import { parseWords } from './parseWords.ts';

const now = () => new Date().toISOString();

async function withTracer(store: Store, id: string): Promise<{ stored: StoredJob; tracer: Tracer }> {
  const stored = await getJob(store, id);
  const { machine } = await getMachine(store, stored.machineId);
  return { stored, tracer: tracerFor(machine, (await readHouse(store)).house) };
}

const checkOf = (tracer: Tracer, id: string) => {
  const check = tracer.weigher.check(id);
  if (!check) throw notFound('check on this machine', id);
  return check;
};

function readingOf(tracer: Tracer, sent: ReturnType<typeof schemas.newReadingSchema.parse>): Reading {
  const check = checkOf(tracer, sent.checkId);
  const { confirmed, id, typed, value, supersedes, ...rest } = sent;
  const read = typed === undefined ? { ok: true as const, value: value! } : readTyped(check, typed);
  if (!read.ok) throw invalid([{ field: 'typed', message: parseWords(read.failure) }]);
  if (absurd(check, read.value, tracer.model.layout.fit) && !confirmed)
    throw new Problem(
      422,
      'absurd',
      'Is the meter on the right range, and are the leads where they belong? Confirm to let the reading stand.',
      {
        fields: [{ field: 'typed', message: 'Far outside what this machine can show.' }],
      },
    );
  return {
    ...rest,
    value: read.value,
    typed: typed ?? '',
    id: id ?? randomUUID(),
    at: now(),
    ...(supersedes ? { supersedes } : {}),
  };
}

export function jobRoutes(store: Store): Router {
  const routes = Router();

  routes.get('/', async (_req, res) => void res.json(await listJobs(store)));
  routes.post('/', async (req, res) => {
    const { machineId, title, complaint } = body(req, schemas.newJobSchema);
    const job: JobBody = {
      title,
      complaint,
      stage: 'look',
      waitsFor: '',
      openedAt: now(),
      closedAt: null,
      closedBecause: '',
    };
    const made = await createJob(store, machineId, job);
    res.status(201).location(`/api/jobs/${made.id}`).json(made);
  });
  routes.get('/:id', async (req, res) => void res.json(await getJob(store, param(req, 'id'))));
  routes.patch('/:id', async (req, res) => {
    const patch = body(req, schemas.jobPatchSchema) as Partial<JobBody>;
    // Reopening a closed job takes its closing back.
    const reopened = patch.stage !== undefined && patch.stage !== 'closed' ? { closedAt: null, closedBecause: '' } : {};
    if (patch.stage === 'closed')
      throw new Problem(422, 'close-by-name', 'Close a job at /close, where its proof is asked for.');
    res.json(await updateJob(store, param(req, 'id'), { ...patch, ...reopened }, expectedVersion(req)));
  });
  routes.delete('/:id', async (req, res) => {
    await setJobDeleted(store, param(req, 'id'), true);
    res.status(204).end();
  });
  routes.post('/:id/restore', async (req, res) => {
    await setJobDeleted(store, param(req, 'id'), false);
    res.json(await getJob(store, param(req, 'id')));
  });

  routes.post('/:id/readings', async (req, res) => {
    const { tracer } = await withTracer(store, param(req, 'id'));
    const reading = readingOf(tracer, body(req, schemas.newReadingSchema));
    res.status(201).json(await addEvent(store, param(req, 'id'), { type: 'reading', reading }, expectedVersion(req)));
  });
  routes.post('/:id/fixes', async (req, res) => {
    const { id = randomUUID(), ...sent } = body(req, schemas.newFixSchema);
    res
      .status(201)
      .json(
        await addEvent(store, param(req, 'id'), { type: 'fix', fix: { ...sent, id, at: now() } }, expectedVersion(req)),
      );
  });
  routes.post('/:id/causes', async (req, res) => {
    const { id = randomUUID(), ...sent } = body(req, schemas.newCauseSchema);
    res
      .status(201)
      .json(
        await addEvent(
          store,
          param(req, 'id'),
          { type: 'cause', cause: { ...sent, id, at: now() } },
          expectedVersion(req),
        ),
      );
  });
  routes.post('/:id/settings', async (req, res) => {
    const { id = randomUUID(), ...sent } = body(req, schemas.newSettingSchema);
    res
      .status(201)
      .json(
        await addEvent(
          store,
          param(req, 'id'),
          { type: 'setting', setting: { ...sent, id, at: now() } },
          expectedVersion(req),
        ),
      );
  });
  routes.post('/:id/snags', async (req, res) => {
    const { id = randomUUID(), ...sent } = body(req, schemas.newSnagSchema);
    res.status(201).json(await putSnag(store, param(req, 'id'), { ...sent, id, at: now() }, expectedVersion(req)));
  });

  routes.get('/:id/trace', async (req, res) => {
    const conditions = query(req, schemas.conditionsQuerySchema);
    const { stored, tracer } = await withTracer(store, param(req, 'id'));
    res.json(traceView(tracer, stored.job.complaint, stored.events, conditions));
  });
  routes.get('/:id/checks/:checkId/ruler', async (req, res) => {
    const { stored, tracer } = await withTracer(store, param(req, 'id'));
    const { suspects } = tracer.trace(stored.job.complaint, stored.events, {
      warmth: 'unknown',
      faultPresent: 'unknown',
    });
    const check = checkOf(tracer, param(req, 'checkId'));
    res.json(
      ruler(
        tracer.weigher,
        check,
        suspects.slice(0, 5).map((s) => s.fault),
      ),
    );
  });
  routes.get('/:id/causes/:faultId', async (req, res) => {
    const { stored, tracer } = await withTracer(store, param(req, 'id'));
    const causes = traceCauses(tracer, param(req, 'faultId'), stored.job.complaint, stored.events);
    if (!causes) throw notFound('way of failing on this machine', param(req, 'faultId'));
    res.json(causesView(causes));
  });
  routes.get('/:id/proof', async (req, res) => {
    const { stored, tracer } = await withTracer(store, param(req, 'id'));
    res.json(proofView(tracer, stored.job.complaint, stored.events));
  });
  routes.get('/:id/settings', async (req, res) => {
    const { stored, tracer } = await withTracer(store, param(req, 'id'));
    res.json(settingsView(tracer.model, stored.events));
  });
  routes.get('/:id/readings.csv', async (req, res) => {
    const { stored, tracer } = await withTracer(store, param(req, 'id'));
    res.type('text/csv').attachment('readings.csv').send(readingsCsv(tracer, stored.events));
  });
  routes.post('/:id/close', async (req, res) => {
    const { because } = body(req, schemas.closeSchema);
    const { stored, tracer } = await withTracer(store, param(req, 'id'));
    if (!proofView(tracer, stored.job.complaint, stored.events).proven && because === '')
      throw new Problem(
        422,
        'not-proven',
        'Not everything has been proved yet. Prove it, or say why the job closes without.',
        {
          fields: [{ field: 'because', message: 'Say why it closes unproved.' }],
        },
      );
    const closed: Partial<JobBody> = { stage: 'closed', closedAt: now(), closedBecause: because };
    res.json(await updateJob(store, param(req, 'id'), closed, expectedVersion(req)));
  });
  return routes;
}
