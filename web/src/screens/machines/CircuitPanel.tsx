import { Download } from 'lucide-react';
import { useState } from 'react';
import { Choice } from '../../ui/Choice.tsx';
import { SelectField } from '../../ui/Field.tsx';

const KEYS = [
  { value: 'on', label: 'Key on' },
  { value: 'off', label: 'Key off' },
  { value: 'crank', label: 'Cranking' },
] as const;
const POINTS = [
  { value: 'closed', label: 'Coil on' },
  { value: 'open', label: 'Coil off' },
] as const;

interface Props {
  machineId: string;
  faults: readonly { id: string; part: string; how: string }[];
}

/** The machine in one state as a circuit file, so that anyone can check what Pondu computes. */
export function CircuitPanel({ machineId, faults }: Props) {
  const [key, setKey] = useState<(typeof KEYS)[number]['value']>('on');
  const [points, setPoints] = useState<(typeof POINTS)[number]['value']>('closed');
  const [fault, setFault] = useState('');
  const options = [{ value: '', label: 'Sound' }, ...faults.map((f) => ({ value: f.id, label: `${f.part} ${f.how}` }))];
  const query = new URLSearchParams({ key, points, ...(fault ? { fault } : {}) });
  return (
    <section className="card grid content-start gap-3 p-4" aria-label="Circuit">
      <h2 className="text-lg">Its circuit, to check</h2>
      <p className="text-[14px] text-soft">A SPICE netlist of this machine, for any simulator.</p>
      <Choice label="Key" hideLabel value={key} options={KEYS} onChange={setKey} />
      <Choice label="Points or module" hideLabel value={points} options={POINTS} onChange={setPoints} />
      <SelectField label="With" value={fault} options={options} onChange={setFault} />
      <a
        download
        href={`/api/machines/${machineId}/circuit.cir?${query.toString()}`}
        className="inline-flex min-h-12 items-center gap-2 justify-self-start rounded-lg border-[1.5px] border-soft px-4 hover:bg-sunk"
      >
        <Download aria-hidden className="size-5" /> Circuit as .cir
      </a>
    </section>
  );
}
