import type {
  BookJob,
  Complaint,
  Conditions,
  DrawnState,
  Tried,
  FreeProbe,
  House,
  MachineBody,
  TrailId,
  UsedAlternator,
  UsedStarter,
  WaveSubject,
} from '@pondu/core';
import { wrap, type Remote } from 'comlink';
import { useEffect } from 'react';
import useSWR, { useSWRConfig } from 'swr';
import type { Answer, JobInput, TracerApi } from './worker.ts';

let remote: Remote<TracerApi> | undefined;
/** One worker for the whole page: it keeps what it has simulated of each machine. */
function tracer(): Remote<TracerApi> {
  remote ??= wrap<TracerApi>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

const opened = async <T>(answer: Promise<Answer<T>>): Promise<T> => {
  const got = await answer;
  if (!got.ok) throw new Error(got.message);
  return got.value;
};

const options = {
  keepPreviousData: true,
  revalidateOnFocus: false,
  revalidateOnReconnect: false,
  revalidateIfStale: false,
};
/** The input is its own key: the same facts give the same answer. */
function useAnswer<T>(key: readonly unknown[] | null, ask: () => Promise<Answer<T>>) {
  const named = key ? JSON.stringify(key) : null;
  const { cache } = useSWRConfig();
  const { data, error, isLoading, mutate } = useSWR<T, Error>(named, () => opened(ask()), options);
  // An answer that was put there ahead is this one: nothing is awaited, though the worker is still at it.
  const there = named !== null && cache.get(named)?.data !== undefined;
  return { data, error, isLoading: isLoading && !there, mutate };
}

type Input = JobInput | undefined;

/** What an answer stands for: the same facts, the same answer. */
export const keys = {
  trace: (input: JobInput, now: Conditions) => ['trace', input, now],
  ruler: (input: JobInput, checkId: string, added: readonly string[] = [], probe?: FreeProbe) => [
    'ruler',
    input,
    checkId,
    added,
    probe ?? null,
  ],
  model: (machine: MachineBody, house: House) => ['model', machine.fitOut, machine.plates, house],
} as const;

export const useTrace = (input: Input, now: Conditions) =>
  useAnswer(input ? keys.trace(input, now) : null, () => tracer().trace(input!, now));
export const useRuler = (input: Input, checkId: string | undefined, added: readonly string[] = [], probe?: FreeProbe) =>
  useAnswer(input && checkId ? keys.ruler(input, checkId, added, probe) : null, () =>
    tracer().ruler(input!, checkId!, added, probe),
  );
/** What these checks read when all is well. */
export const useWells = (input: Input, checkIds: readonly string[]) =>
  useAnswer(input ? ['wells', input.machine.fitOut, input.machine.plates, input.house, checkIds] : null, () =>
    tracer().wells(input!, checkIds),
  );
export const useCauses = (input: Input, faultId: string | undefined) =>
  useAnswer(input && faultId ? ['causes', input, faultId] : null, () => tracer().causes(input!, faultId!));
export const useProof = (input: Input) => useAnswer(input ? ['proof', input] : null, () => tracer().proof(input!));
export const useSettings = (input: Input) =>
  useAnswer(input ? ['settings', input] : null, () => tracer().settings(input!));
export const useSetUp = (input: Input) => useAnswer(input ? ['setUp', input] : null, () => tracer().setUp(input!));
/** The coil's bench alone, with figures to try on it. */
export const useSparkBench = (machine: MachineBody, house: House, tried: Tried) =>
  useAnswer(['sparkBench', machine.fitOut, machine.plates, house, tried], () =>
    tracer().sparkBench(machine, house, tried),
  );
export const useBook = (
  machine: MachineBody | undefined,
  house: House | undefined,
  jobs: readonly BookJob[] | undefined,
  now: string,
) =>
  useAnswer(machine && house && jobs ? ['book', machine, house, jobs, now] : null, () =>
    tracer().book(machine!, house!, jobs!, now),
  );
export const useWaves = (machine: MachineBody | undefined, house: House, subject: WaveSubject, faultId?: string) =>
  useAnswer(machine ? ['waves', subject, machine.fitOut, machine.plates, house, faultId ?? ''] : null, () =>
    tracer().waves(machine!, house, subject, faultId),
  );
export const useMinutes = (machine: MachineBody | undefined, house: House, faultId?: string) =>
  useAnswer(machine ? ['minutes', machine.fitOut, machine.plates, house, faultId ?? ''] : null, () =>
    tracer().minutes(machine!, house, faultId),
  );
export const useClearing = (machine: MachineBody | undefined, house: House, celsius: number) =>
  useAnswer(machine ? ['clearing', celsius, machine.fitOut, machine.plates, house] : null, () =>
    tracer().clearing(machine!, house, celsius),
  );
type Machine = MachineBody | undefined;
const of = (machine: MachineBody, house: House) => [machine.fitOut, machine.plates, house];
export const useDrawing = (machine: Machine, house: House | undefined, trail?: TrailId) =>
  useAnswer(machine && house ? ['drawing', ...of(machine, house), trail ?? ''] : null, () =>
    tracer().drawing(machine!, house!, trail),
  );
export interface Asked {
  state: DrawnState;
  trail?: TrailId | undefined;
  faultId?: string | undefined;
  severity?: number | undefined;
}
export const useLive = (machine: Machine, house: House | undefined, { state, trail, faultId, severity }: Asked) =>
  useAnswer(machine && house ? ['live', ...of(machine, house), state, trail, faultId, severity] : null, () =>
    tracer().live(machine!, house!, state, trail, faultId, severity),
  );
/** Where the leads of these checks go; what touches no two places is left out. */
export const useLeads = (machine: Machine, house: House | undefined, checkIds: readonly string[]) =>
  useAnswer(machine && house ? ['leads', ...of(machine, house), checkIds] : null, () =>
    tracer().leads(machine!, house!, checkIds),
  );
export const useAdvice = (machine: Machine, house: House | undefined) =>
  useAnswer(machine && house ? ['advice', ...of(machine, house)] : null, () => tracer().advice(machine!, house!));
/** Used parts against one another on this machine. Throw what the computation says. */
export const compareAlternators = (machine: MachineBody, house: House, used: readonly UsedAlternator[]) =>
  opened(tracer().alternators(machine, house, used));
export const compareStarters = (machine: MachineBody, house: House, used: readonly UsedStarter[]) =>
  opened(tracer().starters(machine, house, used));
/** A way of wiring as a netlist. Throws what the computation says. */
export const wayNetlist = (machine: MachineBody, house: House, wayId: string): Promise<string> =>
  opened(tracer().wayNetlist(machine, house, wayId));
/**
 * Has the worker simulate a machine while somebody still says what it is brought in with, so that the first trace need
 * not. What cannot be computed is told when it is asked for.
 */
export function useReady(machine: MachineBody | undefined, house: House | undefined, complaint: Complaint): void {
  const asked = machine && house ? JSON.stringify([...of(machine, house), complaint]) : undefined;
  useEffect(() => {
    if (asked)
      void tracer()
        .ready(machine!, house!, complaint)
        .catch(() => undefined);
    // What is asked for is in its name.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [asked]);
}
export const useModel = (machine: MachineBody | undefined, house: House | undefined) =>
  useAnswer(machine && house ? keys.model(machine, house) : null, () => tracer().model(machine!, house!));
