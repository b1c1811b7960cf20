import { Controller, useWatch, type Control, type UseFormRegister } from 'react-hook-form';
import { Choice } from '../../ui/Choice.tsx';
import { TextField } from '../../ui/Field.tsx';
import { CRANK } from './fitOutWords.ts';
import { Whether } from './Whether.tsx';
import type { ReadMachine, TypedMachine } from './machineSchema.ts';

interface Props {
  control: Control<TypedMachine, unknown, ReadMachine>;
  register: UseFormRegister<TypedMachine>;
}

/** What turns the engine over, by what one sees; nothing said, nothing traced there. */
export function CrankFields({ control, register }: Props) {
  const kind = useWatch({ control, name: 'fitOut.crank' });
  return (
    <fieldset className="grid gap-4 border-t border-rule pt-3">
      <legend className="tag">What turns the engine over</legend>
      <Controller
        control={control}
        name="fitOut.crank"
        render={({ field }) => (
          <Choice label="Starting" value={field.value} options={CRANK} onChange={field.onChange} />
        )}
      />
      {kind === 'glow' && (
        <Controller
          control={control}
          name="fitOut.heat"
          render={({ field }) => (
            <Choice
              label="What heats it"
              value={field.value}
              options={[
                { value: 'plugs', label: 'A glow plug in each cylinder' },
                { value: 'intake heater', label: 'A heater in the intake' },
              ]}
              onChange={field.onChange}
            />
          )}
        />
      )}
      {kind !== '' && kind !== 'pull' && (
        <Whether control={control} name="isolator" label="A master switch in the battery cable" />
      )}
      {kind !== '' && (
        <Whether control={control} name="decompressor" label="A decompressor to turn it over more easily" />
      )}
      {kind !== '' && kind !== 'pull' && (
        <TextField
          label="Switches that must be closed before it turns, with commas between"
          placeholder="neutral, clutch"
          {...register('fitOut.interlocks')}
        />
      )}
    </fieldset>
  );
}
