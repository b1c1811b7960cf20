import { tell, type JobEvent, type ModelView } from '@pondu/core';
import type { Tap } from '../../trailMap/TrailMap.tsx';

/** What else hangs on this machine's feeds, each with what it did when it was last tried. */
export function tapsOf(checks: ModelView['checks'], events: readonly JobEvent[]): Tap[] {
  const { readings } = tell(events);
  return checks.flatMap(({ check }): Tap[] => {
    if (check.tap === null) return [];
    const last = readings.findLast((r) => r.reading.checkId === check.id)?.reading.value;
    return [
      {
        checkId: check.id,
        label: check.tap,
        joins: check.station,
        word: last?.kind === 'word' ? last.word : undefined,
      },
    ];
  });
}
