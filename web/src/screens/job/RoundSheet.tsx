import type { Conditions, ModelView } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import { useWells } from '../../tracer/useTracer.ts';
import type { JobInput } from '../../tracer/worker.ts';
import { BesideBars } from '../../ruler/BesideBars.tsx';
import { inGaugeUnit, type GaugeUnit } from '../../ruler/gaugeUnit.ts';
import { Button } from '../../ui/Button.tsx';
import { Folded } from '../../ui/Folded.tsx';
import { TextField } from '../../ui/Field.tsx';
import { placeholder } from '../../words/failures.ts';
import { showQuantity } from '../../units/quantity.ts';
import { useManyReadings } from './useManyReadings.ts';

interface Props {
  stored: StoredJob;
  input: JobInput | undefined;
  /** Checks of the round, number one first. */
  round: ModelView['checks'];
  now: Conditions;
  gaugeUnit: GaugeUnit;
}

/** All of a round on one sheet, from field to field by tab; what is left empty is not sent. */
export function RoundSheet({ stored, input, round, now, gaugeUnit }: Props) {
  const ids = round.map((c) => c.check.id);
  const wells = useWells(input, ids);
  const what = round[0]!.check.beside!.what;
  const dimension = round[0]!.check.dimension!;
  const unit = dimension === 'pressure' ? gaugeUnit : undefined;
  const { typed, put, errors, saving, read, save } = useManyReadings({
    stored,
    draft: `${stored.id}.round.${what}`,
    checks: round.map((c) => c.check),
    now,
    ...(unit ? { meant: (text) => inGaugeUnit(text, unit) } : {}),
  });
  const bars = round.map(({ check }) => {
    const found = wells.data?.[check.id];
    const well = found?.edge ?? found;
    const fresh = read(check);
    const last = stored.events.findLast((e) => e.type === 'reading' && e.reading.checkId === check.id);
    const value = fresh?.ok ? fresh.value : last?.type === 'reading' ? last.reading.value : undefined;
    return {
      n: check.beside!.n,
      low: well?.low ?? NaN,
      high: well?.high ?? NaN,
      value: value?.kind === 'number' ? value.value : undefined,
    };
  });

  return (
    <Folded
      name={`${what}, all at one go`}
      className="rounded-lg border border-rule p-2"
      open={Object.keys(typed).length > 0}
    >
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          void save();
        }}
      >
        <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
          {round.map(({ check }) => (
            <TextField
              key={check.id}
              label={`${what} ${check.beside!.n}`}
              placeholder={unit ? `in ${unit}` : placeholder(dimension)}
              value={typed[check.id] ?? ''}
              onChange={(e) => put(check.id, e.target.value)}
              error={errors[check.id]}
            />
          ))}
        </div>
        {wells.data && (
          <BesideBars
            label={what}
            bars={bars}
            said={(v) => showQuantity(v, dimension, unit ? { unit, significant: 3 } : { significant: 3 })}
          />
        )}
        <Button look="do" type="submit" className="justify-self-start" disabled={saving}>
          {saving ? 'Saving…' : 'Save the round'}
        </Button>
      </form>
    </Folded>
  );
}
