import type { CautionId } from '@pondu/core';
import { TriangleAlert } from 'lucide-react';
import { Button } from '../../ui/Button.tsx';
import type { StoredJob } from '../../api/types.ts';
import { CAUTIONS } from '../../words/cautions.ts';
import { useCare } from './useCare.ts';

interface Props {
  ids: readonly CautionId[];
  /** Those that stand in full and ask. */
  fresh: readonly CautionId[];
  onUnderstood: () => void;
}

/** Beside the check, before it can be recorded: what is new in full, what was understood in one quiet line that opens. */
export function Cautions({ ids, fresh, onUnderstood }: Props) {
  const quiet = ids.filter((id) => !fresh.includes(id));
  return (
    <>
      {fresh.length > 0 && (
        <div role="note" className="grid gap-2 rounded-lg border-[1.5px] border-warn bg-warn-wash p-3 text-[15px]">
          {/* In view with the first of them, however many there are: nobody scrolls to go on. */}
          <div className="flex items-center justify-between gap-3">
            <p className="font-semibold">Before you begin</p>
            <Button onClick={onUnderstood}>Understood</Button>
          </div>
          <ul className="grid gap-1">
            {fresh.map((id) => (
              <li key={id} className="flex gap-2">
                <TriangleAlert aria-hidden className="mt-0.5 size-4 shrink-0 text-warn" />
                <span>
                  <b className="inline-block first-letter:uppercase">{id}.</b> {CAUTIONS[id]}
                </span>
              </li>
            ))}
          </ul>
        </div>
      )}
      {quiet.length > 0 && (
        <details className="text-[14px] text-warn">
          <summary className="flex min-h-8 cursor-pointer items-center gap-1.5">
            <TriangleAlert aria-hidden className="size-4" /> Mind: {quiet.join(', ')}
          </summary>
          <ul className="list-disc pl-6">
            {quiet.map((id) => (
              <li key={id}>{CAUTIONS[id]}</li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

/** Of a repair or a bench, by its id: asked once on a job, what is grave each time; then one line. */
export function BenchCare({ stored, ids, about }: { stored: StoredJob; ids: readonly CautionId[]; about: string }) {
  const { fresh, understand } = useCare(stored, ids, about);
  return ids.length === 0 ? null : (
    <div className="no-print mb-3">
      <Cautions ids={ids} fresh={fresh} onUnderstood={understand} />
    </div>
  );
}
