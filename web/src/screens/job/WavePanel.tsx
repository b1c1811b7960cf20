import type { Dimension, House, MachineBody, SuspectView, Wave, WaveSubject } from '@pondu/core';
import { useState } from 'react';
import { useWaves } from '../../tracer/useTracer.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Folded } from '../../ui/Folded.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { BesideField, suspectName } from './BesideField.tsx';
import { TwoLines } from '../../ui/TwoLines.tsx';
import { showQuantity } from '../../units/quantity.ts';

const NAMES: Readonly<Record<Wave['id'], string>> = {
  primary: 'Primary',
  secondary: 'Secondary',
  trigger: 'Trigger',
  'charge coil': 'Charge coil',
  store: 'Store',
  leg: 'A phase of the winding',
  ripple: 'What rides on the output, AC',
  'charge amps': 'Charge, by a clamp',
};
const MEASURED = (id: Wave['id']): Dimension => (id === 'charge amps' ? 'current' : 'voltage');

const SUBJECTS: readonly { value: WaveSubject; label: string }[] = [
  { value: 'firing', label: 'One firing, cranking' },
  { value: 'charge', label: 'The charge, at speed, all on' },
];
/** A commutator makes no waves, and a lighting coil has no rectifier to look behind. */
const WAVELESS = ['generator', 'lighting-coil'];
/** What of this machine a scope can be put to. */
function subjectsOf(machine: MachineBody): WaveSubject[] {
  const { trails } = machine.fitOut;
  return [
    ...(trails.some((t) => t.trail === 'spark') ? (['firing'] as const) : []),
    ...(trails.some((t) => t.trail === 'charge' && !WAVELESS.includes(t.kind)) ? (['charge'] as const) : []),
  ];
}

interface Props {
  machine: MachineBody;
  house: House;
  suspects: readonly SuspectView[];
}

/** What a scope would show of one firing, or of the charge: when well, and with a suspect. Solved, not sketched. */
export function WavePanel({ machine, house, suspects }: Props) {
  const [open, setOpen] = useState(false);
  const subjects = subjectsOf(machine);
  if (subjects.length === 0) return null;
  return (
    <Folded name="Waveforms: well and with a suspect" className="card p-3 lg:col-span-2" onToggle={setOpen}>
      {open && <Waves machine={machine} house={house} suspects={suspects} subjects={subjects} />}
    </Folded>
  );
}

function Waves({ machine, house, suspects, subjects }: Props & { subjects: readonly WaveSubject[] }) {
  const [chosen, setChosen] = useState<string>();
  const [which, setWhich] = useState<Wave['id']>('secondary');
  const onCharge = suspects[0]?.trail === 'charge' && subjects.includes('charge');
  const [asked, setAsked] = useState<WaveSubject>();
  const subject = asked ?? (onCharge ? 'charge' : subjects[0]!);
  const faultId = chosen ?? suspects[0]?.faultId;
  const well = useWaves(machine, house, subject);
  const ill = useWaves(faultId ? machine : undefined, house, subject, faultId);
  if (well.error || ill.error) return <Failed error={well.error ?? ill.error} />;
  if (!well.data || (faultId && !ill.data)) return <Loading what="Solving it wave by wave" />;
  if (!well.data.ok) return <p>This does not solve: {well.data.code}.</p>;
  const shown = well.data.waves.find((w) => w.id === which) ?? well.data.waves[0];
  if (!shown) return <p>Nothing turns or fires here even when well.</p>;
  const other = ill.data?.ok ? ill.data.waves.find((w) => w.id === shown.id) : undefined;
  const suspect = suspects.find((s) => s.faultId === faultId);
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        {subjects.length > 1 && (
          <Choice
            label="Of"
            value={subject}
            options={SUBJECTS.filter((s) => subjects.includes(s.value))}
            onChange={setAsked}
          />
        )}
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

/** One trace of the scope, well and with a suspect. */
export function WaveChart({ well, ill, illName }: { well: Wave; ill: Wave | undefined; illName: string }) {
  return (
    <TwoLines
      name={NAMES[well.id]}
      well={well}
      ill={ill}
      illName={illName}
      said={(v) => showQuantity(v, MEASURED(well.id), { significant: 2 })}
      atWords={(t) => `${(t * 1e3).toFixed(1)} ms`}
      peak={({ values }) => `peak ${showQuantity(Math.max(...values.map(Math.abs)), MEASURED(well.id))}`}
    />
  );
}
