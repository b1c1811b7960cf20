import { useSearchParams } from 'react-router';
import { useMachine } from '../../api/hooks.ts';
import { useModel, useTrace } from '../../tracer/useTracer.ts';
import { Button } from '../../ui/Button.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { moneyWords } from '../../words/belief.ts';
import { WiresPanel } from '../book/WiresPanel.tsx';
import { PhotosPanel } from '../photos/PhotosPanel.tsx';
import { CausePanel } from './CausePanel.tsx';
import { FixForm } from './FixForm.tsx';
import { nowOf } from './jobInput.ts';
import type { JobPlace } from './place.ts';
import { SnagPanel } from './SnagPanel.tsx';
import { useMoveOn } from './useMoveOn.ts';

/** What was done about it; then why it failed. */
export function RepairStage(place: JobPlace) {
  const { stored, input, machine, house } = place;
  const trace = useTrace(input, nowOf(stored));
  const model = useModel(machine, house);
  const [params] = useSearchParams();
  const moveOn = useMoveOn(stored);
  // Wires are labelled where they come off.
  const kept = useMachine(stored.machineId);
  if (trace.error || model.error) return <Failed error={trace.error ?? model.error} />;
  if (!trace.data || !model.data) return <Loading what="Opening the repair" />;
  const fixes = stored.events.flatMap((e) => (e.type === 'fix' ? [e.fix] : []));
  const { verdict } = trace.data;
  const called = params.get('repair') ?? (verdict.kind === 'fix' ? verdict.repair.id : undefined);
  const asked = fixes.some((f) => f.repairId === called) ? undefined : called;
  return (
    <div className="grid gap-3 p-3 sm:p-5 lg:grid-cols-2">
      <FixForm key={asked} place={place} repairs={model.data.repairs} suspects={trace.data.suspects} asked={asked} />
      <div className="grid content-start gap-3">
        {fixes.length > 0 && (
          <section className="card p-4" aria-label="Done so far">
            <h2 className="text-lg">Done so far</h2>
            <ul className="mt-1 grid gap-1">
              {fixes.map((f) => (
                <li key={f.id} className="flex justify-between gap-3">
                  <span>
                    {f.what}
                    {f.temporary && <b className="text-warn"> (temporary)</b>}
                  </span>
                  <span className="shrink-0 text-soft">
                    {f.minutes} min, {moneyWords(f.money, house.currency)}
                  </span>
                </li>
              ))}
            </ul>
            <div className="mt-3 flex flex-wrap gap-2">
              <Button look="do" onClick={() => void moveOn('set up')}>
                Go on: set it up
              </Button>
              <Button onClick={() => void moveOn('trace')}>Trace on</Button>
            </div>
          </section>
        )}
        {fixes.map((f) => (
          <CausePanel key={f.id} fix={f} place={place} faults={model.data!.faults} />
        ))}
        <PhotosPanel stored={stored} stations={model.data.stations} unfolded />
        {kept.data && <WiresPanel stored={kept.data} />}
        <SnagPanel stored={stored} />
      </div>
    </div>
  );
}
