import { Controller, useWatch, type Control } from 'react-hook-form';
import { Choice } from '../../ui/Choice.tsx';
import { AIR, COMPRESSION, COOLING, ENRICHING, FUEL, STOP, TIMING } from './fitOutWords.ts';
import { turnsItsSpark } from './formFit.ts';
import { Whether } from './Whether.tsx';
import type { ReadMachine, TypedMachine } from './machineSchema.ts';

const NUMBERS = ['1', '2', '3', '4'].map((n) => ({ value: n, label: n }));
type Field = 'fuel' | 'timing' | 'air' | 'stop' | 'carburettors' | 'enriching' | 'compression' | 'cooling';

/** What brings the fuel or stops it, what moves the spark's moment, what breathes and squeezes, by what one sees; nothing said, nothing traced there. */
export function FuelTimingFields({ control }: { control: Control<TypedMachine, unknown, ReadMachine> }) {
  const [fuel, air, compression] = useWatch({ control, name: ['fitOut.fuel', 'fitOut.air', 'fitOut.compression'] });
  const [sparks, layout] = useWatch({ control, name: ['fitOut.sparks', 'fitOut.layout'] });
  const choice = <V extends string>(
    name: Field,
    label: string,
    options: readonly { value: V; label: string; help?: string }[],
  ) => (
    <Controller
      control={control}
      name={`fitOut.${name}`}
      render={({ field }) => (
        <Choice label={label} value={(field.value ?? '') as V | ''} options={options} onChange={field.onChange} />
      )}
    />
  );
  return (
    <fieldset className="grid gap-4 border-t border-rule pt-3">
      <legend className="tag">
        {sparks === 'true' ? 'Fuel, timing, air and compression' : 'Stopping it, compression'}
      </legend>
      {sparks === 'true' && choice('fuel', 'Fuel', FUEL)}
      {sparks === 'false' && choice('stop', 'What stops it', STOP)}
      {sparks === 'true' && (fuel ?? '') !== '' && (
        <>
          {choice('carburettors', 'Carburettors', NUMBERS)}
          {choice('enriching', 'What makes it rich for a cold start', ENRICHING)}
          <Whether control={control} name="accelerator" label="A pump that squirts as the throttle opens" />
          <Whether control={control} name="mixed" label="Oil is mixed into the fuel" />
          <Whether control={control} name="idleCutOff" label="An idle cut-off solenoid on the carburettor" />
          {fuel === 'gravity' && <Whether control={control} name="vacuumTap" label="A fuel tap opened by vacuum" />}
          <Whether control={control} name="sealed" label="Tank breathes through a valve or a canister" />
        </>
      )}
      {sparks === 'true' && turnsItsSpark(layout) && choice('timing', 'What moves the spark’s moment', TIMING)}
      {sparks === 'true' && choice('air', 'Air and idle', AIR)}
      {sparks === 'true' && (air ?? '') !== '' && (
        <>
          <Whether control={control} name="breather" label="A valve from the crankcase to the manifold" />
          <Whether control={control} name="servo" label="Brakes helped by vacuum" />
          <Whether control={control} name="governor" label="A governor that holds the speed" />
        </>
      )}
      {choice('compression', 'Compression', COMPRESSION)}
      {(compression ?? '') !== '' && choice('cooling', 'Cooled by', COOLING)}
      {compression === 'two-stroke' && (
        <Whether control={control} name="reeds" label="Reed petals before the crankcase" />
      )}
    </fieldset>
  );
}
