import {
  adviceView,
  clearingView,
  causesView,
  checkView,
  comparedAlternators,
  comparedStarters,
  modelView,
  overMinutes,
  proofView,
  jobRuler,
  bookView,
  settingsView,
  simulateAhead,
  drawingView,
  leadsOf,
  liveView,
  setUpView,
  sparkBench,
  traceCauses,
  TracerCache,
  traceView,
  Unsolved,
  unsolvedWords,
  waveforms,
  type WaveSubject,
  wellsView,
  wayNetlist,
  withTracer,
  type BookJob,
  type Complaint,
  type Conditions,
  type DrawnState,
  type FreeProbe,
  type House,
  type JobEvent,
  type MachineBody,
  type Tracer,
  type TrailId,
  type Tried,
  type UsedAlternator,
  type UsedStarter,
} from '@pondu/core';
import { expose } from 'comlink';
import { inSlices } from './inSlices.ts';
import { recalling } from './recalled.ts';

export interface JobInput {
  machine: MachineBody;
  house: House;
  complaint: Complaint;
  events: readonly JobEvent[];
}

/** Failures cross as data: an error thrown over the border would lose all but its message. */
export type Answer<T> = { ok: true; value: T } | { ok: false; message: string };
const answer = <T>(work: () => T): Answer<T> => {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (error instanceof Unsolved) return { ok: false, message: error.plates.map(unsolvedWords).join(' ') };
    return { ok: false, message: error instanceof Error ? error.message : String(error) };
  }
};

/** A phone keeps the machines that it is at. */
const TRACERS_KEPT = 4;
const tracers = new TracerCache(TRACERS_KEPT);

type Of = Pick<JobInput, 'machine' | 'house'>;
const recalled = recalling(tracers, self.location.pathname.split('/').at(-1) ?? '');
async function traced<T>({ machine, house }: Of, work: (tracer: Tracer) => T): Promise<Answer<T>> {
  await recalled(machine, house);
  return answer(() => withTracer(tracers, machine, house, work));
}

let readying = 0;
const api = {
  /** Simulates what the first trace of this complaint will ask, between all else that is asked; the last such wish holds. */
  ready: async (machine: MachineBody, house: House, complaint: Complaint): Promise<void> => {
    const mine = ++readying;
    await recalled(machine, house);
    const pieces = withTracer(tracers, machine, house, ({ weigher }) => simulateAhead(weigher, complaint));
    await inSlices(pieces, () => mine === readying);
  },
  trace: (input: JobInput, now: Conditions) => traced(input, (t) => traceView(t, input.complaint, input.events, now)),
  ruler: (input: JobInput, checkId: string, added: readonly string[], probe?: FreeProbe) =>
    traced(input, (t) => {
      if (probe) t.weigher.learn(probe);
      t.weigher.learnAll(input.events);
      const check = t.weigher.check(checkId);
      if (!check) throw new Error(`This machine has no check "${checkId}".`);
      return { check: checkView(check), ruler: jobRuler(t, input.complaint, input.events, check, added) };
    }),
  wells: (input: JobInput, checkIds: readonly string[]) =>
    traced(input, (t) => {
      t.weigher.learnAll(input.events);
      return wellsView(t, checkIds);
    }),
  causes: (input: JobInput, faultId: string) =>
    traced(input, (t) => {
      const found = traceCauses(t, faultId, input.complaint, input.events);
      return found ? causesView(found) : null;
    }),
  proof: (input: JobInput) => traced(input, (t) => proofView(t, input.complaint, input.events)),
  waves: (machine: MachineBody, house: House, subject: WaveSubject, faultId?: string) =>
    traced({ machine, house }, ({ model }) => waveforms(model, faultId, subject)),
  minutes: (machine: MachineBody, house: House, faultId?: string) =>
    traced({ machine, house }, ({ model }) => overMinutes(model, faultId)),
  clearing: (machine: MachineBody, house: House, celsius: number) =>
    traced({ machine, house }, ({ model }) => clearingView(model, celsius)),
  settings: ({ machine, house, events }: JobInput) =>
    answer(() => settingsView(tracers.for(machine, house).model, events)),
  setUp: (input: JobInput) => traced(input, (t) => setUpView(t, input.events)),
  sparkBench: (machine: MachineBody, house: House, tried: Tried) =>
    traced({ machine, house }, ({ model }) => sparkBench(model, tried)),
  book: (machine: MachineBody, house: House, jobs: readonly BookJob[], now: string) =>
    traced({ machine, house }, (t) => bookView(t, machine, house, jobs, now)),
  advice: (machine: MachineBody, house: House) => answer(() => adviceView(tracers, machine, house)),
  wayNetlist: (machine: MachineBody, house: House, wayId: string) =>
    answer(() => wayNetlist(tracers, machine, house, wayId)),
  alternators: (machine: MachineBody, house: House, of: readonly UsedAlternator[]) =>
    answer(() => comparedAlternators(tracers, machine, house, of)),
  starters: (machine: MachineBody, house: House, of: readonly UsedStarter[]) =>
    answer(() => comparedStarters(tracers, machine, house, of)),
  drawing: (machine: MachineBody, house: House, trail?: TrailId) =>
    answer(() => drawingView(tracers.for(machine, house).model, trail)),
  live: (machine: MachineBody, house: House, state: DrawnState, trail?: TrailId, faultId?: string, severity?: number) =>
    answer(() => liveView(tracers.for(machine, house).model, state, trail, faultId, severity)),
  leads: (machine: MachineBody, house: House, checkIds: readonly string[]) =>
    answer(() =>
      tracers.for(machine, house).model.checks.flatMap((check) => {
        const leads = checkIds.includes(check.id) ? leadsOf(check) : undefined;
        return leads ? [{ checkId: check.id, ...leads }] : [];
      }),
    ),
  model: async (machine: MachineBody, house: House) => {
    await recalled(machine, house);
    return answer(() => modelView(tracers, machine, house));
  },
};
export type TracerApi = typeof api;
expose(api);
