import type { House } from '@pondu/core';
import { useState } from 'react';
import { toast } from 'sonner';
import { call } from '../../api/client.ts';
import { useHouse } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredHouse } from '../../api/types.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { FilesPanel } from './FilesPanel.tsx';
import { RepairCosts } from './RepairCosts.tsx';

const INSTRUMENTS: readonly House['owns'][number][] = [
  'voltmeter',
  'ohmmeter',
  'test lamp',
  'LED lamp',
  'spark tester',
  'feeler gauge',
  'capacitance meter',
];

export function ShopPage() {
  usePageTitle('Shop');
  const house = useHouse();
  if (house.error && !house.data) return <Failed error={house.error} retry={() => void house.mutate()} />;
  if (!house.data) return <Loading what="Opening the shop’s book" />;
  return (
    <div className="grid gap-3 p-3 sm:p-5 lg:grid-cols-2">
      <HouseForm key={house.data.version} stored={house.data} onSaved={() => void house.mutate()} />
      <FilesPanel />
      <RepairCosts stored={house.data} onSaved={() => void house.mutate()} />
    </div>
  );
}

function HouseForm({ stored, onSaved }: { stored: StoredHouse; onSaved: () => void }) {
  const { house } = stored;
  const initial = {
    shopName: house.shopName,
    currency: house.currency,
    ratePerHour: String(house.ratePerHour),
    sureness: String(house.sureness),
    owns: house.owns,
  };
  const [draft, setDraft, clear] = useDraft('house', initial);
  const [errors, setErrors] = useState<Record<string, string>>({});
  const set = (part: Partial<typeof initial>) => setDraft({ ...draft, ...part });

  async function save() {
    const number = (text: string) => Number(text.replace(',', '.'));
    const body = {
      ...house,
      ...draft,
      owns: [...new Set([...draft.owns, 'eyes' as const])],
      ratePerHour: number(draft.ratePerHour),
      sureness: number(draft.sureness),
    };
    const wrong: Record<string, string> = {};
    if (!(body.ratePerHour >= 0)) wrong['ratePerHour'] = `“${draft.ratePerHour}” is not a number.`;
    if (!(body.sureness >= 0.8 && body.sureness <= 0.999)) wrong['sureness'] = 'Between 0.8 and 0.999.';
    setErrors(wrong);
    if (Object.keys(wrong).length) return;
    try {
      await call('PUT', '/house', body, stored.version);
      clear();
      toast.success('House rules saved.');
      onSaved();
    } catch (error) {
      const refusal = problemOf(error);
      setErrors(Object.fromEntries(refusal.fields.map((f) => [f.field, f.message])));
      toast.error(refusal.message);
      if (refusal.stale) onSaved();
    }
  }
  return (
    <form
      className="card grid content-start gap-4 p-4"
      aria-label="House rules"
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <h1 className="text-2xl">House rules</h1>
      <TextField label="Name of the shop" value={draft.shopName} onChange={(e) => set({ shopName: e.target.value })} />
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label="Rate per hour"
          inputMode="decimal"
          value={draft.ratePerHour}
          error={errors['ratePerHour']}
          onChange={(e) => set({ ratePerHour: e.target.value })}
        />
        <TextField label="Currency sign" value={draft.currency} onChange={(e) => set({ currency: e.target.value })} />
      </div>
      <TextField
        label="How sure before a repair is called for"
        inputMode="decimal"
        value={draft.sureness}
        error={errors['sureness']}
        hint="0.98: one call in fifty may be wrong. Higher asks for more checks, lower spends more on parts."
        onChange={(e) => set({ sureness: e.target.value })}
      />
      <fieldset>
        <legend className="tag">Instruments in the shop: only checks that these can do are proposed</legend>
        <div className="grid sm:grid-cols-2">
          {INSTRUMENTS.map((id) => (
            <label key={id} className="flex min-h-12 items-center gap-3">
              <input
                type="checkbox"
                className="size-6"
                checked={draft.owns.includes(id)}
                onChange={(e) =>
                  set({ owns: e.target.checked ? [...draft.owns, id] : draft.owns.filter((o) => o !== id) })
                }
              />
              {id}
            </label>
          ))}
        </div>
      </fieldset>
      <Button look="do" type="submit" className="justify-self-start">
        Save the house rules
      </Button>
    </form>
  );
}
