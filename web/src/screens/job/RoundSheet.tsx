import { readTyped, type Conditions, type ModelView } from '@pondu/core';
import { useState } from 'react';
import type { StoredJob } from '../../api/types.ts';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import { useWells } from '../../tracer/useTracer.ts';
import type { JobInput } from '../../tracer/worker.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { BesideBars } from '../../ruler/BesideBars.tsx';
import { inGaugeUnit, type GaugeUnit } from '../../ruler/gaugeUnit.ts';
import { Button } from '../../ui/Button.tsx';
import { Folded } from '../../ui/Folded.tsx';
import { TextField } from '../../ui/Field.tsx';
import { failureWords, placeholder } from '../../words/failures.ts';
import { meant as withUnit, showQuantity } from '../../units/quantity.ts';

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
  const [typed, setTyped, clear] = useDraft<Readonly<Record<string, string>>>(`${stored.id}.round.${what}`, {});
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const [saving, setSaving] = useState(false);
  const write = useJobWrites(stored);
  const unit = dimension === 'pressure' ? gaugeUnit : undefined;
  const meant = (id: string) => {
    const text = typed[id] ?? '';
    return unit ? inGaugeUnit(text, unit) : withUnit(text, dimension);
  };
  const read = (id: string) => {
    const { check } = round.find((c) => c.check.id === id)!;
    return readTyped(check, meant(id));
  };
  const bars = round.map(({ check }) => {
    const found = wells.data?.[check.id];
    const well = found?.edge ?? found;
    const fresh = (typed[check.id] ?? '').trim() ? read(check.id) : undefined;
    const last = stored.events.findLast((e) => e.type === 'reading' && e.reading.checkId === check.id);
    const value = fresh?.ok ? fresh.value : last?.type === 'reading' ? last.reading.value : undefined;
    return {
      n: check.beside!.n,
      low: well?.low ?? NaN,
      high: well?.high ?? NaN,
      value: value?.kind === 'number' ? value.value : undefined,
    };
  });

  async function save() {
    const wrong: Record<string, string> = {};
    const kept: Record<string, string> = {};
    let { version } = stored;
    setSaving(true);
    for (const { check } of round) {
      if (!(typed[check.id] ?? '').trim()) continue;
      const found = read(check.id);
      if (found.ok) {
        try {
          const sent = { checkId: check.id, typed: meant(check.id), value: found.value, note: '', ...now };
          version = await write('POST', '/readings', { ...sent, confirmed: errors[check.id] !== undefined }, version);
          continue;
        } catch (caught) {
          const refusal = problemOf(caught);
          wrong[check.id] = refusal.fields[0]?.message ?? refusal.message;
          if (refusal.code === 'absurd') wrong[check.id] += ' Save once more to let it stand.';
        }
      } else wrong[check.id] = failureWords(found.failure);
      kept[check.id] = typed[check.id]!;
    }
    setErrors(wrong);
    setSaving(false);
    if (Object.keys(kept).length) setTyped(kept);
    else clear();
  }

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
              onChange={(e) => setTyped({ ...typed, [check.id]: e.target.value })}
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
