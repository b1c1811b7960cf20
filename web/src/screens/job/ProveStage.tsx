import type { ProofView } from '@pondu/core';
import { isFuture } from 'date-fns';
import { CircleCheck, CircleDashed, CircleX, Thermometer } from 'lucide-react';
import { Link, useSearchParams } from 'react-router';
import { useProof, useRuler, useTrace } from '../../tracer/useTracer.ts';
import { Button } from '../../ui/Button.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { conditionsOf, wantedWords } from '../../words/proofs.ts';
import { CheckCard } from './CheckCard.tsx';
import { CloseBox, SeenTo } from './CloseBox.tsx';
import { DueBox } from './DueBox.tsx';
import { HeatBox } from './HeatBox.tsx';
import { SoakPanel } from './SoakPanel.tsx';
import { nowOf } from './jobInput.ts';
import { readingWords } from './Log.tsx';
import type { JobPlace } from './place.ts';
import { SnagPanel } from './SnagPanel.tsx';
import { useReadingEntry } from './useReadingEntry.ts';

const ICONS = {
  'to do': <CircleDashed aria-hidden className="size-6 shrink-0 text-soft" />,
  passed: <CircleCheck aria-hidden className="size-6 shrink-0 text-well" />,
  failed: <CircleX aria-hidden className="size-6 shrink-0 text-danger" />,
  'wrong conditions': <Thermometer aria-hidden className="size-6 shrink-0 text-warn" />,
} as const satisfies Record<ProofView['state'], unknown>;

/** It cannot be taken yet: it must stand first. */
const waits = ({ soonest }: ProofView): boolean => soonest !== undefined && isFuture(new Date(soonest));

export function ProveStage(place: JobPlace) {
  const { stored, input } = place;
  const proof = useProof(input);
  const trace = useTrace(input, nowOf(stored));
  const [params, setParams] = useSearchParams();
  const proofs = proof.data?.proofs ?? [];
  const open = proofs.filter((p) => p.state !== 'passed');
  // What must stand until tomorrow comes last.
  const chosen = params.get('check') ?? (open.find((p) => !waits(p)) ?? open[0])?.check.id;
  const ruler = useRuler(input, chosen);
  const own = proofs.filter((p) => p.check.id === chosen);
  const current = own.find((p) => p.state !== 'passed') ?? own[0];
  const wanted = current?.wanted;
  const hot = wanted?.warmth === 'hot';
  const now = {
    faultPresent: 'no' as const,
    warmth: wanted?.warmth ?? nowOf(stored).warmth,
    ...(wanted?.under ? { under: wanted.under } : {}),
  };
  const entry = useReadingEntry({
    place,
    now,
    checkId: chosen,
    correcting: undefined,
    saved: () => setParams({}, { replace: true }),
  });
  if (proof.error) return <Failed error={proof.error} />;
  if (!proof.data) return <Loading what="Working out what must pass" />;
  const fixed = stored.events.some((e) => e.type === 'fix');
  return (
    <div className="grid gap-3 p-3 sm:p-5 lg:grid-cols-[360px_minmax(0,1fr)]">
      <div className="grid content-start gap-3">
        <section className="card p-4" aria-label="Prove-out">
          <h2 className="text-xl">Prove it</h2>
          <p className="text-soft">
            What failed must pass, in the conditions of the complaint
            {conditionsOf(proofs).length > 0 && `: ${conditionsOf(proofs).join('; ')}`}; and a spark on every cylinder.
          </p>
          {!fixed && (
            <p className="mt-2 rounded bg-warn-wash p-2 text-warn">
              No repair is written down yet.{' '}
              <Link className="underline" to={`/jobs/${stored.id}/repair`}>
                Write it down
              </Link>{' '}
              first, so that it is known what is being proved.
            </p>
          )}
          <ul className="mt-3 grid gap-2">
            {proofs.map((p, k) => (
              <li key={k}>
                <Button
                  className={`w-full !justify-start text-left ${p === current ? '!border-ink !border-2' : ''}`}
                  onClick={() => setParams({ check: p.check.id }, { replace: true })}
                >
                  {ICONS[p.state]}
                  <span className="grow py-1">
                    {p.check.label}
                    <span className="condensed block text-[13.5px] text-soft">
                      {p.before && <>was {readingWords(p.before, p.check)}, </>}
                      {p.reading ? <>now {readingWords(p.reading, p.check)}</> : p.why}
                      {p.state !== 'passed' && wantedWords(p.wanted) && `: take it ${wantedWords(p.wanted)}`}
                    </span>
                  </span>
                </Button>
              </li>
            ))}
          </ul>
        </section>
        <SeenTo place={place} seenTo={proof.data.seenTo} />
        <HeatBox stored={stored} proofs={proofs} />
        <DueBox place={place} proofs={proofs} />
        <CloseBox place={place} proven={proof.data.proven} />
      </div>
      <div className="grid min-w-0 content-start gap-3">
        {hot && <SoakPanel jobId={stored.id} advice={null} onSoaked={entry.setConditions} />}
        {chosen && ruler.data?.check.id === chosen && (
          <CheckCard
            stored={stored}
            {...ruler.data}
            rank={trace.data?.ranked.find((r) => r.id === chosen)}
            isNext={false}
            proving
            entry={entry}
            opened={trace.data?.opened ?? []}
            alternatives={[]}
            onChoose={() => undefined}
          />
        )}
        <SnagPanel stored={stored} />
      </div>
    </div>
  );
}
