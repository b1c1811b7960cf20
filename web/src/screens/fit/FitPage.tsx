import { ArrowLeft } from 'lucide-react';
import { useParams } from 'react-router';
import { useHouse, useMachine } from '../../api/hooks.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { useAdvice } from '../../tracer/useTracer.ts';
import { LinkButton } from '../../ui/LinkButton.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { AlternatorsPanel } from './AlternatorsPanel.tsx';
import { ExcitingPanel } from './ExcitingPanel.tsx';
import { StartersPanel } from './StartersPanel.tsx';
import { WaysPanel } from './WaysPanel.tsx';

/** What to fit to one machine where the part it was made with can no longer be had, or is not worth having. */
export function FitPage() {
  const { id } = useParams();
  const stored = useMachine(id);
  const house = useHouse().data?.house;
  const machine = stored.data?.id === id ? stored.data?.machine : undefined;
  const advice = useAdvice(machine, house);
  usePageTitle(machine ? `What to fit to ${machine.name}` : 'What to fit');
  if (stored.error && !stored.data) return <Failed error={stored.error} retry={() => void stored.mutate()} />;
  if (advice.error) return <Failed error={advice.error} retry={() => void advice.mutate()} />;
  if (!machine || !house || !advice.data) return <Loading what="Working out what fits" />;
  const { ways, exciting, compares } = advice.data;
  const some = ways.length > 0 || exciting || compares.alternators || compares.starters;
  return (
    <div className="grid gap-3 p-3 sm:p-5">
      <div className="flex flex-wrap items-center gap-3">
        <LinkButton to={`/machines/${id}`}>
          <ArrowLeft aria-hidden className="size-5" /> {machine.name}
        </LinkButton>
        <h1 className="text-2xl">What to fit to it</h1>
      </div>
      {!some && (
        <p className="card p-4">
          Tell Pondu what turns this machine and what charges it, on its page: then it works out here which regulator,
          lamp, starter or alternator will do.
        </p>
      )}
      {ways.length > 0 && <WaysPanel machine={machine} house={house} advice={advice.data} />}
      {exciting && <ExcitingPanel exciting={exciting} best={exciting[advice.data.bestExciting ?? -1]} />}
      {compares.alternators && <AlternatorsPanel machine={machine} house={house} draftKey={`fit.alternators.${id}`} />}
      {compares.starters && <StartersPanel machine={machine} house={house} draftKey={`fit.starters.${id}`} />}
    </div>
  );
}
