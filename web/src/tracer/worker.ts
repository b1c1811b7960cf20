import {
  causesView,
  platesView,
  proofView,
  repairsView,
  ruler,
  settingsView,
  traceCauses,
  tracerFor,
  traceView,
  waveforms,
  checkView,
  type Conditions,
  type House,
  type JobEvent,
  type MachineBody,
  type Complaint,
} from '@pondu/core';
import { expose } from 'comlink';

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
    return { ok: false, message: error instanceof Error ? error.message : String(error) };
  }
};

const SUSPECTS_ON_RULER = 5;
const of = ({ machine, house }: Pick<JobInput, 'machine' | 'house'>) => tracerFor(machine, house);

const api = {
  trace: (input: JobInput, now: Conditions) => answer(() => traceView(of(input), input.complaint, input.events, now)),
  ruler: (input: JobInput, now: Conditions, checkId: string) =>
    answer(() => {
      const tracer = of(input);
      const check = tracer.weigher.check(checkId);
      if (!check) throw new Error(`This machine has no check "${checkId}".`);
      const { suspects } = tracer.trace(input.complaint, input.events, now);
      return {
        check: checkView(check),
        ruler: ruler(
          tracer.weigher,
          check,
          suspects.slice(0, SUSPECTS_ON_RULER).map((s) => s.fault),
        ),
      };
    }),
  causes: (input: JobInput, faultId: string) =>
    answer(() => {
      const found = traceCauses(of(input), faultId, input.complaint, input.events);
      return found ? causesView(found) : null;
    }),
  proof: (input: JobInput) => answer(() => proofView(of(input), input.complaint, input.events)),
  waves: (machine: MachineBody, house: House, faultId?: string) =>
    answer(() => waveforms(of({ machine, house }).model, faultId)),
  settings: (input: JobInput) => answer(() => settingsView(of(input).model, input.events)),
  model: (machine: MachineBody, house: House) =>
    answer(() => {
      const tracer = of({ machine, house });
      const { model } = tracer;
      return {
        stations: model.layout.stations,
        plates: platesView(model),
        repairs: repairsView(model),
        checks: model.checks.map((check) => ({ check: checkView(check), well: ruler(tracer.weigher, check, []).well })),
        faults: model.faults.map((f) => ({ id: f.id, part: f.part.label, how: f.mode.label, repairId: f.repairId })),
      };
    }),
};
export type TracerApi = typeof api;
expose(api);
