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
  type ModelFault,
  type Opening,
  type ReadingValue,
} from '@pondu/core';
import { BETWEEN } from './between.ts';
import { CAR } from './car.ts';
import { COMING } from './coming.ts';
import { INDIRECT } from './indirect.ts';
import type { Read, Replay } from './replay.ts';
import { SEVERAL } from './several.ts';
import { SHOP } from './shop.ts';
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
const SEED = 5;
const SEEDS_TRIED = 60;
const MACHINES = 3;
const BRINGS_FROM = 0.5;

const readBy = (value: ReadingValue, checkId: string): JobEvent => ({
  type: 'reading',
  reading: { ...HERE, id: 'one more', checkId, value, typed: '', note: '', at: '2026-01-01T00:00:00Z' },
});

function eventsOf({ readings }: Replay): JobEvent[] {
  const at = '2026-01-01T00:00:00Z';
  return readings.map(([what, read, now], k): JobEvent => {
    const id = `r${k}`;
    if (what === 'fix') {
      const done = { what: 'Done', how: 'replaced', parts: '', minutes: 0, money: 0, temporary: false } as const;
      return { type: 'fix', fix: { ...done, id, repairId: String(read), at } };
    }
    return {
      type: 'reading',
      reading: { ...HERE, ...now, id, checkId: what, value: valueOf(read), typed: '', note: '', at },
    };
  });
}

/** Machines with a fault that do what is complained of, each to be made afresh; one that runs well is no patient. */
function machinesWith(tracer: Tracer, fault: ModelFault, complaint: Complaint): (() => HiddenMachine)[] {
  const make = (seed: number) => () => new HiddenMachine(tracer.model, [fault], seededRandom(seed));
  const seeds = Array.from({ length: SEEDS_TRIED }, (_, k) => SEED + k);
  const ill = seeds.filter((seed) => make(seed)().brings(complaint) > BRINGS_FROM).slice(0, MACHINES);
  return (ill.length ? ill : [SEED]).map(make);
}
/** Of the ways on several machines, the one of middle length. */
const middleOf = <T extends { readonly minutes: number }>(ways: readonly T[]): T | undefined =>
  [...ways].sort((a, b) => a.minutes - b.minutes)[ways.length >> 1];

/** The replay's end, where it would have been called, and Pondu's own way to the same fault. */
function played(replay: Replay) {
  const tracer = tracerOf(replay.machine);
  const missing = replay.readings.filter(([id]) => id !== 'fix' && !tracer.weigher.check(id)).map(([id]) => id);
  const complaint: Complaint = { pattern: 'constant', words: '', since: '', before: '', ...replay.complaint };
  const events = eventsOf(replay);
  const calls = (told: readonly JobEvent[]): boolean => {
    const { verdict } = tracer.trace(complaint, told, HERE);
    return verdict.kind === 'fix' && verdict.repair.id === replay.truth;
  };
  const calledAt = events.findIndex((_, k) => calls(events.slice(0, k + 1)));
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
  const sick = fault && !replay.leadsOnly ? machinesWith(tracer, fault, complaint) : [];
  const own = middleOf(sick.map((make) => follow(tracer, complaint, make(), { most: MOST })));
  // The check that is proposed at the end, as the machine with this fault would answer it.
  const next = end.verdict.kind === 'second check' ? end.verdict.check : end.ranked[0]?.check;
  const [first] = sick;
  const oneAway = first !== undefined && next !== undefined && calls([...events, readBy(first().read(next), next.id)]);
  return {
    name: replay.name,
    missing,
    leads: lead?.alike.some((r) => r.id === replay.truth) ?? false,
    lead: lead?.repair.id,
    share: Number(share.toFixed(3)),
    outside: Number(end.outside.toFixed(3)),
    called: calledAt >= 0,
    oneAway,
    calledAfter: calledAt + 1,
    checks: events.length,
    minutes: Number(minutes.toFixed(1)),
    ownWay: own && { named: own.named, checks: own.checks, minutes: Number(own.minutes.toFixed(1)) },
  };
}

/** Of short jobs: in how many the right repair leads, and which mislead. */
function leading(replays: readonly Replay[]) {
  const short = replays.map(played);
  return {
    jobs: short.length,
    truthLeads: Number((short.filter((j) => j.leads).length / short.length).toFixed(3)),
    misled: short.filter((j) => !j.leads).map(({ name, lead, share }) => ({ name, lead, share })),
  };
}

export function replayFigures() {
  const jobs = [...CAR, ...SMALL, ...COMING, ...BETWEEN].map(played);
  const part = (of: (j: (typeof jobs)[number]) => boolean) => Number((jobs.filter(of).length / jobs.length).toFixed(3));
  return {
    shop: leading(SHOP),
    several: leading(SEVERAL),
    indirect: leading(INDIRECT),
    jobs: jobs.length,
    truthLeads: part((j) => j.leads),
    called: part((j) => j.called),
    calledOrOneAway: part((j) => j.called || j.oneAway),
    outsideAboveFifth: jobs.filter((j) => j.outside > 0.2).length,
    ownWayShorter: part((j) => j.ownWay !== undefined && j.ownWay.minutes <= j.minutes),
    each: jobs,
  };
}
