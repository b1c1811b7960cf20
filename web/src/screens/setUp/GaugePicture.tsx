import type { ModelView } from '@pondu/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useDraft } from '../../draft/useDraft.ts';
import { GaugeFace } from '../../ruler/GaugeFace.tsx';
import { inGaugeUnit, useGaugeUnit, type GaugeUnit } from '../../ruler/gaugeUnit.ts';
import { useRuler } from '../../tracer/useTracer.ts';
import { SelectField, TextField } from '../../ui/Field.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { failureWords } from '../../words/failures.ts';
import type { JobPlace } from '../job/place.ts';
import { Answer, Part } from './figure.tsx';
import { showQuantity, readQuantity } from '../../units/quantity.ts';

/** Trails whose faults move the manifold's vacuum. */
const ON_THE_GAUGE: readonly string[] = ['air', 'timing', 'compression', 'fuel'];

const LISTED = 5;
const bandIn = ({ low, high }: { low: number; high: number }, unit: GaugeUnit): string =>
  `${showQuantity(low, 'pressure', { unit })} to ${showQuantity(high, 'pressure', { unit })}`;

/** What the vacuum gauge says of this engine: where it stands when well, and where each thing that can be wrong puts it. */
export function GaugePicture({
  stored,
  input,
  check,
  faults,
}: Pick<JobPlace, 'stored' | 'input'> & { check: string; faults: ModelView['faults'] }) {
  const [unit, setUnit] = useGaugeUnit(true);
  const [typed, setTyped] = useDraft(`${stored.id}.gauge`, '');
  const [also, setAlso] = useState<readonly string[]>([]);
  const ruler = useRuler(input, check, also);
  const read = typed.trim() === '' ? undefined : readQuantity(inGaugeUnit(typed, unit, true), 'pressure');
  const needle = read?.ok ? read.value : undefined;
  if (ruler.error) return <Failed error={ruler.error} />;
  if (!ruler.data) return <Loading what="Working out what the gauge should say" />;
  const shown = ruler.data.ruler;
  const holds = (l: { low: number; high: number }) => needle !== undefined && needle >= l.low && needle <= l.high;
  const fits = [...new Set(shown.suspects.filter(holds).map((s) => s.label))];
  const words =
    needle === undefined
      ? ''
      : holds(shown.well)
        ? 'As when well.'
        : fits.length > 0
          ? `Not as when well. It could stand so with: ${fits.join('; ')}.`
          : 'Neither as when well nor as any of those drawn here would have it: put another beside it, or trace it.';
  return (
    <Part
      title="What the gauge says"
      about="Gauge on the manifold, engine warm and idling. The green arc is this engine when well; the others are what it is suspected of, and whatever you put beside it."
    >
      <GaugeFace ruler={shown} reading={needle} unit={unit} setUnit={setUnit} />
      <ul className="text-[14px]">
        <li className="text-well">when well: {bandIn(shown.well, unit)}</li>
        {shown.suspects.slice(0, LISTED).map((s) => (
          <li key={s.faultId} className="text-lost">
            {s.label}: {bandIn(s, unit)}
          </li>
        ))}
      </ul>
      <div className="grid gap-2 sm:grid-cols-2">
        <TextField
          label="The needle stands at"
          value={typed}
          error={read && !read.ok ? failureWords(read.failure) : undefined}
          onChange={(e) => setTyped(e.target.value)}
        />
        <SelectField
          label="Put beside it"
          value=""
          options={[
            { value: '', label: 'nothing more' },
            ...faults
              .filter((f) => ON_THE_GAUGE.includes(f.trail) && !also.includes(f.id))
              .map((f) => ({ value: f.id, label: `${f.part}: ${f.how}` })),
          ]}
          onChange={(id) => id && setAlso([id, ...also])}
        />
      </div>
      <Answer>{words}</Answer>
      <p>
        <Link className="inline-flex min-h-12 items-center underline" to={`/jobs/${stored.id}/trace?check=${check}`}>
          Write the reading down: it counts in the trace
        </Link>
      </p>
    </Part>
  );
}
