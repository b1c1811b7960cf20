import { isGrave, type CautionId, type JobEvent } from '@pondu/core';
import { useState } from 'react';
import { toast } from 'sonner';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredJob } from '../../api/types.ts';

export interface Care {
  /** Those that stand in full and ask. */
  fresh: readonly CautionId[];
  understand: () => void;
}

/** The check or the repair that an event is of. */
const doneOf = (event: JobEvent): string | undefined =>
  event.type === 'reading' ? event.reading.checkId : event.type === 'fix' ? event.fix.repairId : undefined;

/**
 * Which cautions of a check, a repair or a bench still ask. On a job each is asked once, and kept as an event; what is
 * grave asks each time, `about` says of what.
 */
export function useCare(stored: StoredJob, ids: readonly CautionId[], about: string): Care {
  const write = useJobWrites(stored);
  const turn = `${about} ${stored.events.filter((e) => doneOf(e) === about).length}`;
  const [here, setHere] = useState<{ turn: string; understood: readonly CautionId[] }>({ turn, understood: [] });
  // Whoever does it once more, or comes back to it later, is asked again.
  if (here.turn !== turn) setHere({ turn, understood: [] });
  const before = new Set(stored.events.flatMap((e) => (e.type === 'care' ? e.care.cautions : [])));
  const fresh = ids.filter((id) => !here.understood.includes(id) && (isGrave(id) || !before.has(id)));
  const understand = () => {
    setHere({ turn, understood: [...here.understood, ...fresh] });
    write('POST', '/cares', { cautions: fresh, about }).catch((error: unknown) => {
      toast.error(`Not written down that it was understood: ${problemOf(error).message}`);
    });
  };
  return { fresh, understand };
}
