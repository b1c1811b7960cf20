import type { Conditions, House, MachineBody } from '@pondu/core';
import { wrap, type Remote } from 'comlink';
import useSWR from 'swr';
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
const useAnswer = <T>(key: readonly unknown[] | null, ask: () => Promise<Answer<T>>) =>
  useSWR<T, Error>(key ? JSON.stringify(key) : null, () => opened(ask()), options);

type Input = JobInput | undefined;

export const useTrace = (input: Input, now: Conditions) =>
  useAnswer(input ? ['trace', input, now] : null, () => tracer().trace(input!, now));
export const useRuler = (input: Input, now: Conditions, checkId: string | undefined) =>
  useAnswer(input && checkId ? ['ruler', input, now, checkId] : null, () => tracer().ruler(input!, now, checkId!));
export const useCauses = (input: Input, faultId: string | undefined) =>
  useAnswer(input && faultId ? ['causes', input, faultId] : null, () => tracer().causes(input!, faultId!));
export const useProof = (input: Input) => useAnswer(input ? ['proof', input] : null, () => tracer().proof(input!));
export const useSettings = (input: Input) =>
  useAnswer(input ? ['settings', input] : null, () => tracer().settings(input!));
export const useWaves = (machine: MachineBody | undefined, house: House, faultId?: string) =>
  useAnswer(machine ? ['waves', machine.fitOut, machine.plates, house, faultId ?? ''] : null, () =>
    tracer().waves(machine!, house, faultId),
  );
export const useModel = (machine: MachineBody | undefined, house: House | undefined) =>
  useAnswer(machine && house ? ['model', machine.fitOut, machine.plates, house] : null, () =>
    tracer().model(machine!, house!),
  );
