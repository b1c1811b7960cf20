import { photosOf } from '@pondu/core';
import { format } from 'date-fns';
import { Printer } from 'lucide-react';
import { useParams } from 'react-router';
import { useHouse, useJob, useMachine } from '../../api/hooks.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { useModel, useProof, useSettings, useTrace, useWells } from '../../tracer/useTracer.ts';
import { Button } from '../../ui/Button.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { moneyWords } from '../../words/belief.ts';
import { AGO, complaintWords, WORK } from '../../words/complaint.ts';
import { CardReadings } from './CardReadings.tsx';
import { benchesOf, CardBenches } from './CardBenches.tsx';
import { CardStations } from './CardStations.tsx';
import { CardSection } from './CardSection.tsx';
import { inputOf, nowOf } from './jobInput.ts';
import { SEEN_TO, wantedWords } from '../../words/proofs.ts';
import { PinnedPicture } from '../photos/PinnedPicture.tsx';
import { bySeverity } from './SnagPanel.tsx';
import { Spine } from './Spine.tsx';
import { showQuantity } from '../../units/quantity.ts';

const UNKNOWN = { warmth: 'unknown', faultPresent: 'unknown' } as const;

/** The job card: prints on A4 and Letter. */
export function JobCardPage() {
  const { id } = useParams();
  const job = useJob(id);
  const machine = useMachine(job.data?.machineId);
  const house = useHouse();
  usePageTitle(machine.data ? `Job card: ${machine.data.machine.name}` : 'Job card');
  const ready = job.data && machine.data && house.data;
  const input = ready ? inputOf(job.data!, machine.data!.machine, house.data!.house) : undefined;
  const model = useModel(machine.data?.machine, house.data?.house);
  const proof = useProof(input);
  const settings = useSettings(input);
  const trace = useTrace(input, job.data ? nowOf(job.data) : UNKNOWN);
  const read = job.data ? job.data.events.flatMap((e) => (e.type === 'reading' ? [e.reading.checkId] : [])) : [];
  const wells = useWells(input, [...new Set(read)].sort());
  const error = job.error ?? machine.error ?? house.error ?? model.error;
  if (error && !ready) return <Failed error={error} retry={() => void job.mutate()} />;
  if (!ready || !model.data || !proof.data || !settings.data || !wells.data || !trace.data)
    return <Loading what="Writing the card" />;

  const { job: body, events, snags } = job.data!;
  const m = machine.data!.machine;
  const { currency, ratePerHour, shopName } = house.data!.house;
  const fixes = events.flatMap((e) => (e.type === 'fix' ? [e.fix] : []));
  const causes = events.flatMap((e) => (e.type === 'cause' && e.cause.found === 'found' ? [e.cause] : []));
  const minutes = fixes.reduce((sum, f) => sum + f.minutes, 0);
  const parts = fixes.reduce((sum, f) => sum + f.money, 0);
  const shownPhotos = photosOf(events).filter((p) => p.onCard);
  const left = settings.data.filter((s) => s.setting);
  const benches = benchesOf(events);
  return (
    <>
      <div className="no-print flex flex-wrap items-center gap-x-4 border-b border-rule bg-panel px-3 sm:px-5">
        <h1 className="condensed py-1 text-[17px]">{m.name}</h1>
        <Spine stored={job.data!} shown="closed" />
        <div className="grow" />
        <Button onClick={() => print()}>
          <Printer aria-hidden className="size-5" /> Print
        </Button>
      </div>
      <article className="mx-auto my-4 max-w-[820px] bg-panel p-5 text-[15px] sm:p-8 print:m-0 print:max-w-none print:p-0 print:text-[11pt]">
        <header className="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-2">
          <div>
            <p className="tag">{shopName} · job card</p>
            <h2 className="text-2xl">{m.name}</h2>
            <p>{[m.kind, m.maker, m.year].filter(Boolean).join(' · ')}</p>
          </div>
          <p className="text-right">
            opened {format(new Date(body.openedAt), 'd MMMM yyyy')}
            <br />
            {body.closedAt ? (
              `closed ${format(new Date(body.closedAt), 'd MMMM yyyy')}`
            ) : (
              <b className="text-warn">still open</b>
            )}
          </p>
        </header>
        <CardSection title="Complaint">
          <p className="font-semibold">{complaintWords(body.complaint)}</p>
          {body.complaint.words && <p translate="no">“{body.complaint.words}”</p>}
          {body.complaint.since && <p>Since: {body.complaint.since}</p>}
          {body.complaint.before && <p>Done just before: {body.complaint.before}</p>}
          {(body.complaint.recent ?? []).map((r) => (
            <p key={r.station}>
              {model.data!.stations.find((s) => s.id === r.station)?.label ?? r.station}: {WORK[r.what]}, {AGO[r.ago]}
            </p>
          ))}
        </CardSection>
        <CardSection title="Readings">
          <CardReadings
            events={events}
            checks={[...model.data.checks, ...trace.data.probes.map((check) => ({ check }))]}
            trails={model.data.trails}
            wells={wells.data}
          />
        </CardSection>
        {read.length > 0 && (
          <CardSection title="How far it is known">
            <CardStations stations={model.data.stations} states={trace.data.stations} />
            {trace.data.besides.map((b) => (
              <p key={b.faultId}>
                Found wrong besides: {b.part.toLowerCase()} {b.how}
              </p>
            ))}
          </CardSection>
        )}
        <CardSection title="Repair">
          {fixes.length === 0 ? (
            <p>None written down.</p>
          ) : (
            <table className="w-full">
              <thead>
                <tr className="tag text-left">
                  <th>What</th>
                  <th>How</th>
                  <th>Parts</th>
                  <th className="w-14 text-right">min</th>
                  <th className="w-14 text-right">{currency}</th>
                </tr>
              </thead>
              <tbody>
                {fixes.map((f) => (
                  <tr key={f.id} className="border-t border-rule align-top">
                    <td>
                      {f.what}
                      {f.temporary && <b> (temporary)</b>}
                      {f.wiring && (
                        <p className="whitespace-pre-wrap" translate="no">
                          Wired: {f.wiring}
                        </p>
                      )}
                    </td>
                    <td>{f.how}</td>
                    <td>{[f.parts, f.partNumber, f.source].filter(Boolean).join(', ')}</td>
                    <td className="text-right">{f.minutes}</td>
                    <td className="text-right">{Math.round(f.money)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {causes.map((c) => (
            <p key={c.id} className="mt-1">
              Cause: {c.cause}
            </p>
          ))}
          {fixes.length > 0 && (
            <p className="mt-2">
              {minutes} min at {moneyWords(ratePerHour, currency)}/h and parts:{' '}
              <b>{moneyWords(parts + (minutes * ratePerHour) / 60, currency)}</b>
            </p>
          )}
        </CardSection>
        {left.length > 0 && (
          <CardSection title="Settings">
            <ul>
              {left.map((s) => (
                <li key={s.figure}>
                  {s.label}:{' '}
                  {s.setting!.foundAt !== null && <>found at {showQuantity(s.setting!.foundAt, s.dimension)}, </>}left
                  at <b>{showQuantity(s.setting!.leftAt, s.dimension)}</b>
                </li>
              ))}
            </ul>
          </CardSection>
        )}
        {benches.length > 0 && (
          <CardSection title="At the bench">
            <CardBenches benches={benches} />
          </CardSection>
        )}
        <CardSection title="Proof">
          <ul>
            {proof.data.seenTo.map((c) => (
              <li key={c.id}>
                {SEEN_TO[c.id].label}: <b>{c.done ? 'seen to' : 'to do'}</b>
              </li>
            ))}
            {proof.data.proofs.map((p, k) => (
              <li key={k}>
                {p.check.label}: <b>{p.state}</b>
                {wantedWords(p.wanted) && ` (${wantedWords(p.wanted)})`}
              </li>
            ))}
          </ul>
          {body.closedBecause && <p className="font-semibold text-warn">Closed unproved: {body.closedBecause}</p>}
        </CardSection>
        {shownPhotos.length > 0 && (
          <CardSection title="Photos">
            <div className="grid grid-cols-2 gap-3">
              {shownPhotos.map((p) => (
                <figure key={p.picture} className="m-0 break-inside-avoid">
                  <PinnedPicture jobId={job.data!.id} photo={p} pins={p.pins} />
                  <figcaption>
                    {p.words}
                    {p.pins.map((pin, k) => (
                      <span key={k} className="block text-[14px]">
                        {k + 1}: {pin.words}
                      </span>
                    ))}
                  </figcaption>
                </figure>
              ))}
            </div>
          </CardSection>
        )}
        {snags.length > 0 && (
          <CardSection title="Noticed and left alone">
            <ul>
              {bySeverity(snags).map((s) => (
                <li key={s.id}>
                  {s.what} <span className="tag">({s.done ? 'done since' : s.weight})</span>
                </li>
              ))}
            </ul>
          </CardSection>
        )}
      </article>
    </>
  );
}
