import type { CautionId } from '@pondu/core';
import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { Button } from '../../ui/Button.tsx';
import { CAUTIONS } from '../../words/cautions.ts';

const KEY = 'pondu.understood';
/** Once understood a caution keeps quiet for this long on this device; then it is shown in full again. */
const QUIET_MS = 12 * 3600_000;

/** Cautions understood lately. */
function read(): Record<string, number> {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Record<string, number>;
    return Object.fromEntries(Object.entries(kept).filter(([, at]) => Date.now() - at < QUIET_MS));
  } catch {
    return {};
  }
}

/** Which of these cautions have not been understood lately, and how they are. */
export function useUnderstood(ids: readonly CautionId[]): { fresh: readonly CautionId[]; understand: () => void } {
  const [known, setKnown] = useState(read);
  const understand = () => {
    const next = { ...read(), ...Object.fromEntries(ids.map((id) => [id, Date.now()])) };
    localStorage.setItem(KEY, JSON.stringify(next));
    setKnown(next);
  };
  return { fresh: ids.filter((id) => !(id in known)), understand };
}

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
          <Button className="justify-self-start" onClick={onUnderstood}>
            Understood
          </Button>
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

/** Of a repair or a bench: asked once, then one line. */
export function BenchCare({ ids }: { ids: readonly CautionId[] }) {
  const { fresh, understand } = useUnderstood(ids);
  return ids.length === 0 ? null : (
    <div className="no-print mb-3">
      <Cautions ids={ids} fresh={fresh} onUnderstood={understand} />
    </div>
  );
}
