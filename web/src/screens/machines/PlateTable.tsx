import { fromSi, habitUnit, parseQuantity, type House, type PlateValue, type PlateView } from '@pondu/core';
import { habits } from '../../units/habits.ts';
import { useState } from 'react';
import { call } from '../../api/client.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredMachine } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { useModel } from '../../tracer/useTracer.ts';
import { Button } from '../../ui/Button.tsx';
import { SelectField, TextField } from '../../ui/Field.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { byTrail } from '../../words/byTrail.ts';
import { TRAIL_LABELS } from '../../words/trails.ts';
import { failureWords } from '../../words/failures.ts';
import { showQuantity, showBand } from '../../units/quantity.ts';

const SOURCES: readonly { value: PlateValue['source']; label: string }[] = [
  { value: 'manual', label: 'manual' },
  { value: 'pattern part', label: 'pattern part' },
  { value: 'measured on a good one', label: 'measured on a good one' },
];

interface Props {
  stored: StoredMachine;
  house: House;
  onSaved: () => void;
}

/** The figures that every expected reading is computed from; typical ones can be overridden, with their source. */
export function PlateTable({ stored, house, onSaved }: Props) {
  const { data: model, error } = useModel(stored.machine, house);
  const [editing, setEditing] = useState<string>();
  if (error) return <Failed error={error} />;
  if (!model) return <Loading what="Working out the plate values" />;
  const groups = byTrail(model.trails, model.plates, (p) => p.trail);
  return (
    <section className="card p-4" aria-label="Plate values">
      <h2 className="text-lg">Plate values</h2>
      <p className="text-[14px] text-soft">
        Every expected reading is computed from these. A typical figure stands in until you give the machine’s own.
      </p>
      {groups.map(({ trail, items }) => (
        <div key={trail ?? ''}>
          {groups.length > 1 && trail && <h3 className="tag mt-3">{TRAIL_LABELS[trail]}</h3>}
          <ul className="divide-y divide-rule">
            {items.map((plate) => (
              <li key={plate.id}>
                <div className="flex min-h-12 flex-wrap items-center gap-x-3">
                  <span className="grow basis-44">
                    {plate.part}: {plate.figure.toLowerCase()}
                  </span>
                  <b className="w-36">{showBand(plate.low, plate.high, plate.dimension)}</b>
                  <span
                    className={`condensed w-36 text-[14px] ${plate.source === 'typical' ? 'text-soft italic' : 'font-semibold text-well'}`}
                  >
                    {plate.source}
                  </span>
                  <Button
                    look="quiet"
                    aria-expanded={editing === plate.id}
                    aria-label={`Change ${plate.part}: ${plate.figure}`}
                    onClick={() => setEditing(editing === plate.id ? undefined : plate.id)}
                  >
                    Change
                  </Button>
                </div>
                {plate.note && (
                  <p className="text-[14px] text-soft" translate="no">
                    {plate.note}
                  </p>
                )}
                {editing === plate.id && (
                  <PlateEditor
                    plate={plate}
                    stored={stored}
                    onDone={() => {
                      setEditing(undefined);
                      onSaved();
                    }}
                  />
                )}
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}

function PlateEditor({ plate, stored, onDone }: { plate: PlateView; stored: StoredMachine; onDone: () => void }) {
  const unit = habitUnit(plate.dimension, habits.inUse, plate.high);
  const show = (v: number) => String(Number(fromSi(v, unit).toPrecision(4)));
  const initial = {
    low: show(plate.low),
    high: show(plate.high),
    source: plate.source === 'typical' ? 'manual' : plate.source,
    note: plate.note,
  };
  const [draft, setDraft, clear] = useDraft(`${stored.id}.${plate.id}`, initial);
  const [errors, setErrors] = useState<Record<string, string>>({});

  const { range } = plate;
  const outside = `This machine is computed with ${showQuantity(range.low, plate.dimension)} to ${showQuantity(range.high, plate.dimension)}.`;

  async function put(own: PlateValue | undefined) {
    const { [plate.id]: _old, ...others } = stored.machine.plates;
    try {
      await call(
        'PUT',
        `/machines/${stored.id}`,
        { ...stored.machine, plates: own ? { ...others, [plate.id]: own } : others },
        stored.version,
      );
      clear();
      onDone();
    } catch (error) {
      const refusal = problemOf(error);
      setErrors({ low: refusal.fields[0]?.message ?? refusal.message });
    }
  }
  function save() {
    const low = parseQuantity(draft.low, plate.dimension, unit.symbol);
    const high = parseQuantity(draft.high, plate.dimension, unit.symbol);
    const wrong: Record<string, string> = {};
    if (!low.ok) wrong['low'] = failureWords(low.failure);
    if (!high.ok) wrong['high'] = failureWords(high.failure);
    if (low.ok && high.ok && low.value > high.value)
      wrong['low'] = 'The band is upside down: the lower figure is above the upper one.';
    for (const [end, read] of [
      ['low', low],
      ['high', high],
    ] as const)
      if (read.ok && !wrong[end] && !(read.value >= range.low && read.value <= range.high)) wrong[end] = outside;
    setErrors(wrong);
    if (low.ok && high.ok && Object.keys(wrong).length === 0)
      void put({ low: low.value, high: high.value, source: draft.source as PlateValue['source'], note: draft.note });
  }
  return (
    <form
      className="mb-3 grid gap-3 rounded-lg bg-sunk p-3 sm:grid-cols-3"
      onSubmit={(e) => {
        e.preventDefault();
        save();
      }}
    >
      <TextField
        label={`From${unit.symbol ? `, ${unit.symbol}` : ''}`}
        value={draft.low}
        error={errors['low']}
        onChange={(e) => setDraft({ ...draft, low: e.target.value })}
      />
      <TextField
        label={`To${unit.symbol ? `, ${unit.symbol}` : ''}`}
        value={draft.high}
        error={errors['high']}
        onChange={(e) => setDraft({ ...draft, high: e.target.value })}
      />
      <SelectField
        label="Source"
        value={draft.source}
        options={SOURCES}
        onChange={(source) => setDraft({ ...draft, source: source as typeof draft.source })}
      />
      <div className="sm:col-span-3">
        <TextField label="Note" value={draft.note} onChange={(e) => setDraft({ ...draft, note: e.target.value })} />
      </div>
      <div className="flex flex-wrap gap-2 sm:col-span-3">
        <Button look="do" type="submit">
          Save the figure
        </Button>
        {plate.source !== 'typical' && <Button onClick={() => void put(undefined)}>Back to typical</Button>}
      </div>
    </form>
  );
}
