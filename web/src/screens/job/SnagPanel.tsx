import type { Snag } from '@pondu/core';
import { useState } from 'react';
import { toast } from 'sonner';
import { v4 as uuid } from 'uuid';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredJob } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { TextField } from '../../ui/Field.tsx';

const WEIGHTS = [
  { value: 'danger', label: 'Danger' },
  { value: 'reliability', label: 'Reliability' },
  { value: 'looks', label: 'Looks' },
] as const satisfies readonly { value: Snag['weight']; label: string }[];
const ORDER: Readonly<Record<Snag['weight'], number>> = { danger: 0, reliability: 1, looks: 2 };

export const bySeverity = (snags: readonly Snag[]): Snag[] =>
  [...snags].sort((a, b) => Number(a.done) - Number(b.done) || ORDER[a.weight] - ORDER[b.weight]);

/** Noticed and left alone. */
export function SnagPanel({ stored }: { stored: StoredJob }) {
  const [what, setWhat, clear] = useDraft(`${stored.id}.snag`, '');
  const [weight, setWeight] = useState<Snag['weight']>('reliability');
  const [error, setError] = useState<string>();
  const write = useJobWrites(stored);

  async function put(snag: Omit<Snag, 'at'>) {
    try {
      await write('POST', '/snags', { id: snag.id, what: snag.what, weight: snag.weight, done: snag.done });
      return true;
    } catch (caught) {
      toast.error(problemOf(caught).message);
      return false;
    }
  }
  async function add() {
    if (!what.trim()) return setError('Say what was noticed.');
    setError(undefined);
    if (await put({ id: uuid(), what, weight, done: false })) clear();
  }
  return (
    <section className="card grid content-start gap-3 p-4" aria-label="Snags">
      <h2 className="text-lg">Snags: noticed and left alone</h2>
      <ul className="grid gap-1">
        {bySeverity(stored.snags).map((s) => (
          <li key={s.id}>
            <label className="flex min-h-12 items-center gap-3">
              <input
                type="checkbox"
                className="size-6"
                checked={s.done}
                onChange={(e) => void put({ ...s, done: e.target.checked })}
              />
              <span translate="no" className={s.done ? 'text-soft line-through' : ''}>
                {s.what}
              </span>
              <span className={`tag ${s.weight === 'danger' ? '!text-danger font-bold' : ''}`}>{s.weight}</span>
            </label>
          </li>
        ))}
      </ul>
      <TextField label="Add a snag" value={what} error={error} onChange={(e) => setWhat(e.target.value)} />
      <div className="flex flex-wrap items-end gap-3">
        <Choice label="Weight" hideLabel value={weight} options={WEIGHTS} onChange={setWeight} />
        <Button onClick={() => void add()}>Add</Button>
      </div>
    </section>
  );
}
