import { Download, Plus, Printer, Waypoints } from 'lucide-react';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { call } from '../../api/client.ts';
import { useHouse, useMachine, useMachineBook, useMachineSnags } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { Button } from '../../ui/Button.tsx';
import { LinkButton } from '../../ui/LinkButton.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { useAdvice, useBook, useModel } from '../../tracer/useTracer.ts';
import { BenchesPanel } from '../book/BenchesPanel.tsx';
import { BookPanel } from '../book/BookPanel.tsx';
import { DuePanel } from '../book/DuePanel.tsx';
import { SeriesPanel } from '../book/SeriesPanel.tsx';
import { SnagOrder } from '../book/SnagOrder.tsx';
import { WiresPanel } from '../book/WiresPanel.tsx';
import { BalancePanel } from './BalancePanel.tsx';
import { CircuitPanel } from './CircuitPanel.tsx';
import { fitOutWords } from './fitOutWords.ts';
import { MachineForm } from './MachineForm.tsx';
import { PlateTable } from './PlateTable.tsx';

export function MachinePage() {
  const { id } = useParams();
  const stored = useMachine(id);
  const house = useHouse();
  const snags = useMachineSnags(id).data ?? [];
  const model = useModel(stored.data?.machine, house.data?.house);
  const jobs = useMachineBook(id);
  const [opened] = useState(() => new Date().toISOString());
  const book = useBook(stored.data?.machine, house.data?.house, jobs.data, opened);
  // Only a machine whose regulator was wired by such a way asks for the ways' circuits.
  const rewired = book.data?.adapted.some(({ fix }) => fix.way !== undefined);
  const advice = useAdvice(rewired ? stored.data?.machine : undefined, house.data?.house);
  const [editing, setEditing] = useState(false);
  const { mutate } = useSWRConfig();
  const go = useNavigate();
  usePageTitle(stored.data?.machine.name ?? 'Machine');
  if (stored.error && !stored.data) return <Failed error={stored.error} retry={() => void stored.mutate()} />;
  if (!stored.data || !house.data || stored.data.id !== id) return <Loading what="Fetching the machine" />;
  const { machine, awayAt } = stored.data;

  async function bringBack() {
    try {
      await call('POST', `/machines/${id}/restore`);
      await mutate(`/machines/${id}`);
    } catch (error) {
      toast.error(problemOf(error).message);
    }
  }
  async function putAway() {
    try {
      await call('DELETE', `/machines/${id}`);
      void go('/machines');
      toast('Machine put away with its jobs.', { action: { label: 'Undo', onClick: () => void bringBack() } });
    } catch (error) {
      toast.error(problemOf(error).message);
    }
  }
  return (
    <div className="grid gap-3 p-3 sm:p-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <section className="card grid gap-3 p-4 lg:col-span-2" aria-label="Fit-out">
        <div className="flex flex-wrap items-start gap-3">
          <div className="grow">
            <h1 className="text-2xl" translate="no">
              {machine.name}
            </h1>
            <p className="text-soft">{[machine.kind, machine.maker, machine.year].filter(Boolean).join(' · ')}</p>
            <p>{fitOutWords(machine.fitOut)}</p>
            {machine.firingOrder && <p>Firing order {machine.firingOrder}</p>}
            {machine.notes && (
              <p className="mt-1 max-w-prose whitespace-pre-wrap" translate="no">
                {machine.notes}
              </p>
            )}
          </div>
          {awayAt === null && (
            <>
              <LinkButton to={`/new?machine=${id}`} look="do">
                <Plus aria-hidden className="size-5" /> New job
              </LinkButton>
              <Button onClick={() => setEditing(!editing)} aria-expanded={editing}>
                Change
              </Button>
            </>
          )}
          <LinkButton to={`/machines/${id}/drawing`}>
            <Waypoints aria-hidden className="size-5" /> Wiring
          </LinkButton>
          <a
            className="inline-flex min-h-12 items-center gap-2 rounded-lg border-[1.5px] border-soft px-4 hover:bg-sunk"
            href={`/api/machines/${id}/export?photos=true`}
            download
          >
            <Download aria-hidden className="size-5" /> File, with photos
          </a>
          <Button onClick={() => print()}>
            <Printer aria-hidden className="size-5" /> Print
          </Button>
          {awayAt === null && <Button onClick={() => void putAway()}>Put away</Button>}
        </div>
        {awayAt !== null && (
          <div className="flex flex-wrap items-center gap-3 rounded-lg bg-warn-wash p-3 text-warn">
            <p className="grow font-medium">This machine is put away with its jobs.</p>
            <Button onClick={() => void bringBack()}>Bring it back</Button>
          </div>
        )}
        {model.data?.unsolved.map(({ figure, words }) => (
          <p key={figure} role="alert" className="font-medium text-danger">
            {words}
          </p>
        ))}
        {editing && (
          <MachineForm
            stored={stored.data}
            draftKey={`machine.${id}`}
            onSaved={() => {
              void stored.mutate();
              setEditing(false);
            }}
            onCancel={() => setEditing(false)}
          />
        )}
      </section>
      <div className="grid min-w-0 content-start gap-3 lg:col-span-2">
        {book.error && <Failed error={book.error} />}
        {book.data && <BookPanel book={book.data} ways={advice.data?.ways} currency={house.data.house.currency} />}
        {jobs.data && <BenchesPanel jobs={jobs.data} />}
        <WiresPanel stored={stored.data} />
      </div>
      <PlateTable stored={stored.data} house={house.data.house} onSaved={() => void stored.mutate()} />
      <div className="grid min-w-0 content-start gap-3">
        <DuePanel stored={stored.data} due={book.data?.due ?? []} />
        <SnagOrder stored={stored.data} snags={snags} />
        {book.data && <SeriesPanel series={book.data.series} />}
        {model.data?.balance && <BalancePanel balance={model.data.balance} />}
        {machine.fitOut.trails.some((t) => t.trail !== 'spark') && (
          <LinkButton to={`/machines/${id}/fit`}>What to fit to it</LinkButton>
        )}
        {model.data && <CircuitPanel machineId={stored.data.id} faults={model.data.faults} />}
      </div>
    </div>
  );
}
