import type { DrawnState, TrailId } from '@pondu/core';
import { ArrowLeft, Download, Printer } from 'lucide-react';
import { useParams, useSearchParams } from 'react-router';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { warmUp } from '../../drawing/useLaid.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { LinkButton } from '../../ui/LinkButton.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { DrawingTable } from './DrawingTable.tsx';
import { PartPanel } from './PartPanel.tsx';
import { Sheet } from './Sheet.tsx';
import { saveSvg } from './saveSvg.ts';
import { useDrawingPage } from './useDrawingPage.ts';
import { stateWords, WIRED_TRAILS } from './words.ts';

warmUp();

/** The machine's own wiring, made from the network that is solved, with its volts and amperes in the chosen state. */
export function DrawingPage() {
  const { id } = useParams();
  const [params, setParams] = useSearchParams();
  const page = useDrawingPage(id, params);
  const { machine, view, laid, error } = page;
  usePageTitle(machine ? `Wiring of ${machine.name}` : 'Wiring');
  const put = (name: string, value: string | undefined) =>
    setParams(
      (now) => {
        if (value === undefined || value === '') now.delete(name);
        else now.set(name, value);
        return now;
      },
      { replace: true },
    );
  if (error) return <Failed error={error} />;
  if (!machine || !view) return <Loading what="Drawing the wiring" />;
  const trails = WIRED_TRAILS.filter(({ value }) => machine.fitOut.trails.some((t) => t.trail === value));
  const job = params.get('job');
  return (
    <div className="wide-page grid gap-3 p-3 sm:p-4 print:p-0">
      <div className="no-print flex flex-wrap items-center gap-3">
        <LinkButton to={job ? `/jobs/${job}/trace` : `/machines/${id}`}>
          <ArrowLeft aria-hidden className="size-5" /> {job ? 'Back to the job' : machine.name}
        </LinkButton>
        <h1 className="grow text-2xl">Wiring</h1>
        <Button onClick={() => saveSvg(document.querySelector('#wiring'), `${machine.name} wiring`)} disabled={!laid}>
          <Download aria-hidden className="size-5" /> <span className="max-sm:sr-only">SVG</span>
        </Button>
        <Button onClick={() => print()}>
          <Printer aria-hidden className="size-5" /> <span className="max-sm:sr-only">Print</span>
        </Button>
      </div>
      <div className="no-print flex flex-wrap items-end gap-x-6 gap-y-2">
        {trails.length > 1 && (
          <Choice
            label="Trail"
            value={page.trail ?? 'all'}
            options={[{ value: 'all', label: 'All' }, ...trails]}
            onChange={(trail: TrailId | 'all') => put('trail', trail === 'all' ? undefined : trail)}
          />
        )}
        <Choice
          label="State"
          value={page.state}
          options={view.states.map((value) => ({ value, label: stateWords(value, view.states) }))}
          onChange={(state: DrawnState) => put('state', state)}
        />
      </div>
      <p className="hidden print:block">
        {machine.name} · {stateWords(page.state, view.states)} · {page.faultLabel ?? 'when well'} ·{' '}
        {new Date().toLocaleDateString()}
      </p>
      {laid ? (
        <Sheet page={page} onPick={(part) => put('part', part === page.picked ? undefined : part)} />
      ) : (
        <Loading what="Laying it out" />
      )}
      <PartPanel page={page} put={put} />
      {laid && <DrawingTable page={page} />}
    </div>
  );
}
