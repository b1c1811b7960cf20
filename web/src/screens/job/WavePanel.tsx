import { formatQuantity, type House, type MachineBody, type SuspectView, type Wave } from '@pondu/core';
import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useState } from 'react';
import { useWaves } from '../../tracer/useTracer.ts';
import { Choice } from '../../ui/Choice.tsx';
import { SelectField } from '../../ui/Field.tsx';
import { Failed, Loading } from '../../ui/States.tsx';

const NAMES: Readonly<Record<Wave['id'], string>> = {
  primary: 'Primary',
  secondary: 'Secondary',
  trigger: 'Trigger',
  'charge coil': 'Charge coil',
  store: 'Store',
};
const [WIDTH, HEIGHT, LEFT, BOTTOM] = [640, 210, 62, 24];

interface Props {
  machine: MachineBody;
  house: House;
  suspects: readonly SuspectView[];
}

/** What a scope would show of one firing while cranking: when well, and with a suspect. Solved, not sketched. */
export function WavePanel({ machine, house, suspects }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <details className="card p-3 lg:col-span-2" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="flex min-h-12 cursor-pointer items-center text-lg font-semibold">
        Waveforms: one firing, well and with a suspect
      </summary>
      {open && <Waves machine={machine} house={house} suspects={suspects} />}
    </details>
  );
}

function Waves({ machine, house, suspects }: Props) {
  const [chosen, setChosen] = useState<string>();
  const [which, setWhich] = useState<Wave['id']>('secondary');
  const faultId = chosen ?? suspects[0]?.faultId;
  const well = useWaves(machine, house);
  const ill = useWaves(faultId ? machine : undefined, house, faultId);
  if (well.error || ill.error) return <Failed error={well.error ?? ill.error} />;
  if (!well.data || (faultId && !ill.data)) return <Loading what="Solving a firing" />;
  if (!well.data.ok) return <p>This machine’s firing does not solve: {well.data.code}.</p>;
  const shown = well.data.waves.find((w) => w.id === which) ?? well.data.waves[0]!;
  const other = ill.data?.ok ? ill.data.waves.find((w) => w.id === shown.id) : undefined;
  const suspect = suspects.find((s) => s.faultId === faultId);
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <Choice
          label="Probe on"
          value={shown.id}
          options={well.data.waves.map((w) => ({ value: w.id, label: NAMES[w.id] }))}
          onChange={setWhich}
        />
        {suspects.length > 0 && (
          <div className="min-w-60 grow">
            <SelectField
              label="Beside it, with"
              value={faultId ?? ''}
              options={suspects.map((s) => ({ value: s.faultId, label: `${s.part} ${s.how}` }))}
              onChange={setChosen}
            />
          </div>
        )}
      </div>
      <WaveChart well={shown} ill={other} illName={suspect ? `${suspect.part} ${suspect.how}` : ''} />
      {suspect && !other && (
        <p className="text-soft">With this suspect nothing comes to this probe: the trace would be flat.</p>
      )}
    </div>
  );
}

/** Two traces over one another, told apart by line as well as colour. */
export function WaveChart({ well, ill, illName }: { well: Wave; ill: Wave | undefined; illName: string }) {
  const all = ill ? [...well.volts, ...ill.volts] : well.volts;
  const times = ill ? [...well.at, ...ill.at] : well.at;
  const x = scaleLinear(extent(times) as [number, number], [LEFT, WIDTH - 8]);
  const y = scaleLinear(extent([...all, 0]) as [number, number], [HEIGHT - BOTTOM, 8]).nice();
  const path = (w: Wave) =>
    line<number>()
      .x((_v, k) => x(w.at[k]!))
      .y((v) => y(v))(w.volts as number[]) ?? '';
  const peak = (w: Wave) => Math.max(...w.volts.map(Math.abs));
  const summary =
    `${NAMES[well.id]}: peak ${formatQuantity(peak(well), 'voltage')} when well` +
    (ill ? `, ${formatQuantity(peak(ill), 'voltage')} with ${illName}.` : '.');
  return (
    <figure>
      <svg role="img" aria-label={summary} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="h-auto w-full max-w-4xl">
        {y.ticks(5).map((t) => (
          <g key={t}>
            <line x1={LEFT} x2={WIDTH - 8} y1={y(t)} y2={y(t)} stroke="var(--rule)" />
            <text x={LEFT - 6} y={y(t) + 4} textAnchor="end" fontSize="12" fill="var(--soft)">
              {formatQuantity(t, 'voltage', { significant: 2 })}
            </text>
          </g>
        ))}
        {x.ticks(6).map((t) => (
          <text key={t} x={x(t)} y={HEIGHT - 6} textAnchor="middle" fontSize="12" fill="var(--soft)">
            {(t * 1e3).toFixed(1)} ms
          </text>
        ))}
        <path d={path(well)} fill="none" stroke="var(--well)" strokeWidth="2" />
        {ill && <path d={path(ill)} fill="none" stroke="var(--lost)" strokeWidth="2" strokeDasharray="6 3" />}
      </svg>
      <figcaption className="flex flex-wrap gap-x-5 text-[14px]">
        <span className="text-well">— when well, peak {formatQuantity(peak(well), 'voltage')}</span>
        {ill && (
          <span className="text-lost">
            - - {illName}, peak {formatQuantity(peak(ill), 'voltage')}
          </span>
        )}
      </figcaption>
    </figure>
  );
}
