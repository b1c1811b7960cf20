import { OpenAPIRegistry, OpenApiGeneratorV31 } from '@asteasolutions/zod-to-openapi';
import { freeProbeSchema, houseSchema, lessonAskSchema, machineBodySchema, ponduFileSchema } from '@pondu/core/schema';
import { newMachineSchema } from '../routes/machines.ts';
import { newMoveSchema } from '../routes/practice.ts';
import { z } from 'zod';
import * as schemas from '../routes/schemas.ts';

const problem = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.number(),
    fields: z.array(z.object({ field: z.string(), message: z.string() })).optional(),
  })
  .meta({ id: 'Problem' });

interface Call {
  method: 'get' | 'post' | 'put' | 'patch' | 'delete';
  path: string;
  summary: string;
  sends?: z.ZodType;
  /** Writes take `If-Match`. */
  versioned?: boolean;
  query?: z.ZodObject;
}

/** The calls, one line each; bodies are the very schemas that the routes read with. */
const CALLS: readonly Call[] = [
  { method: 'get', path: '/api/machines', summary: 'Machines, a page at a time', query: schemas.machinesQuerySchema },
  {
    method: 'post',
    path: '/api/machines',
    summary: 'Add a machine from its fit-out and plate values',
    sends: newMachineSchema,
  },
  { method: 'get', path: '/api/machines/{id}', summary: 'One machine' },
  { method: 'put', path: '/api/machines/{id}', summary: 'Change a machine', sends: machineBodySchema, versioned: true },
  { method: 'delete', path: '/api/machines/{id}', summary: 'Put a machine away' },
  { method: 'post', path: '/api/machines/{id}/restore', summary: 'Bring it back' },
  { method: 'get', path: '/api/machines/{id}/snags', summary: 'Snags of its jobs that are still open' },
  {
    method: 'get',
    path: '/api/machines/{id}/checks',
    summary: 'Its checks, with expected readings; those never proposed too: remarks, the spark of one cylinder',
  },
  {
    method: 'get',
    path: '/api/machines/{id}/probes',
    summary: 'Places, wires, parts to unplug and states for a free probe',
  },
  {
    method: 'post',
    path: '/api/machines/{id}/probes',
    summary: 'A free probe as a check: its id, and what it should read',
    sends: freeProbeSchema,
  },
  { method: 'get', path: '/api/machines/{id}/plates', summary: 'Its plate values in force' },
  { method: 'get', path: '/api/machines/{id}/export', summary: 'Machine and jobs as .pondu.json' },
  {
    method: 'get',
    path: '/api/machines/{id}/circuit.cir',
    summary: 'The machine in one state as a SPICE netlist',
    query: schemas.circuitQuerySchema,
  },
  {
    method: 'get',
    path: '/api/machines/{id}/meter',
    summary: 'Simulated meter: a stream of what it shows on this machine with a hidden fault',
    query: schemas.meterQuerySchema,
  },
  {
    method: 'get',
    path: '/api/jobs',
    summary: 'Jobs without their events, a page at a time',
    query: schemas.jobsQuerySchema,
  },
  { method: 'post', path: '/api/jobs', summary: 'Open a job', sends: schemas.newJobSchema },
  { method: 'get', path: '/api/jobs/{id}', summary: 'One job with its events and snags' },
  {
    method: 'patch',
    path: '/api/jobs/{id}',
    summary: 'Change complaint, stage or what it waits for',
    sends: schemas.jobPatchSchema,
    versioned: true,
  },
  { method: 'delete', path: '/api/jobs/{id}', summary: 'Put a job away' },
  { method: 'post', path: '/api/jobs/{id}/restore', summary: 'Bring it back' },
  {
    method: 'post',
    path: '/api/jobs/{id}/readings',
    summary: 'Write down a reading',
    sends: schemas.newReadingSchema,
    versioned: true,
  },
  {
    method: 'post',
    path: '/api/jobs/{id}/fixes',
    summary: 'Write down a repair',
    sends: schemas.newFixSchema,
    versioned: true,
  },
  {
    method: 'post',
    path: '/api/jobs/{id}/causes',
    summary: 'Write down a cause',
    sends: schemas.newCauseSchema,
    versioned: true,
  },
  {
    method: 'post',
    path: '/api/jobs/{id}/settings',
    summary: 'Write down a setting',
    sends: schemas.newSettingSchema,
    versioned: true,
  },
  {
    method: 'post',
    path: '/api/jobs/{id}/sheets',
    summary: 'Write down a bench of the set-up',
    sends: schemas.newSheetSchema,
    versioned: true,
  },
  {
    method: 'post',
    path: '/api/jobs/{id}/asides',
    summary: 'Set a check aside that told nothing',
    sends: schemas.newAsideSchema,
    versioned: true,
  },
  {
    method: 'post',
    path: '/api/jobs/{id}/cares',
    summary: 'Write down which cautions were understood; the job’s version stays',
    sends: schemas.newCareSchema,
  },
  {
    method: 'post',
    path: '/api/jobs/{id}/photos',
    summary: 'Say what a photo shows: station, words, pins',
    sends: schemas.newPhotoSchema,
    versioned: true,
  },
  { method: 'put', path: '/api/jobs/{id}/pictures/{picture}', summary: 'Keep a photo’s picture: JPEG, PNG or WebP' },
  { method: 'get', path: '/api/jobs/{id}/pictures/{picture}', summary: 'A photo’s picture' },
  {
    method: 'post',
    path: '/api/jobs/{id}/snags',
    summary: 'Write down or change a snag',
    sends: schemas.newSnagSchema,
    versioned: true,
  },
  {
    method: 'get',
    path: '/api/jobs/{id}/trace',
    summary: 'Suspects, next check, verdict, stations',
    query: schemas.conditionsQuerySchema,
  },
  { method: 'get', path: '/api/jobs/{id}/ahead', summary: 'Trace, ruler and model, if worked out already' },
  {
    method: 'get',
    path: '/api/simulated/{name}',
    summary: 'What was simulated of a machine, if it was, for a page of this build',
    query: schemas.simulatedQuerySchema,
  },
  {
    method: 'get',
    path: '/api/jobs/{id}/checks/{checkId}/ruler',
    summary: 'Where a reading lands when well and under each suspect',
  },
  { method: 'get', path: '/api/jobs/{id}/causes/{faultId}', summary: 'Why it may have failed' },
  { method: 'get', path: '/api/jobs/{id}/proof', summary: 'What must pass before it closes' },
  { method: 'get', path: '/api/jobs/{id}/settings', summary: 'The set-up sheet' },
  { method: 'get', path: '/api/jobs/{id}/readings.csv', summary: 'Readings as CSV' },
  { method: 'post', path: '/api/jobs/{id}/close', summary: 'Close a job', sends: schemas.closeSchema, versioned: true },
  { method: 'get', path: '/api/practice', summary: 'Lessons of the practice bench, what comes back, and habits' },
  { method: 'get', path: '/api/practice/course', summary: 'The lessons that ship' },
  {
    method: 'post',
    path: '/api/practice',
    summary: 'Begin a lesson: of the course, drawn on a machine, with faults that a teacher chose, or from its file',
    sends: lessonAskSchema,
  },
  { method: 'post', path: '/api/practice/again', summary: 'Begin one again that was mistaken, if one is due' },
  { method: 'get', path: '/api/practice/{id}', summary: 'One lesson as its learner may see it' },
  { method: 'delete', path: '/api/practice/{id}', summary: 'Take a lesson out of the list' },
  {
    method: 'post',
    path: '/api/practice/{id}/moves',
    summary: 'Look, measure, wait, ask, fit, take a hint, or give it back',
    sends: newMoveSchema,
  },
  { method: 'get', path: '/api/practice/{id}/moves/{place}/worth', summary: 'What a move was worth in bits' },
  {
    method: 'get',
    path: '/api/practice/{id}/file',
    summary: 'The lesson as a file; one that a teacher set once it is over',
  },
  {
    method: 'get',
    path: '/api/practice/{id}/review',
    summary: 'What was hidden, and the way beside the best one; once over',
  },
  { method: 'get', path: '/api/machines/{id}/book', summary: 'Its jobs with all that happened on them' },
  { method: 'get', path: '/api/due.ics', summary: 'Jobs that wait for a time, as iCalendar' },
  { method: 'get', path: '/api/machines/{id}/due.ics', summary: 'What is due on a machine by date, as iCalendar' },
  { method: 'get', path: '/api/house', summary: 'House rules' },
  { method: 'put', path: '/api/house', summary: 'Change house rules', sends: houseSchema, versioned: true },
  { method: 'get', path: '/api/export', summary: 'Everything as .pondu.json' },
  { method: 'post', path: '/api/import', summary: 'Read a .pondu.json', sends: ponduFileSchema },
  { method: 'get', path: '/api/schema/pondu-file.json', summary: 'JSON Schema of .pondu.json' },
  { method: 'get', path: '/api/backup.sqlite', summary: 'The data file' },
  { method: 'get', path: '/api/backups', summary: 'Copies of the data file that were made by themselves' },
  { method: 'get', path: '/api/health', summary: 'Whether it answers' },
  { method: 'get', path: '/api/openapi.json', summary: 'This document' },
  { method: 'get', path: '/api/changes', summary: 'What changes, as it changes: a stream of server-sent events' },
  { method: 'post', path: '/api/bays/wanted', summary: 'Bays to work out first', sends: schemas.wantedSchema },
  { method: 'get', path: '/api/journal', summary: 'Changes of house rules and machines' },
  { method: 'post', path: '/api/journal/{seq}/put-back', summary: 'Put back what stood before a change' },
  { method: 'get', path: '/api/door', summary: 'This device, the others, and the key for the next one' },
  { method: 'post', path: '/api/door/enter', summary: 'Let this device in', sends: schemas.enterSchema },
  { method: 'put', path: '/api/door/me', summary: 'Name this device', sends: schemas.namedSchema },
  { method: 'delete', path: '/api/door/devices/{id}', summary: 'Put a device out' },
];

export function openApiDocument() {
  const registry = new OpenAPIRegistry();
  for (const call of CALLS) {
    const names = [...call.path.matchAll(/\{(\w+)\}/g)].map((m) => m[1]!);
    registry.registerPath({
      method: call.method,
      path: call.path,
      summary: call.summary,
      request: {
        ...(names.length ? { params: z.object(Object.fromEntries(names.map((n) => [n, z.string()]))) } : {}),
        ...(call.query ? { query: call.query } : {}),
        ...(call.versioned ? { headers: z.object({ 'If-Match': z.string().optional() }) } : {}),
        ...(call.sends ? { body: { content: { 'application/json': { schema: call.sends } } } } : {}),
      },
      responses: {
        200: { description: 'Done' },
        default: { description: 'Refused', content: { 'application/problem+json': { schema: problem } } },
      },
    });
  }
  return new OpenApiGeneratorV31(registry.definitions).generateDocument({
    openapi: '3.1.0',
    info: {
      title: 'Pondu',
      version: '1',
      description: 'Everything the browser does. A trace from complaint to card is in docs/API.md.',
    },
  });
}
