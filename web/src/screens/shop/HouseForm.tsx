import { USUAL_SHARES, type TrailName } from '@pondu/core';
import { houseSchema, INSTRUMENT_IDS, TRAIL_NAMES } from '@pondu/core/schema';
import { Controller } from 'react-hook-form';
import { toast } from 'sonner';
import { z } from 'zod';
import { call } from '../../api/client.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredHouse } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { SCHOOL_OPTIONS } from '../../words/schools.ts';
import { Choice } from '../../ui/Choice.tsx';
import { TextField } from '../../ui/Field.tsx';
import { TRAIL_LABELS } from '../../words/trails.ts';
import { typedNumber, useDraftForm } from '../../ui/useDraftForm.ts';

/** Everyone has eyes: they are not asked about. */
const INSTRUMENTS = INSTRUMENT_IDS.filter((id) => id !== 'eyes');

const POLICIES = [
  { value: 'cheapest information', label: 'What tells most for its minutes' },
  { value: 'walk in order', label: 'Walk the trail in order' },
  { value: 'halve', label: 'Halve the trail' },
] as const;

/** Empty: what is usual. */
const weight = z
  .string()
  .refine(
    (t) => t.trim() === '' || (Number(t.replace(',', '.')) >= 0 && Number(t.replace(',', '.')) <= 100),
    'A number from 0 to 100, or nothing.',
  )
  .transform((t) => (t.trim() === '' ? undefined : Number(t.replace(',', '.'))));

const formSchema = z.object({
  shopName: z.string().max(80),
  currency: z.string().max(4, 'Four letters at most.'),
  ratePerHour: typedNumber('a number from 0 to 1000.', 0, 1000),
  sureness: typedNumber('a number between 0.8 and 0.999.', 0.8, 0.999),
  policy: houseSchema.shape.policy.unwrap(),
  timing: houseSchema.shape.timing.unwrap(),
  dearFrom: z
    .string()
    .refine((t) => t.trim() === '' || Number(t.replace(',', '.')) >= 0, 'A price, or nothing.')
    .transform((t) => (t.trim() === '' ? null : Number(t.replace(',', '.')))),
  trails: z.object(Object.fromEntries(TRAIL_NAMES.map((t) => [t, weight])) as Record<TrailName, typeof weight>),
  owns: z.array(houseSchema.shape.owns.unwrap().element),
});
type Typed = z.input<typeof formSchema>;
type Read = z.output<typeof formSchema>;

const toggled = (owns: Typed['owns'], id: Typed['owns'][number], on: boolean) =>
  on ? [...owns, id] : owns.filter((o) => o !== id);

export function HouseForm({ stored, onSaved }: { stored: StoredHouse; onSaved: () => void }) {
  const { house } = stored;
  const initial: Typed = {
    shopName: house.shopName,
    currency: house.currency,
    ratePerHour: String(house.ratePerHour),
    sureness: String(house.sureness),
    policy: house.policy,
    timing: house.timing,
    dearFrom: house.dearFrom === null ? '' : String(house.dearFrom),
    trails: Object.fromEntries(TRAIL_NAMES.map((t) => [t, String(house.trails[t] ?? '')])) as Typed['trails'],
    owns: house.owns,
  };
  const [form, clear] = useDraftForm<Typed, Read>('house', initial, formSchema);
  const { register, control } = form;
  const { errors } = form.formState;

  async function save(read: Read) {
    try {
      await call(
        'PUT',
        '/house',
        { ...house, ...read, owns: [...new Set([...read.owns, 'eyes' as const])] },
        stored.version,
      );
      clear();
      toast.success('House rules saved.');
      onSaved();
    } catch (error) {
      const refusal = problemOf(error);
      toast.error(refusal.message);
      if (refusal.stale) onSaved();
    }
  }
  return (
    <form
      className="card grid content-start gap-4 p-4"
      aria-label="House rules"
      noValidate
      onSubmit={(e) => void form.handleSubmit(save)(e)}
    >
      <h1 className="text-2xl">House rules</h1>
      <TextField label="Name of the shop" error={errors.shopName?.message} {...register('shopName')} />
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label="Rate per hour"
          inputMode="decimal"
          error={errors.ratePerHour?.message}
          {...register('ratePerHour')}
        />
        <TextField label="Currency sign" error={errors.currency?.message} {...register('currency')} />
      </div>
      <TextField
        label="How sure before a repair is called for"
        inputMode="decimal"
        error={errors.sureness?.message}
        hint="0.98: one call in fifty may be wrong. Higher asks for more checks, lower spends more on parts."
        {...register('sureness')}
      />
      <TextField
        label="A part is dear from"
        inputMode="decimal"
        placeholder="a tenth of the machine’s worth"
        error={errors.dearFrom?.message}
        hint="A dear part is called guilty by two checks, not one."
        {...register('dearFrom')}
      />
      <Controller
        control={control}
        name="policy"
        render={({ field }) => (
          <Choice label="Which check comes first" value={field.value} options={POLICIES} onChange={field.onChange} />
        )}
      />
      <Controller
        control={control}
        name="timing"
        render={({ field }) => (
          <Choice
            label="Timing is set"
            value={field.value}
            options={SCHOOL_OPTIONS}
            onChange={field.onChange}
            columns="sm:grid-cols-3"
          />
        )}
      />
      <fieldset>
        <legend className="tag">How often each trail lets an engine down here, against the others</legend>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          {TRAIL_NAMES.map((t) => (
            <TextField
              key={t}
              label={TRAIL_LABELS[t]}
              inputMode="decimal"
              placeholder={String(USUAL_SHARES[t])}
              error={errors.trails?.[t]?.message}
              {...register(`trails.${t}`)}
            />
          ))}
        </div>
        <p className="mt-1 text-[13px] text-soft">
          Empty: what is usual, as shown. Where belief begins before any reading; checks move it from there.
        </p>
      </fieldset>
      <fieldset>
        <legend className="tag">Instruments in the shop: only checks that these can do are proposed</legend>
        <Controller
          control={control}
          name="owns"
          render={({ field }) => (
            <div className="grid sm:grid-cols-2">
              {INSTRUMENTS.map((id) => (
                <label key={id} className="flex min-h-12 items-center gap-3">
                  <input
                    type="checkbox"
                    className="size-6"
                    checked={field.value.includes(id)}
                    onChange={(e) => field.onChange(toggled(field.value, id, e.target.checked))}
                  />
                  {id}
                </label>
              ))}
            </div>
          )}
        />
      </fieldset>
      <Button look="do" type="submit" className="justify-self-start">
        Save the house rules
      </Button>
    </form>
  );
}
