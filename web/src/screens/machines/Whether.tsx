import { Controller, type Control } from 'react-hook-form';
import { Choice } from '../../ui/Choice.tsx';
import { YES_NO } from './fitOutWords.ts';
import type { TypedFit } from './formFit.ts';
import type { ReadMachine, TypedMachine } from './machineSchema.ts';

/** Options that are there or not; a draft from before one was asked has none of it. */
type YesOrNo = {
  [K in keyof TypedFit]-?: Exclude<TypedFit[K], undefined> extends 'true' | 'false' ? K : never;
}[keyof TypedFit];

/** Asks whether the machine has it. */
export function Whether({
  control,
  name,
  label,
}: {
  control: Control<TypedMachine, unknown, ReadMachine>;
  name: YesOrNo;
  label: string;
}) {
  return (
    <Controller
      control={control}
      name={`fitOut.${name}`}
      render={({ field }) => (
        <Choice label={label} value={field.value ?? 'false'} options={YES_NO} onChange={field.onChange} />
      )}
    />
  );
}
