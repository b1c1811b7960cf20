import type { ProofView } from '@pondu/core';
import { subHours, subMinutes } from 'date-fns';
import { Thermometer } from 'lucide-react';
import { useState } from 'react';
import type { StoredJob } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { SelectField } from '../../ui/Field.tsx';
import { useSheet } from '../setUp/useSheet.ts';

/** Since when it stands, by what somebody remembers; null while it still runs. */
const STANDS = {
  'still running': () => null,
  'just stopped': (now: Date) => now,
  'half an hour ago': (now: Date) => subMinutes(now, 30),
  'some hours ago': (now: Date) => subHours(now, 3),
  'yesterday, or before': (now: Date) => subHours(now, 24),
} as const satisfies Record<string, (now: Date) => Date | null>;
type Stands = keyof typeof STANDS;

const RAN = [
  { value: '2', label: 'a minute or two' },
  { value: '10', label: 'ten minutes' },
  { value: '20', label: 'twenty minutes or more' },
] as const;

/** A proof that hangs on heat: when it last ran, and for how long. Without that nobody knows whether it was hot, or cold. */
export function HeatBox({ stored, proofs }: { stored: StoredJob; proofs: readonly ProofView[] }) {
  const [ran, setRan] = useState<string>(RAN[2].value);
  const [stands, setStands] = useState<Stands>('just stopped');
  const { save } = useSheet(stored, 'heat', { kind: 'heat', ranMinutes: 0, stoppedAt: null });
  const asks = proofs.some((p) => p.state !== 'passed' && (p.wanted.warmth === 'hot' || p.wanted.restHours > 0));
  if (!asks) return null;
  return (
    <section className="card grid gap-2 p-4" aria-label="Heat">
      <p className="flex items-center gap-2 font-semibold">
        <Thermometer aria-hidden className="size-5 shrink-0" /> When did it last run?
      </p>
      <div className="grid grid-cols-2 gap-2">
        <SelectField label="It ran for" value={ran} options={[...RAN]} onChange={setRan} />
        <SelectField
          label="It stopped"
          value={stands}
          options={Object.keys(STANDS).map((value) => ({ value, label: value }))}
          onChange={(value) => setStands(value as Stands)}
        />
      </div>
      <Button
        className="justify-self-start"
        onClick={() =>
          void save({
            kind: 'heat',
            ranMinutes: Number(ran),
            stoppedAt: STANDS[stands](new Date())?.toISOString() ?? null,
          })
        }
      >
        Write it down
      </Button>
    </section>
  );
}
