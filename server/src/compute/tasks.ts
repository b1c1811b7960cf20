import { gzipSync } from 'node:zlib';
import {
  aheadOf,
  type Ahead,
  type BaySummary,
  absurd,
  baySummary,
  causesView,
  checkView,
  drawFault,
  HiddenMachine,
  machineCircuit,
  modelView,
  plateProblems,
  platesView,
  proofView,
  readTyped,
  jobRuler,
  ruler,
  seededRandom,
  settingsView,
  SimulatedMeter,
  suits,
  traceCauses,
  traceView,
  Unsolved,
  unsolvedWords,
  withTracer,
  type Check,
  type Conditions,
  type MachineState,
  type Plate,
  type ReadingValue,
  type Shown,
  type Tracer,
  type TracerCache,
} from '@pondu/core';
import type { FreeProbe, JobBody, JobEvent } from '@pondu/core/schema';
import { invalid, notFound, Problem } from '../http/problem.ts';
import type { OfMachine } from './ofMachine.ts';
import { parseWords } from './parseWords.ts';
import { PRACTICE_TASKS } from './practice.ts';
import { readingsCsv } from './readingsCsv.ts';

export interface OfJob extends OfMachine {
  job: JobBody;
  events: JobEvent[];
}

const REMARK = 'seen-';
const checkOf = (tracer: Tracer, id: string) => {
  const check = tracer.weigher.check(id);
  if (check) return check;
  if (id.startsWith(REMARK))
    throw new Problem(
      404,
      'not-found',
      `This machine has no part at "${id.slice(REMARK.length)}" to remark on. Its checks are listed at /checks.`,
    );
  throw notFound('check on this machine', id);
};
const noSuchProbe = () =>
  invalid([{ field: 'probe', message: 'This machine has no such places, wire or state; pick them again.' }]);

/** A check as the API lists it: how it is done, and what it should read when all is well. */
const listed = (tracer: Tracer, check: Check, proposed: boolean) => ({
  ...checkView(check),
  state: check.state,
  well: ruler(tracer.weigher, check, []).well,
  proposed,
});

/** What the bay shows, and what its job's first screen asks for. */
export interface Summarised {
  bay: BaySummary;
  ahead: Ahead;
}

interface Sent {
  checkId: string;
  probe?: FreeProbe | undefined;
  typed?: string | undefined;
  value?: ReadingValue | undefined;
  confirmed: boolean;
}
/** A reading as sent, made into a value of the check's own kind; an absurd one is asked about once. */
function readingValue(tracer: Tracer, { checkId, probe, typed, value, confirmed }: Sent): ReadingValue {
  if (probe && tracer.weigher.learn(probe)?.id !== checkId) throw noSuchProbe();
  const check = checkOf(tracer, checkId);
  const read = typed === undefined ? { ok: true as const, value: value! } : readTyped(check, typed);
  if (!read.ok) throw invalid([{ field: 'typed', message: parseWords(read.failure) }]);
  if (!suits(check, read.value))
    throw invalid([
      {
        field: 'value',
        message:
          'This check cannot show that: it is another kind of value, another word, or more than any instrument shows.',
      },
    ]);
  if (!confirmed && absurd(tracer.weigher, check, read.value))
    throw new Problem(
      422,
      'absurd',
      'Is the meter on the right range, and are the leads where they belong? Confirm to let the reading stand.',
      { fields: [{ field: 'typed', message: 'Far outside what this machine can show.' }] },
    );
  return read.value;
}

/** A simulated meter's whole run, so that the stream itself computes nothing. */
const METER_EVERY_SECONDS = 0.25;
/** Nobody cranks longer. */
const METER_LAST_SECONDS = 30;
export interface MeterRun {
  everySeconds: number;
  shown: Shown[];
}

const outOfRange = ({ plate, end }: { plate: Plate; end: 'low' | 'high' }) => ({
  field: `plates.${plate.id}.${end}`,
  message: unsolvedWords(plate),
});

/** Everything that the server computes. Each is pure: the same input gives the same answer, on whatever thread. */
export const TASKS = {
  trace: (cache: TracerCache, { machine, house, job, events, now }: OfJob & { now: Conditions }) =>
    withTracer(cache, machine, house, (t) => traceView(t, job.complaint, events, now)),
  ruler: (cache: TracerCache, { machine, house, job, events, checkId }: OfJob & { checkId: string }) =>
    withTracer(cache, machine, house, (t) => {
      t.weigher.learnAll(events);
      return jobRuler(t, job.complaint, events, checkOf(t, checkId));
    }),
  causes: (cache: TracerCache, { machine, house, job, events, faultId }: OfJob & { faultId: string }) =>
    withTracer(cache, machine, house, (t) => {
      const causes = traceCauses(t, faultId, job.complaint, events);
      if (!causes) throw notFound('way of failing on this machine', faultId);
      return causesView(causes);
    }),
  proof: (cache: TracerCache, { machine, house, job, events }: OfJob) =>
    withTracer(cache, machine, house, (t) => proofView(t, job.complaint, events)),
  settings: (cache: TracerCache, { machine, house, events }: OfJob) =>
    settingsView(cache.for(machine, house).model, events),
  csv: (cache: TracerCache, { machine, house, events }: OfJob) => readingsCsv(cache.for(machine, house), house, events),
  summary: (cache: TracerCache, { machine, house, job, events }: OfJob): Summarised => {
    const ahead = aheadOf(cache, machine, house, job, events);
    return { bay: baySummary(cache.for(machine, house), ahead.trace, job, events), ahead };
  },
  reading: (cache: TracerCache, { machine, house, sent }: OfMachine & { sent: Sent }) =>
    withTracer(cache, machine, house, (t) => readingValue(t, sent)),
  /** Every check, those too that are never proposed: a remark about a station, the spark of one cylinder. */
  checks: (cache: TracerCache, { machine, house }: OfMachine) =>
    withTracer(cache, machine, house, (t) => [
      ...t.model.checks.map((check) => listed(t, check, true)),
      ...t.model.beyond.map((check) => listed(t, check, false)),
    ]),
  /** Where leads can be put on this machine, in which states, and what can be unplugged meanwhile. */
  probing: (cache: TracerCache, { machine, house }: OfMachine) => modelView(cache, machine, house).probing,
  /** A free probe as a check: what it should read, and under which id its readings go in. */
  probe: (cache: TracerCache, { machine, house, probe }: OfMachine & { probe: FreeProbe }) =>
    withTracer(cache, machine, house, (t) => {
      const check = t.weigher.learn(probe);
      if (!check) throw noSuchProbe();
      return listed(t, check, false);
    }),
  plates: (cache: TracerCache, { machine, house }: OfMachine) => platesView(cache.for(machine, house).model),
  /** What a page need not simulate itself, gzipped: all that any first trace of this machine asks. */
  simulated: (cache: TracerCache, { machine, house }: OfMachine): Uint8Array =>
    withTracer(cache, machine, house, ({ weigher }) => {
      weigher.simulate();
      return gzipSync(cache.simulated(machine, house));
    }),
  model: (cache: TracerCache, { machine, house }: OfMachine) => modelView(cache, machine, house),
  /** Figures that are not in the range in which this machine is computed, by their field. */
  figures: (cache: TracerCache, { machine, house }: OfMachine) =>
    plateProblems(machine, cache.for(machine, house).model).map(outOfRange),
  circuit: (
    cache: TracerCache,
    { machine, house, state, fault }: OfMachine & { state: MachineState; fault: string | undefined },
  ) =>
    withTracer(cache, machine, house, ({ model }) => {
      const circuit = machineCircuit(machine.name, model, state, fault);
      if (!circuit.ok) throw notFound('way of failing on this machine', fault ?? '');
      return circuit.text;
    }),
  meter: (
    cache: TracerCache,
    { machine, house, checkId, seed, fault }: OfMachine & { checkId: string; seed: number; fault: string | undefined },
  ): MeterRun =>
    withTracer(cache, machine, house, ({ model, weigher }) => {
      const check = weigher.check(checkId);
      if (!check) throw notFound('check on this machine', checkId);
      const named = model.faults.find((f) => f.id === fault);
      if (fault && fault !== 'none' && !named) throw notFound('way of failing on this machine', fault);
      const random = seededRandom(seed);
      const faults = fault === 'none' ? [] : [named ?? drawFault(model, random)];
      // Which check is asked must not change the machine: its figures are drawn from a seed of their own.
      const meter = new SimulatedMeter(new HiddenMachine(model, faults, seededRandom(seed + 7)), check, random);
      const steps = Math.round(METER_LAST_SECONDS / METER_EVERY_SECONDS);
      return {
        everySeconds: METER_EVERY_SECONDS,
        shown: Array.from({ length: steps + 1 }, (_, i) => meter.at(i * METER_EVERY_SECONDS)),
      };
    }),
  ...PRACTICE_TASKS,
};
export type Tasks = typeof TASKS;
export type TaskName = keyof Tasks;
export type Input<N extends TaskName> = Parameters<Tasks[N]>[1];
export type Output<N extends TaskName> = ReturnType<Tasks[N]>;

/** Failures cross a thread's border as data: an error thrown over it would lose its facts. */
export type Answer<T> =
  | { ok: true; value: T }
  | { ok: false; status: number; code: string; title: string; facts: Readonly<Record<string, unknown>> };

export function answer<N extends TaskName>(cache: TracerCache, name: N, input: Input<N>): Answer<Output<N>> {
  try {
    return { ok: true, value: TASKS[name](cache, input as never) as Output<N> };
  } catch (error) {
    const problem = error instanceof Unsolved ? unsolvedProblem(error) : error;
    if (!(problem instanceof Problem)) throw error;
    const { status, code, message: title, facts } = problem;
    return { ok: false, status, code, title, facts };
  }
}

const unsolvedProblem = ({ plates }: Unsolved): Problem =>
  new Problem(422, 'unsolved', plates.map(unsolvedWords).join(' '), {
    fields: plates.map((plate) => ({ field: `plates.${plate.id}`, message: unsolvedWords(plate) })),
  });
