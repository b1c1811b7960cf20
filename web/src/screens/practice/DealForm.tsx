import { zodResolver } from '@hookform/resolvers/zod';
import type { LessonAsk, Twist } from '@pondu/core';
import { Shuffle } from 'lucide-react';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { z } from 'zod';
import { useHouse, useMachine, useMachineRows } from '../../api/hooks.ts';
import { useModel } from '../../tracer/useTracer.ts';
import { Button } from '../../ui/Button.tsx';
import { SelectField, TextField } from '../../ui/Field.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { Folded } from '../../ui/Folded.tsx';
import { TWIST_WORDS } from '../../words/practice.ts';

const TWISTS = Object.keys(TWIST_WORDS) as Twist[];
const dealSchema = z.object({
  machineId: z.string().min(1, 'Choose a machine.'),
  twists: z.array(z.enum(TWISTS)),
  seed: z.string().regex(/^([1-9]\d{0,3})?$/, 'A number from 1 to 9999, or nothing.'),
  first: z.string(),
  second: z.string(),
});
type Deal = z.infer<typeof dealSchema>;

/** A lesson drawn on a machine of the shop; two who give one seed play the same. A teacher may choose the faults. */
export function DealForm({ busy, onDeal }: { busy: boolean; onDeal: (ask: Partial<LessonAsk>) => void }) {
  const [q, setQ] = useState('');
  const machines = useMachineRows({ q });
  const { register, handleSubmit, control, setValue, formState } = useForm<Deal>({
    resolver: zodResolver(dealSchema),
    defaultValues: { machineId: '', twists: [], seed: '', first: '', second: '' },
  });
  const { machineId, first, second } = useWatch({ control }) as Deal;
  const picked = useMachine(machineId || undefined);
  const house = useHouse();
  const model = useModel(picked.data?.machine, house.data?.house);
  const faults = (model.data?.faults ?? []).map((f) => ({ value: f.id, label: `${f.part} ${f.how}` }));
  const found = (machines.data?.rows ?? []).flatMap(({ id, machine }) =>
    machine ? [{ value: id, label: machine.name }] : [],
  );
  // One chosen before stays, whatever is looked for now.
  const rows =
    picked.data && !found.some((r) => r.value === picked.data!.id)
      ? [{ value: picked.data.id, label: picked.data.machine.name }, ...found]
      : found;
  const deal = (of: Deal) => {
    const chosen = [of.first, of.second].filter(Boolean);
    onDeal({
      machineId: of.machineId,
      twists: of.twists,
      ...(of.seed ? { seed: Number(of.seed) } : {}),
      ...(chosen.length ? { faults: chosen } : {}),
    });
  };
  return (
    <form
      aria-label="Draw a lesson"
      className="card grid content-start gap-3 p-4"
      onSubmit={(e) => void handleSubmit(deal)(e)}
    >
      <h2 className="text-lg">On a machine of the shop</h2>
      {(q !== '' || (machines.data?.next ?? null) !== null) && <SearchField label="Search machines" onSearch={setQ} />}
      <SelectField
        label="Machine"
        value={machineId}
        options={[{ value: '', label: 'Choose one' }, ...rows]}
        error={formState.errors.machineId?.message}
        onChange={(id) => setValue('machineId', id, { shouldValidate: formState.isSubmitted })}
      />
      <fieldset>
        <legend className="tag mb-1">How hard</legend>
        <div className="grid gap-1 sm:grid-cols-2">
          {TWISTS.map((twist) => (
            <label key={twist} className="flex min-h-12 items-center gap-3 rounded-lg px-2 hover:bg-sunk">
              <input type="checkbox" value={twist} className="size-5 accent-do" {...register('twists')} />
              <span>
                <span className="block text-[15px] font-medium">{TWIST_WORDS[twist].label}</span>
                <span className="block text-[13px] text-soft">{TWIST_WORDS[twist].help}</span>
              </span>
            </label>
          ))}
        </div>
      </fieldset>
      <TextField
        label="Seed"
        inputMode="numeric"
        error={formState.errors.seed?.message}
        hint="Two who give the same number play the same machine. Left empty, one is drawn."
        {...register('seed')}
      />
      <Folded name="Choose what is wrong (for a teacher)">
        {machineId && !model.data ? (
          <p className="text-soft">Looking up how this machine can fail.</p>
        ) : (
          <div className="grid gap-3">
            <SelectField
              label="First fault"
              value={first}
              options={[{ value: '', label: machineId ? 'Drawn' : 'Choose a machine first' }, ...faults]}
              onChange={(id) => setValue('first', id)}
            />
            {first && (
              <SelectField
                label="Second fault"
                value={second}
                options={[{ value: '', label: 'None' }, ...faults.filter((f) => f.value !== first)]}
                onChange={(id) => setValue('second', id)}
              />
            )}
          </div>
        )}
      </Folded>
      <Button type="submit" look="do" className="justify-self-start" disabled={busy}>
        <Shuffle aria-hidden className="size-5" /> Draw it
      </Button>
    </form>
  );
}
