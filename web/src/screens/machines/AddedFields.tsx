import { Plus, Trash2 } from 'lucide-react';
import { placesOn } from '@pondu/core/schema';
import {
  Controller,
  useFieldArray,
  useWatch,
  type Control,
  type FieldErrors,
  type UseFormRegister,
} from 'react-hook-form';
import { Button } from '../../ui/Button.tsx';
import { SelectField, TextField } from '../../ui/Field.tsx';
import type { ReadMachine, TypedMachine } from './machineSchema.ts';

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

/** What the maker or an earlier owner put into the feed or behind the coil: each becomes a station of its own. */
export function AddedFields({ control, register, errors }: Props) {
  const { fields, append, remove } = useFieldArray({ control, name: 'fitOut.added' });
  const layout = useWatch({ control, name: 'fitOut.layout' });
  const places = placesOn(layout ?? '').map((value) => ({ value, label: value }));
  return (
    <fieldset className="grid gap-2">
      <legend className="tag mb-1">
        On the way to the coil and behind it: interlocks, and what earlier owners added
      </legend>
      {fields.map((field, i) => (
        <div key={field.id} className="grid items-end gap-2 sm:grid-cols-[1fr_1fr_1fr_auto]">
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
          <Controller
            control={control}
            name={`fitOut.added.${i}.at`}
            render={({ field: f }) => (
              <SelectField
                label="Where it stands"
                value={f.value ?? 'after the switch'}
                options={places}
                onChange={f.onChange}
              />
            )}
          />
          <Button onClick={() => remove(i)} aria-label={`Take out ${i + 1}`}>
            <Trash2 aria-hidden className="size-5" />
          </Button>
        </div>
      ))}
      {(errors.fitOut?.added?.root?.message ?? errors.fitOut?.added?.message) ? (
        <p role="alert" className="font-medium text-danger">
          {errors.fitOut?.added?.root?.message ?? errors.fitOut?.added?.message}
        </p>
      ) : null}
      {fields.length < MOST && (
        <Button className="justify-self-start" onClick={() => append({ what: 'box', label: '' })}>
          <Plus aria-hidden className="size-5" /> Something stands in the feed
        </Button>
      )}
    </fieldset>
  );
}
