import type { CauseView, Fix } from '@pondu/core';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import { useCauses, useTrace } from '../../tracer/useTracer.ts';
import { Button } from '../../ui/Button.tsx';
import { ShareBar } from '../../ui/ShareBar.tsx';
import { percent } from '../../words/belief.ts';
import { nowOf } from './jobInput.ts';
import type { JobPlace } from './place.ts';

interface Props {
  fix: Fix;
  place: JobPlace;
  faults: readonly { id: string; part: string; how: string; repairId: string }[];
}

/** Why did it fail? Each cause with its share and the check that would tell; found or ruled out is written down. */
export function CausePanel({ fix, place, faults }: Props) {
  const { stored, input } = place;
  // The belief as it stood when the repair was made says which way of failing it was.
  const upTo = stored.events.findIndex((e) => e.type === 'fix' && e.fix.id === fix.id);
  const before = useTrace({ ...input, events: stored.events.slice(0, upTo) }, nowOf(stored));
  const own = faults.filter((f) => f.repairId === fix.repairId);
  const failed = before.data?.suspects.find((s) => own.some((f) => f.id === s.faultId))?.faultId ?? own[0]?.id;
  const { data: causes } = useCauses(input, before.data && failed);
  const write = useJobWrites(stored);
  const go = useNavigate();
  const written = stored.events.flatMap((e) => (e.type === 'cause' && e.cause.faultId === failed ? [e.cause] : []));
  if (!causes || (causes.causes.length === 0 && causes.hurt.length === 0)) return null;

  async function record(cause: string, found: 'found' | 'ruled out') {
    try {
      await write('POST', '/causes', { faultId: failed, cause, found });
    } catch (error) {
      toast.error(problemOf(error).message);
    }
  }
  return (
    <section className="card p-4" aria-label={`Cause: ${causes.part.toLowerCase()} ${causes.how}`}>
      <h2 className="text-lg">
        Why: {causes.part.toLowerCase()} {causes.how}
      </h2>
      <p className="text-[14px] text-soft">The cause is put right with the part, or the new part goes the same way.</p>
      <ul className="mt-2 grid gap-3">
        {causes.causes.map((c) => {
          const known = written.findLast((w) => w.cause === c.label);
          return (
            <CauseRow
              key={c.id}
              cause={c}
              known={known?.found}
              onRecord={record}
              onCheck={(id) => void go(`/jobs/${stored.id}/trace?check=${id}`)}
            />
          );
        })}
        <li className="grid gap-1">
          <div className="flex justify-between">
            <span>Age and wear</span>
            <span>{percent(causes.age)}</span>
          </div>
          <ShareBar share={causes.age} />
          {written.some((w) => w.cause === AGE && w.found === 'found') ? (
            <b className="text-[14px]">written down</b>
          ) : (
            <Button className="justify-self-start" onClick={() => void record(AGE, 'found')}>
              It is age
            </Button>
          )}
        </li>
      </ul>
      {causes.hurt.length > 0 && (
        <div className="mt-3 border-t border-rule pt-2">
          <h3 className="text-[15px]">What it may have hurt in turn</h3>
          <ul className="grid gap-1">
            {causes.hurt.map((h) => (
              <li key={h.part} className="flex flex-wrap items-center gap-x-3">
                <span>
                  {h.part} {h.how}
                </span>
                {h.check && (
                  <Button look="quiet" onClick={() => void go(`/jobs/${stored.id}/trace?check=${h.check!.id}`)}>
                    {h.check.label}
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}

const AGE = 'Age and wear';

function CauseRow({
  cause,
  known,
  onRecord,
  onCheck,
}: {
  cause: CauseView;
  known: string | undefined;
  onRecord: (cause: string, found: 'found' | 'ruled out') => Promise<void>;
  onCheck: (checkId: string) => void;
}) {
  return (
    <li className="grid gap-1">
      <div className="flex justify-between gap-3">
        <span className="font-medium">{cause.label}</span>
        <span>{percent(cause.share)}</span>
      </div>
      <ShareBar share={cause.share} />
      <p className="text-[14px] text-soft">{cause.look}</p>
      {known && known !== 'not looked for' ? (
        <b className={`text-[14px] ${known === 'found' ? 'text-lost' : 'text-well'}`}>{known}</b>
      ) : (
        <div className="flex flex-wrap gap-2">
          {cause.check && <Button onClick={() => onCheck(cause.check!.id)}>Check: {cause.check.label}</Button>}
          <Button onClick={() => void onRecord(cause.label, 'found')}>Found</Button>
          <Button onClick={() => void onRecord(cause.label, 'ruled out')}>Ruled out</Button>
        </div>
      )}
    </li>
  );
}
