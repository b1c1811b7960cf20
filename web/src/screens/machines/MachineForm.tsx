import { placesOn, type FitOut, type MachineBody } from '@pondu/core/schema';
import { Controller, useWatch } from 'react-hook-form';
import { call } from '../../api/client.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredMachine } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { SelectField, TextArea, TextField } from '../../ui/Field.tsx';
import { useDraftForm } from '../../ui/useDraftForm.ts';
import { AddedFields } from './AddedFields.tsx';
import { ChargeFields } from './ChargeFields.tsx';
import { CrankFields } from './CrankFields.tsx';
import { FuelTimingFields } from './FuelTimingFields.tsx';
import { typedFit } from './formFit.ts';
import { formSchema, type ReadMachine, type TypedMachine } from './machineSchema.ts';
import { asks, type kindOf } from './sight.ts';
import { SightQuestions } from './SightQuestions.tsx';
import { BALLAST, CYLINDERS, EARTH, KINDS, VOLTS, YES_NO } from './fitOutWords.ts';
import { heightLabelled } from '../../units/quantity.ts';

const EMPTY: TypedMachine = {
  name: '',
  kind: 'car',
  maker: '',
  year: '',
  worth: '2000',
  firingOrder: '',
  notes: '',
  fitOut: typedFit({
    volts: 12,
    earth: 'negative',
    cylinders: 4,
    marine: false,
    compressionRatio: 8,
    trails: [{ trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } }],
  }),
};
const typedOf = ({ machine }: StoredMachine): TypedMachine => {
  const { plates: _plates, fitOut, ...rest } = machine;
  return { ...rest, worth: String(machine.worth), fitOut: typedFit(fitOut) };
};

/** What stood behind a coil stands in the feed where another kind has no such place. */
const placed = <A extends { at?: string | undefined }>(added: A, layout: string): A =>
  placesOn(layout).some((p) => p === added.at) ? added : { ...added, at: undefined };

interface Props {
  stored?: StoredMachine;
  draftKey: string;
  onSaved: (machine: StoredMachine) => void;
  onCancel?: () => void;
}

/** A machine by what one sees: the layout and its typical figures follow from it. */
export function MachineForm({ stored, draftKey, onSaved, onCancel }: Props) {
  const [form, clear] = useDraftForm<TypedMachine, ReadMachine>(draftKey, stored ? typedOf(stored) : EMPTY, formSchema);
  const { control, register, setError } = form;
  const { errors } = form.formState;
  const fit = useWatch({ control, name: 'fitOut' });
  const sparks = fit.sparks === 'true';
  const kind = asks(fit.layout);
  const [supply, ballast] = [sparks && kind.supply, sparks && kind.ballast];
  // An engine without a spark comes in any number of cylinders.
  const cylinders = sparks ? kind.cylinders : CYLINDERS.map((c) => Number(c.value));
  // A battery is there for the spark, for a starter, or to be charged.
  const electric = supply || !['', 'pull'].includes(fit.crank) || !['', 'lighting-coil'].includes(fit.charge);

  /** Another kind: what it has no use for goes back to plain, and cylinders to a number that it comes in. */
  function pick(kind: ReturnType<typeof kindOf>) {
    const can = asks(kind.layout);
    const kept = form.getValues('fitOut');
    const { trigger: _t, module: _m, coils: _c, ...rest } = kept;
    const count = Number(kept.cylinders) as FitOut['cylinders'];
    form.setValue(
      'fitOut',
      {
        ...rest,
        ...kind,
        ballast: can.ballast ? kept.ballast : 'none',
        cylinders: `${can.cylinders.includes(count) ? count : can.cylinders[Math.min(2, can.cylinders.length - 1)]!}`,
        added: can.supply ? (kept.added ?? []).map((a) => placed(a, kind.layout)) : [],
      },
      { shouldDirty: true },
    );
  }

  async function save(read: ReadMachine) {
    const body: MachineBody = { ...read, plates: stored?.machine.plates ?? {} };
    try {
      const saved = stored
        ? await call<StoredMachine>('PUT', `/machines/${stored.id}`, body, stored.version)
        : await call<StoredMachine>('POST', '/machines', body);
      clear();
      onSaved(saved);
    } catch (error) {
      setError('root', { message: problemOf(error).message });
    }
  }
  const choice = <V extends string>(
    name: `fitOut.${'sparks' | 'volts' | 'earth' | 'cylinders' | 'ballast' | 'fused' | 'suppressor' | 'resistorPlugs' | 'marine'}`,
    label: string,
    options: readonly { value: V; label: string; help?: string }[],
  ) => (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Choice label={label} value={field.value as V} options={options} onChange={field.onChange} />
      )}
    />
  );
  const number = (
    name: 'compressionRatio' | 'litres' | 'idleRpm' | 'topRpm' | 'altitude',
    label: string,
    placeholder?: string,
  ) => (
    <TextField
      label={label}
      inputMode="decimal"
      placeholder={placeholder}
      error={errors.fitOut?.[name]?.message}
      {...register(`fitOut.${name}`)}
    />
  );
  return (
    <form className="grid gap-4" noValidate onSubmit={(e) => void form.handleSubmit(save)(e)}>
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField label="Name" error={errors.name?.message} {...register('name')} />
        <Controller
          control={control}
          name="kind"
          render={({ field }) => (
            <SelectField label="Kind" value={field.value} options={KINDS} onChange={field.onChange} />
          )}
        />
        <TextField label="Maker" {...register('maker')} />
        <TextField label="Year" {...register('year')} />
      </div>
      {choice('fitOut.sparks', 'Does it run on a spark?', YES_NO)}
      {sparks && <SightQuestions fit={fit} onChange={pick} />}
      <div className="grid gap-4 sm:grid-cols-2">
        {choice(
          'fitOut.cylinders',
          'Cylinders',
          CYLINDERS.filter((c) => cylinders.some((n) => n === Number(c.value))),
        )}
        {electric && choice('fitOut.volts', 'Battery', VOLTS)}
        {electric && choice('fitOut.earth', 'Which post goes to the chassis', EARTH)}
        {ballast && choice('fitOut.ballast', 'What feeds the coil', BALLAST)}
        {supply && choice('fitOut.fused', 'Is the ignition fused?', YES_NO)}
        {supply && choice('fitOut.suppressor', 'A radio suppressor on its feed?', YES_NO)}
        {sparks && choice('fitOut.resistorPlugs', 'Does its book ask for plugs with a resistor?', YES_NO)}
        {choice('fitOut.marine', 'In a boat?', YES_NO)}
      </div>
      {supply && <AddedFields control={control} register={register} errors={errors} />}
      <CrankFields control={control} register={register} />
      <ChargeFields control={control} register={register} errors={errors} />
      <FuelTimingFields control={control} />
      <div className="grid gap-4 border-t border-rule pt-3 sm:grid-cols-2 lg:grid-cols-4">
        {number('compressionRatio', 'Compression ratio')}
        {number('litres', 'Litres, all cylinders', 'what is usual')}
        {number('idleRpm', 'Idle speed, rev/min', 'what is usual')}
        {number('topRpm', 'Top speed, rev/min', 'what is usual')}
        {number('altitude', heightLabelled('Height where it works'), 'by the sea')}
        <TextField
          label="Firing order"
          placeholder="1-3-4-2"
          error={errors.firingOrder?.message}
          {...register('firingOrder')}
        />
        <TextField label="Worth" inputMode="decimal" error={errors.worth?.message} {...register('worth')} />
      </div>
      <TextArea label="Notes for the next person" {...register('notes')} />
      {errors.root && (
        <p role="alert" className="font-medium text-danger">
          {errors.root.message}
        </p>
      )}
      <div className="flex gap-3">
        <Button look="do" type="submit">
          Save the machine
        </Button>
        {onCancel && <Button onClick={onCancel}>Back</Button>}
      </div>
    </form>
  );
}
