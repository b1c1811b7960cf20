import type { FreeProbe } from '@pondu/core';
import { useState } from 'react';
import { useDraft } from '../../draft/useDraft.ts';

type ProbeLead = 'live' | 'earth';

const NOTHING: FreeProbe = { instrument: 'voltmeter', live: '', earth: '', state: 'key off', unplugged: [] };

/** Leads that are being placed: the probe as far as it is told, and which lead waits for a tap on the map. */
export function useProbing(jobId: string) {
  const [probe, setProbe, clear] = useDraft<FreeProbe>(`${jobId}.probe`, NOTHING);
  const [lead, setLead] = useState<ProbeLead>();
  const [station, setStation] = useState<string>();
  const put = (change: Partial<FreeProbe>) => setProbe({ ...probe, ...change });
  return {
    probe,
    put,
    clear,
    /** The lead that waits, and the station that was tapped for it. */
    lead,
    station,
    pick: (which: ProbeLead | undefined) => {
      setLead(which);
      setStation(undefined);
    },
    tap: setStation,
    /** It stands on this place: a live lead is followed by the other one, where that is not placed yet. */
    place: (id: string) => {
      put({ [lead ?? 'live']: id });
      const other = lead === 'live' && probe.instrument !== 'clamp meter' && !probe.earth;
      setLead(other ? 'earth' : undefined);
      setStation(undefined);
    },
  };
}
