import { Plus, Trash2 } from 'lucide-react';
import { Controller, useFieldArray, type Control, type FieldErrors, type UseFormRegister } from 'react-hook-form';
import { Button } from '../../ui/Button.tsx';
import { SelectField, TextField } from '../../ui/Field.tsx';
import type { ReadMachine, TypedMachine } from './MachineForm.tsx';

const WHATS = [
  { value: 'interlock', label: 'interlock switch' },
  { value: 'relay', label: 'relay' },
  { value: 'alarm', label: 'alarm' },
  { value: 'box', label: 'box of unknown use' },
  { value: 'resistor', label: 'extra resistor' },
] as const;
const MOST = 4;

interface Props {
  control: Control<TypedMachine, unknown, ReadMachine>;
  register: UseFormRegister<TypedMachine>;
  errors: FieldErrors<TypedMachine>;
}

/** What the maker or an earlier owner put into the feed behind the switch: each becomes a station of its own. */
export function AddedFields({ control, register, errors }: Props) {
  const { fields, append, remove } = useFieldArray({ control, name: 'fitOut.added' });
  return (
    <fieldset className="grid gap-2">
      <legend className="tag mb-1">In the feed after the switch: interlocks, and what earlier owners added</legend>
      {fields.map((field, i) => (
        <div key={field.id} className="grid items-end gap-2 sm:grid-cols-[1fr_1fr_auto]">
          <Controller
            control={control}
            name={`fitOut.added.${i}.what`}
            render={({ field: f }) => (
              <SelectField label="What it is" value={f.value ?? 'box'} options={WHATS} onChange={f.onChange} />
            )}
          />
          <TextField
            label="Its name here"
            error={errors.fitOut?.added?.[i]?.label?.message}
            {...register(`fitOut.added.${i}.label`)}
          />
          <Button onClick={() => remove(i)} aria-label={`Take out ${i + 1}`}>
            <Trash2 aria-hidden className="size-5" />
          </Button>
        </div>
      ))}
      {fields.length < MOST && (
        <Button className="justify-self-start" onClick={() => append({ what: 'box', label: '' })}>
          <Plus aria-hidden className="size-5" /> Something stands in the feed
        </Button>
      )}
    </fieldset>
  );
}
