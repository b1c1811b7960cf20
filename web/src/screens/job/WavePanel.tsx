import { formatQuantity, type House, type MachineBody, type SuspectView, type Wave } from '@pondu/core';
import { useState } from 'react';
import { useWaves } from '../../tracer/useTracer.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Folded } from '../../ui/Folded.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { BesideField, suspectName } from './BesideField.tsx';
import { TwoLines } from '../../ui/TwoLines.tsx';

const NAMES: Readonly<Record<Wave['id'], string>> = {
  primary: 'Primary',
  secondary: 'Secondary',
  trigger: 'Trigger',
  'charge coil': 'Charge coil',
  store: 'Store',
};

interface Props {
  machine: MachineBody;
  house: House;
  suspects: readonly SuspectView[];
}

/** What a scope would show of one firing while cranking: when well, and with a suspect. Solved, not sketched. */
export function WavePanel({ machine, house, suspects }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <Folded name="Waveforms: one firing, well and with a suspect" className="card p-3 lg:col-span-2" onToggle={setOpen}>
      {open && <Waves machine={machine} house={house} suspects={suspects} />}
    </Folded>
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
        <BesideField suspects={suspects} faultId={faultId} onChange={setChosen} />
      </div>
      <WaveChart well={shown} ill={other} illName={suspect ? suspectName(suspect) : ''} />
      {suspect && !other && (
        <p className="text-soft">With this suspect nothing comes to this probe: the trace would be flat.</p>
      )}
    </div>
  );
}

/** A voltage through one firing, well and with a suspect. */
export function WaveChart({ well, ill, illName }: { well: Wave; ill: Wave | undefined; illName: string }) {
  const curve = ({ at, volts }: Wave) => ({ at, values: volts });
  return (
    <TwoLines
      name={NAMES[well.id]}
      well={curve(well)}
      ill={ill && curve(ill)}
      illName={illName}
      said={(v) => formatQuantity(v, 'voltage', { significant: 2 })}
      atWords={(t) => `${(t * 1e3).toFixed(1)} ms`}
      peak={({ values }) => `peak ${formatQuantity(Math.max(...values.map(Math.abs)), 'voltage')}`}
    />
  );
}
