import { useEffect } from 'react';
import { get } from '../../api/client.ts';
import type { JobRow } from '../../api/types.ts';
import { link } from '../../offline/link.ts';
import { recall } from '../../offline/seen.ts';

interface Versioned {
  version: number;
}

/** One after the other, so that a phone in use hardly notices. */
async function fetchAll(rows: readonly JobRow[], gone: () => boolean): Promise<void> {
  const machines = new Set<string>();
  for (const { id, machineId, version } of rows) {
    if (gone() || link.state === 'gone') return;
    const seen = (await recall(`/jobs/${id}`)) as Versioned | undefined;
    if (seen?.version !== version) await get(`/jobs/${id}`).catch(() => undefined);
    if (machines.has(machineId)) continue;
    machines.add(machineId);
    if ((await recall(`/machines/${machineId}`)) === undefined)
      await get(`/machines/${machineId}`).catch(() => undefined);
  }
}

const SETTLED_MS = 1500;

/** Fetches the open jobs with their machines once the bays are up, so that each opens when the signal has gone. */
export function useAtHand(rows: readonly JobRow[] | undefined): void {
  useEffect(() => {
    if (!rows) return;
    let left = false;
    const timer = setTimeout(() => void fetchAll(rows, () => left), SETTLED_MS);
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [rows]);
}
