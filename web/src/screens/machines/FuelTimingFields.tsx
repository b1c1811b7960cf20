import { Controller, useWatch, type Control } from 'react-hook-form';
import { Choice } from '../../ui/Choice.tsx';
import { AIR, ENRICHING, FUEL, STOP, TIMING, YES_NO } from './fitOutWords.ts';
import { turnsItsSpark } from './formFit.ts';
import type { ReadMachine, TypedMachine } from './machineSchema.ts';

const NUMBERS = ['1', '2', '3', '4'].map((n) => ({ value: n, label: n }));

/** What brings the fuel or stops it, and what moves the spark's moment, by what one sees; nothing said, nothing traced there. */
export function FuelTimingFields({ control }: { control: Control<TypedMachine, unknown, ReadMachine> }) {
  const kind = useWatch({ control, name: 'fitOut.fuel' }) ?? '';
  const [sparks, layout] = useWatch({ control, name: ['fitOut.sparks', 'fitOut.layout'] });
  const choice = <V extends string>(
    name: `fitOut.${'fuel' | 'timing' | 'air' | 'stop' | 'carburettors' | 'sealed' | 'enriching'}`,
    label: string,
    options: readonly { value: V; label: string; help?: string }[],
  ) => (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Choice label={label} value={(field.value ?? '') as V} options={options} onChange={field.onChange} />
      )}
    />
  );
  return (
    <fieldset className="grid gap-4 border-t border-rule pt-3">
      <legend className="tag">{sparks === 'true' ? 'Fuel, timing and air' : 'Stopping it'}</legend>
      {sparks === 'true' && choice('fitOut.fuel', 'Fuel', FUEL)}
      {sparks === 'false' && choice('fitOut.stop', 'What stops it', STOP)}
      {sparks === 'true' && kind !== '' && (
        <>
          {choice('fitOut.carburettors', 'Carburettors', NUMBERS)}
          {choice('fitOut.enriching', 'What makes it rich for a cold start', ENRICHING)}
          {choice('fitOut.sealed', 'Tank breathes through a valve or a canister', YES_NO)}
        </>
      )}
      {sparks === 'true' && turnsItsSpark(layout) && choice('fitOut.timing', 'What moves the spark’s moment', TIMING)}
      {sparks === 'true' && choice('fitOut.air', 'Air and idle', AIR)}
    </fieldset>
  );
}
