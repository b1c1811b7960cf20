import type { House, MachineBody, Slow, SuspectView } from '@pondu/core';
import { useState } from 'react';
import { useMinutes } from '../../tracer/useTracer.ts';
import { Folded } from '../../ui/Folded.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { BesideField, suspectName } from './BesideField.tsx';
import { TwoLines, type Curve } from '../../ui/TwoLines.tsx';
import { showQuantity } from '../../units/quantity.ts';

const NAMES: Readonly<Record<Slow['id'], string>> = {
  tank: 'Tank, below the air outside, driven as usual',
  'vacuum line': 'Vacuum line after it was shut off',
};
interface Props {
  machine: MachineBody;
  house: House;
  suspects: readonly SuspectView[];
}

/** What has a memory: pressures over the minutes, when well and with a suspect. Solved, not sketched. */
export function MinutesPanel({ machine, house, suspects }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <Folded
      name="Over the minutes: pressure, well and with a suspect"
      className="card p-3 lg:col-span-2"
      onToggle={setOpen}
    >
      {open && <Minutes machine={machine} house={house} suspects={suspects} />}
    </Folded>
  );
}

/** Finer than so many pascals no gauge tells. */
const TOLD = 10;
const curve = ({ minutes, pascals }: Slow): Curve => ({ at: minutes, values: pascals });
const last = ({ at, values }: Curve): string =>
  `${showQuantity(Math.round(values.at(-1)! / TOLD) * TOLD, 'pressure')} after ${at.at(-1)!.toFixed(0)} min`;

function Minutes({ machine, house, suspects }: Props) {
  const [chosen, setChosen] = useState<string>();
  const faultId = chosen ?? suspects[0]?.faultId;
  const well = useMinutes(machine, house);
  const ill = useMinutes(faultId ? machine : undefined, house, faultId);
  if (well.error || ill.error) return <Failed error={well.error ?? ill.error} />;
  if (!well.data || (faultId && !ill.data)) return <Loading what="Solving the minutes" />;
  const suspect = suspects.find((s) => s.faultId === faultId);
  const name = suspect ? suspectName(suspect) : '';
  return (
    <div className="grid gap-3">
      <BesideField suspects={suspects} faultId={faultId} onChange={setChosen} />
      {well.data.map((slow) => {
        const other = ill.data?.find((o) => o.id === slow.id);
        return (
          <div key={slow.id}>
            <h3 className="tag">{NAMES[slow.id]}</h3>
            <TwoLines
              name={NAMES[slow.id]}
              well={curve(slow)}
              ill={other && curve(other)}
              illName={name}
              said={(p) => showQuantity(p, 'pressure', { significant: 2 })}
              atWords={(m) => `${m} min`}
              peak={last}
            />
            {suspect && !other && <p className="text-soft">With this suspect nothing flows: there is no curve.</p>}
          </div>
        );
      })}
    </div>
  );
}
