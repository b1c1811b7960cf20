import { Plus, Trash2 } from 'lucide-react';
import {
  Controller,
  useFieldArray,
  useWatch,
  type Control,
  type FieldErrors,
  type UseFormRegister,
} from 'react-hook-form';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { TextField } from '../../ui/Field.tsx';
import { chargeAsks } from './formFit.ts';
import { CHARGE, CONTROL, FIELD, TELLS, WAVE } from './fitOutWords.ts';
import type { ReadMachine, TypedMachine } from './machineSchema.ts';

interface Props {
  control: Control<TypedMachine, unknown, ReadMachine>;
  register: UseFormRegister<TypedMachine>;
  errors: FieldErrors<TypedMachine>;
}

const MOST = 12;

/** What charges the battery, by what one sees, and what the machine takes as it runs. */
export function ChargeFields({ control, register, errors }: Props) {
  const kind = useWatch({ control, name: 'fitOut.charge' }) ?? '';
  const can = chargeAsks(kind);
  const { fields, append, remove } = useFieldArray({ control, name: 'fitOut.loads' });
  const choice = <V extends string>(
    name: `fitOut.${'charge' | 'field' | 'wave' | 'control' | 'tells'}`,
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
  return (
    <fieldset className="grid gap-4 border-t border-rule pt-3">
      <legend className="tag">What charges the battery</legend>
      {choice('fitOut.charge', 'Charging', CHARGE)}
      {can.field && choice('fitOut.field', 'Where the far end of its field goes', FIELD)}
      {can.wave && choice('fitOut.wave', 'What the regulator takes of each swing', WAVE)}
      {can.control && choice('fitOut.control', 'How too much is held back', CONTROL)}
      {can.tells && choice('fitOut.tells', 'What tells that it charges', TELLS)}
      {kind !== '' && (
        <div className="grid gap-2">
          <p className="tag">What the machine takes as it runs</p>
          {fields.map((field, i) => (
            <div key={field.id} className="grid grid-cols-[1fr_7rem_auto] items-end gap-2">
              <TextField
                label="What"
                error={errors.fitOut?.loads?.[i]?.label?.message}
                {...register(`fitOut.loads.${i}.label`)}
              />
              <TextField
                label="Watts"
                inputMode="decimal"
                error={errors.fitOut?.loads?.[i]?.watts?.message}
                {...register(`fitOut.loads.${i}.watts`)}
              />
              <Button onClick={() => remove(i)} aria-label={`Take out ${i + 1}`}>
                <Trash2 aria-hidden className="size-5" />
              </Button>
            </div>
          ))}
          {fields.length < MOST && (
            <Button className="justify-self-start" onClick={() => append({ label: '', watts: '' })}>
              <Plus aria-hidden className="size-5" /> Something that takes current
            </Button>
          )}
        </div>
      )}
    </fieldset>
  );
}
