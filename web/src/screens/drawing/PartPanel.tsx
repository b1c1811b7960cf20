import { useId } from 'react';
import { amps, differs, figureOf } from '../../drawing/figures.ts';
import { Button } from '../../ui/Button.tsx';
import { SelectField } from '../../ui/Field.tsx';
import { LinkButton } from '../../ui/LinkButton.tsx';
import type { DrawingPageState } from './useDrawingPage.ts';

type Put = (name: string, value: string | undefined) => void;

/** What if: any fault of what is drawn, how bad, and what of the picked part is known. */
export function PartPanel({ page, put }: { page: DrawingPageState; put: Put }) {
  const id = useId();
  const { view, picked, fault, severity, live, suspicion, jobId, check, model } = page;
  const part = view?.drawing.parts.find((p) => p.id === picked);
  const faults = view?.faults.filter((f) => !part || f.part === part.id) ?? [];
  const options = [
    { value: '', label: part ? `Nothing wrong with the ${part.label.toLowerCase()}` : 'Nothing: all is well' },
    // A fault that is shown stays in the list when another part is picked.
    ...[...faults, ...(fault && !faults.includes(fault) ? [fault] : [])].map((f) => ({ value: f.id, label: f.label })),
  ];
  const figure = part && live && figureOf('amps', part.id, live.well, live.bad);
  const checks = part && jobId ? (model?.checks ?? []).filter((c) => c.check.station === part.station) : [];
  const changed =
    fault && live?.bad
      ? Object.keys(live.well.volts).filter((n) => differs(live.well.volts[n], live.bad!.volts[n]))
      : [];
  return (
    <section className="no-print card grid gap-3 p-4 lg:grid-cols-2" aria-label="What is drawn">
      <div className="grid content-start gap-3">
        <SelectField label="Show with" value={fault?.id ?? ''} options={options} onChange={(v) => put('fault', v)} />
        {page.leading && page.leading.id !== fault?.id && (
          <Button onClick={() => put('fault', page.leading!.id)}>With the leading suspect: {page.leading.label}</Button>
        )}
        {fault?.graded && (
          <div>
            <label htmlFor={id} className="tag mb-1 block">
              How bad: {Math.round(100 * severity)} %
            </label>
            <input
              id={id}
              type="range"
              min={0}
              max={1}
              step={0.05}
              value={severity}
              onChange={(e) => put('bad', e.target.value)}
              className="h-12 w-full"
            />
          </div>
        )}
        {fault && live?.bad && (
          <p className="text-[15px]">
            {changed.length
              ? `Boxed on the drawing: ${changed.length === 1 ? 'one wire reads' : `${changed.length} wires read`} otherwise with it.`
              : 'No wire reads otherwise with it in this state. Try another state.'}
          </p>
        )}
      </div>
      {part ? (
        <div className="grid content-start gap-2">
          <h2 className="text-lg">{part.label}</h2>
          {figure && (figure.bad ?? figure.well) && (
            <p>
              {amps(live.well.amps[part.id]) || 'No current'} when well{figure.bad && `, ${figure.bad} with the fault`}.
            </p>
          )}
          {suspicion.has(part.id) && <p>Suspected: {Math.round(100 * suspicion.get(part.id)!)} %.</p>}
          {checks.map(({ check: c }) => (
            <LinkButton key={c.id} to={`/jobs/${jobId}/trace?check=${c.id}`}>
              {c.label}
            </LinkButton>
          ))}
        </div>
      ) : (
        check && (
          <div className="grid content-start gap-2">
            <h2 className="text-lg">Next: {check.label}</h2>
            <p>{page.leads ? 'Its leads are drawn, red and black.' : 'This one needs no leads.'}</p>
            <LinkButton to={`/jobs/${jobId}/trace?check=${check.id}`} look="do">
              Enter its reading
            </LinkButton>
          </div>
        )
      )}
    </section>
  );
}
