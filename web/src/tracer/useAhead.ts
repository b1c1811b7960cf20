import { unpacked } from '@pondu/core';
import { useEffect } from 'react';
import { useSWRConfig } from 'swr';
import { call } from '../api/client.ts';
import type { JobInput } from './worker.ts';
import { keys } from './useTracer.ts';

interface Sent {
  stand: string;
  /** The answer packed as text. */
  packed: string;
}

/** Machines whose simulation this page has asked its worker for. */
const asked = new Set<string>();

/**
 * Puts what the workshop has worked out ahead in the place of what this page's worker is still simulating: the answer
 * to the same facts is the same, so whichever comes first is shown. `stand` names the versions that are on screen;
 * undefined while something waits here that the workshop does not know.
 */
export function useAhead(jobId: string, stand: string | undefined, input: JobInput | undefined): void {
  const { mutate } = useSWRConfig();
  const machine = input && JSON.stringify(keys.model(input.machine, input.house));
  useEffect(() => {
    if (!input || !machine || stand === undefined || asked.has(machine)) return;
    asked.add(machine);
    const put = (key: readonly unknown[], value: unknown) => mutate(JSON.stringify(key), value, { revalidate: false });
    void call<Sent | undefined>('GET', `/jobs/${jobId}/ahead`)
      .then(async (sent) => {
        // Not worked out yet: the worker's own answer comes.
        if (sent?.stand !== stand || !sent) return;
        const ahead = unpacked(sent.packed);
        await put(keys.model(input.machine, input.house), ahead.model);
        if (ahead.ruler) await put(keys.ruler(input, ahead.ruler.check.id), ahead.ruler);
        await put(keys.trace(input, ahead.now), ahead.trace);
      })
      // No signal: likewise.
      .catch(() => undefined);
  }, [input, jobId, machine, mutate, stand]);
}
