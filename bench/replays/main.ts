import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { houseSchema, ponduFileSchema } from '@pondu/core/schema';
import {
  follow,
  HiddenMachine,
  minutesOf,
  seededRandom,
  tell,
  Tracer,
  type Complaint,
  type JobEvent,
  type Opening,
  type ReadingValue,
} from '@pondu/core';
import { CAR } from './car.ts';
import type { Read, Replay } from './replay.ts';
import { SMALL } from './small.ts';

const house = houseSchema.parse({});
const tracers = new Map<string, Tracer>();
function tracerOf(name: string): Tracer {
  let known = tracers.get(name);
  if (!known) {
    const text = readFileSync(join(import.meta.dirname, '../../demo', `${name}.pondu.json`), 'utf8');
    known = new Tracer(ponduFileSchema.parse(JSON.parse(text)).machines[0]!.machine, house);
    tracers.set(name, known);
  }
  return known;
}

const valueOf = (read: Read): ReadingValue =>
  typeof read === 'number'
    ? { kind: 'number', value: read }
    : read === 'OL'
      ? { kind: 'open' }
      : { kind: 'word', word: read };
const HERE = { warmth: 'unknown', faultPresent: 'yes' } as const;
const MOST = 40;

function eventsOf({ readings }: Replay): JobEvent[] {
  return readings.map(([checkId, read], k) => ({
    type: 'reading',
    reading: { ...HERE, id: `r${k}`, checkId, value: valueOf(read), typed: '', note: '', at: '2026-01-01T00:00:00Z' },
  }));
}

/** The replay's end, where it would have been called, and Pondu's own way to the same fault. */
function played(replay: Replay) {
  const tracer = tracerOf(replay.machine);
  const missing = replay.readings.filter(([id]) => !tracer.weigher.check(id)).map(([id]) => id);
  const complaint: Complaint = { pattern: 'constant', words: '', since: '', before: '', ...replay.complaint };
  const events = eventsOf(replay);
  const calledAt = events.findIndex((_, k) => {
    const { verdict } = tracer.trace(complaint, events.slice(0, k + 1), HERE);
    return verdict.kind === 'fix' && verdict.repair.id === replay.truth;
  });
  const end = tracer.trace(complaint, events, HERE);
  const [lead] = end.lines;
  const share = end.lines.find((l) => l.alike.some((r) => r.id === replay.truth))?.share ?? 0;
  const open = new Set<Opening>();
  let minutes = 0;
  for (const { reading } of tell(events).readings) {
    const check = tracer.weigher.check(reading.checkId);
    if (!check) continue;
    minutes += minutesOf(check, open);
    for (const o of check.opens) open.add(o);
  }
  const fault = tracer.model.faults.filter((f) => f.repairId === replay.truth).sort((a, b) => b.weight - a.weight)[0];
  const own =
    fault && follow(tracer, complaint, new HiddenMachine(tracer.model, [fault], seededRandom(5)), { most: MOST });
  return {
    name: replay.name,
    missing,
    leads: lead?.alike.some((r) => r.id === replay.truth) ?? false,
    lead: lead?.repair.id,
    share: Number(share.toFixed(3)),
    outside: Number(end.outside.toFixed(3)),
    called: calledAt >= 0,
    calledAfter: calledAt + 1,
    checks: events.length,
    minutes: Number(minutes.toFixed(1)),
    ownWay: own && { named: own.named, checks: own.checks, minutes: Number(own.minutes.toFixed(1)) },
  };
}

export function replayFigures() {
  const jobs = [...CAR, ...SMALL].map(played);
  const part = (of: (j: (typeof jobs)[number]) => boolean) => Number((jobs.filter(of).length / jobs.length).toFixed(3));
  return {
    jobs: jobs.length,
    truthLeads: part((j) => j.leads),
    called: part((j) => j.called),
    outsideAboveFifth: jobs.filter((j) => j.outside > 0.2).length,
    ownWayShorter: part((j) => j.ownWay !== undefined && j.ownWay.minutes <= j.minutes),
    each: jobs,
  };
}
