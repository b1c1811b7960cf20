import { freeProbeId, type FreeProbe, type JobEvent, type ModelView, type TrailName, looksDrowned } from '@pondu/core';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useSearchParams } from 'react-router';
import { useModel, useRuler, useTrace } from '../../tracer/useTracer.ts';
import { Failed, Loading } from '../../ui/States.tsx';
import { TrailKey } from '../../trailMap/TrailMap.tsx';
import { TrailLine, TrailLines } from '../../trailMap/TrailLines.tsx';
import { CheckCard } from './CheckCard.tsx';
import { CheckList } from './CheckList.tsx';
import { PhotosPanel } from '../photos/PhotosPanel.tsx';
import { lastHeard } from '../../words/aloud.ts';
import { nowOf } from './jobInput.ts';
import { ProbePanel } from './ProbePanel.tsx';
import { probeOf } from './probeParam.ts';
import { Log } from './Log.tsx';
import type { JobPlace } from './place.ts';
import { RoundSheet } from './RoundSheet.tsx';
import { showsVacuum } from '../../ruler/gaugeUnit.ts';
import { SoakPanel } from './SoakPanel.tsx';
import { ClearingPanel } from './ClearingPanel.tsx';
import { MinutesPanel } from './MinutesPanel.tsx';
import { WavePanel } from './WavePanel.tsx';
import { Suspects } from './Suspects.tsx';
import { ProbePicker } from './ProbePicker.tsx';
import { tapsOf } from './taps.ts';
import { useProbing } from './useProbing.ts';
import { useReadingEntry } from './useReadingEntry.ts';
import { VerdictBanner } from './VerdictBanner.tsx';

/** Why a check that somebody opened is not among those proposed. */
function unproposed(checkId: string, checks: ModelView['checks'], events: readonly JobEvent[]): string {
  if (events.some((e) => e.type === 'reading' && e.reading.checkId === checkId))
    return 'Done before. The same again tells that the leads had not slipped, and little more.';
  if (events.some((e) => e.type === 'aside' && e.aside.checkId === checkId))
    return 'Set aside: it told nothing. A reading of it counts all the same.';
  const own = checks.find((c) => c.check.id === checkId);
  if (own && !own.owned)
    return `Not proposed: no ${own.check.instrument} here. A reading that was taken counts all the same.`;
  return own?.check.running ? 'Not proposed: the engine has to run for it.' : 'Not proposed now.';
}

/** One more suspect on the ruler. */
function withAlso(old: URLSearchParams, faultId: string): URLSearchParams {
  const fresh = new URLSearchParams(old);
  if (!fresh.getAll('with').includes(faultId)) fresh.append('with', faultId);
  return fresh;
}

/** The tracing stage: trail map, next check with its ruler, suspects; the log below. */
export function TraceStage({ lookOnly = false, ...place }: JobPlace & { lookOnly?: boolean }) {
  const { stored, input, house, machine } = place;
  const [params, setParams] = useSearchParams();
  const [logOpen, setLogOpen] = useState(false);
  const [mapOpen, setMapOpen] = useState(false);
  const now = nowOf(stored);
  const trace = useTrace(input, now);
  const model = useModel(machine, house);
  const station = params.get('station') ?? undefined;
  const ranked = (trace.data?.ranked ?? []).filter((r) => !lookOnly || r.look);
  const asked = trace.data?.verdict.kind === 'second check' && !lookOnly ? trace.data.verdict.check.id : undefined;
  const next = asked ?? ranked[0]?.id;
  const chosen = params.get('check') ?? next;
  const added = params.getAll('with');
  const probe = probeOf(chosen, params, stored.events);
  const ruler = useRuler(input, chosen, added, probe);
  const free = probe && ruler.data?.check.id === chosen ? { check: ruler.data!.check, probe } : undefined;
  const correcting = params.get('corrects') ?? undefined;

  const put = (next: Record<string, string | undefined>) =>
    setParams(
      (old) => {
        const fresh = new URLSearchParams(old);
        for (const [k, v] of Object.entries(next))
          if (v === undefined) fresh.delete(k);
          else fresh.set(k, v);
        return fresh;
      },
      { replace: true },
    );
  const choose = (check: string | undefined) =>
    put({ check, station: undefined, corrects: undefined, probe: undefined });
  const probeAt = (p: FreeProbe) =>
    put({ check: freeProbeId(p), probe: JSON.stringify(p), station: undefined, corrects: undefined });

  const probing = useProbing(stored.id);
  const entry = useReadingEntry({
    place,
    now,
    checkId: chosen,
    free,
    correcting,
    below: ruler.data?.check.id === chosen && showsVacuum(ruler.data?.ruler),
    // A better check found while a reading is being typed does not take the place of the one in hand.
    begun: () => put({ check: chosen }),
    saved: () => choose(undefined),
  });
  // Leads are put on the map: it lies open for that.
  const mapShown = mapOpen || probing.lead !== undefined;
  const trailOpen = (params.get('trail') as TrailName | undefined) ?? undefined;
  const preview = useTrace(entry.previewInput, entry.conditions);

  useHotkeys('1,2,3', (event) => choose(ranked[Number(event.key) - 1]?.id), [ranked]);
  useHotkeys('l', () => setLogOpen((o) => !o));
  useHotkeys('r', (event) => {
    event.preventDefault();
    document.querySelector<HTMLElement>('[data-reading] input, [data-reading] [role=radio]')?.focus();
  });
  useHotkeys('c', () => put({ station: station === 'all' ? undefined : 'all' }), [station]);

  if (trace.error || model.error) return <Failed error={trace.error ?? model.error} />;
  if (!trace.data || !model.data) return <Loading what="Working out what each check should read" />;
  const before = entry.previewInput && preview.data && !preview.isLoading ? trace.data : undefined;
  const checks = [...model.data.checks, ...trace.data.probes.map((check) => ({ check, owned: true }))];
  const shown = before ? preview.data! : trace.data;
  const taps = lookOnly ? [] : tapsOf(model.data.checks, stored.events);
  const beside = model.data.checks.find((c) => c.check.id === chosen)?.check.beside?.what;
  const round = beside ? model.data.checks.filter((c) => c.check.beside?.what === beside) : [];
  return (
    <div className="grid gap-3 p-2 sm:p-3 lg:grid-cols-[minmax(0,1fr)_360px]">
      <section aria-label="Trail map" className="card min-w-0 px-2 lg:col-span-2 lg:pt-1 lg:pb-1.5">
        <button
          type="button"
          className="flex min-h-12 w-full items-center gap-2 px-1 text-left lg:hidden"
          aria-expanded={mapShown}
          aria-controls="trail-map"
          onClick={() => setMapOpen((o) => !o)}
        >
          <TrailLine
            model={model.data}
            states={shown.stations}
            shares={shown.trails}
            open={trailOpen}
            selected={station}
          />
          <ChevronDown aria-hidden className={`size-5 shrink-0 ${mapShown ? 'rotate-180' : ''}`} />
          <span className="sr-only">Trail map</span>
        </button>
        <div id="trail-map" className={mapShown ? 'max-lg:pb-1.5' : 'max-lg:hidden'}>
          <TrailLines
            model={model.data}
            states={shown.stations}
            shares={shown.trails}
            open={trailOpen}
            onOpen={(trail) => put({ trail, station: undefined })}
            selected={probing.lead ? undefined : station}
            onSelect={(s) => (probing.lead ? probing.tap(s) : put({ station: s === station ? undefined : s }))}
            taps={taps}
            onTap={choose}
          >
            {!probing.lead && <TrailKey />}
          </TrailLines>
          {probing.lead && (
            <ProbePicker probing={probing} stations={model.data.stations} places={model.data.probing!} />
          )}
        </div>
      </section>
      <div className="grid min-w-0 content-start gap-3">
        {station && (
          <CheckList
            heading={
              station === 'all'
                ? 'All checks'
                : `Checks at ${model.data.stations.find((s) => s.id === station)?.label ?? station}`
            }
            notOwned={new Set(model.data.checks.filter((c) => !c.owned).map((c) => c.check.id))}
            checks={model.data.checks.map((c) => c.check).filter((c) => station === 'all' || c.station === station)}
            trails={model.data.trails}
            ranked={trace.data.ranked}
            onChoose={choose}
            onClose={() => put({ station: undefined })}
          />
        )}
        {!lookOnly && <VerdictBanner trace={trace.data} place={place} />}
        {lookOnly && ranked.length === 0 && (
          <div className="card p-4">
            <p className="text-lg font-semibold">Everything has been looked at.</p>
            <p>Go on to trace: the meter comes out now.</p>
          </div>
        )}
        {chosen && ruler.data && ruler.data.check.id === chosen ? (
          <CheckCard
            stored={stored}
            {...ruler.data}
            rank={trace.data.ranked.find((r) => r.id === chosen)}
            isNext={chosen === next}
            unproposed={
              free
                ? 'Your own: the model says what it should read.'
                : unproposed(chosen, model.data.checks, stored.events)
            }
            busy={trace.isLoading}
            yard={`/jobs/${stored.id}/yard?check=${chosen}`}
            sheet={`/jobs/${stored.id}/sheet`}
            wiring={`/machines/${stored.machineId}/drawing?job=${stored.id}&check=${chosen}`}
            entry={entry}
            opened={trace.data.opened}
            heard={lastHeard(stored.events, checks)}
            alternatives={ranked.filter((r) => r.id !== chosen).slice(0, 2)}
            onChoose={choose}
            faults={model.data.faults}
            onAdd={(faultId) => setParams((old) => withAlso(old, faultId), { replace: true })}
          >
            {round.length > 1 && (
              <RoundSheet
                key={round[0]!.check.id}
                stored={stored}
                input={input}
                round={round}
                now={entry.conditions}
                gaugeUnit={entry.gaugeUnit}
              />
            )}
          </CheckCard>
        ) : ruler.error ? (
          <Failed error={ruler.error} />
        ) : (
          chosen && <Loading what="Working out the ruler" />
        )}
        {!lookOnly && stored.job.complaint.pattern === 'hot' && (
          <SoakPanel jobId={stored.id} advice={trace.data.soak} onSoaked={entry.setConditions} />
        )}
      </div>
      <Suspects jobId={stored.id} trace={shown} before={before} house={house} events={stored.events} checks={checks} />
      <WavePanel machine={machine} house={house} suspects={trace.data.suspects} />
      {model.data.drowns && looksDrowned(stored.job.complaint, stored.events) && (
        <ClearingPanel machine={machine} house={house} />
      )}
      {model.data.slow && <MinutesPanel machine={machine} house={house} suspects={trace.data.suspects} />}
      {!lookOnly && model.data.probing && (
        <div className="lg:col-span-2">
          <ProbePanel
            use={probing}
            probing={model.data.probing}
            stations={model.data.stations}
            station={station}
            onProbe={probeAt}
          />
        </div>
      )}
      <div className="lg:col-span-2">
        <PhotosPanel stored={stored} stations={model.data.stations} />
      </div>
      <Log
        place={place}
        checks={checks}
        trace={trace.data}
        open={logOpen}
        onOpenChange={setLogOpen}
        onCorrect={(checkId, readingId) => put({ check: checkId, corrects: readingId, station: undefined })}
      />
    </div>
  );
}
