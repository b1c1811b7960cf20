import { QUANTITIES, UNIT_CHOICES, type House, type Quantity, type VocabularyName } from '@pondu/core';
import { VOCABULARY_NAMES } from '@pondu/core/schema';
import { toast } from 'sonner';
import { call } from '../../api/client.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredHouse } from '../../api/types.ts';
import { SelectField } from '../../ui/Field.tsx';
import { habits, useHabits } from '../../units/habits.ts';

const LABELS: Readonly<Record<Quantity, string>> = {
  length: 'Gaps and small lengths',
  height: 'Height above the sea',
  pressure: 'Pressure',
  vacuum: 'Vacuum',
  temperature: 'Temperature',
  volume: 'Small volumes',
  torque: 'Torque',
  tank: 'Petrol in a tank',
  wire: 'Wire',
};
const WORDS: Readonly<Record<string, string>> = {
  thou: 'thou and inches',
  'US fl oz': 'fluid ounces, US',
  'imp fl oz': 'fluid ounces, imperial',
  AWG: 'gauge number (AWG)',
};
/** Where each is spoken: the words themselves would be said in the shop’s own. */
const SPOKEN: Readonly<Record<VocabularyName, string>> = {
  british: 'as in Britain and Ireland',
  american: 'as in North America',
};
const AS_SHOP = 'as the shop';
const optionsOf = (quantity: Quantity) => UNIT_CHOICES[quantity].map((u) => ({ value: u, label: WORDS[u] ?? u }));

/** Units by quantity: what the shop goes by, and what this device shows in their place. */
export function UnitsPanel({ stored, onSaved }: { stored: StoredHouse; onSaved: () => void }) {
  const { units } = stored.house;
  // Asked for so that the panel follows what is chosen here.
  useHabits();

  async function put(change: Partial<House>) {
    try {
      await call('PUT', '/house', { ...stored.house, ...change }, stored.version);
      onSaved();
    } catch (error) {
      const refusal = problemOf(error);
      toast.error(refusal.message);
      if (refusal.stale) onSaved();
    }
  }
  function ofDevice(quantity: Quantity, unit: string) {
    const { [quantity]: _old, ...others } = habits.own;
    habits.ofDevice(unit === AS_SHOP ? others : { ...others, [quantity]: unit });
  }
  return (
    <section className="card grid content-start gap-3 p-4" aria-label="Units">
      <h2 className="text-xl">Units and words</h2>
      <p className="text-[14px] text-soft">
        Everything is shown in these, and a bare number is meant in them. Any other unit can be typed behind its number.
        Where gaps go in thou, a bare number below one is in inches.
      </p>
      {QUANTITIES.map((q) => (
        <div key={q} className="grid grid-cols-2 items-end gap-3">
          <SelectField
            label={LABELS[q]}
            value={units[q]}
            options={optionsOf(q)}
            onChange={(unit) => void put({ units: { ...units, [q]: unit } })}
          />
          <SelectField
            label={`${LABELS[q]}, this device`}
            value={habits.own[q] ?? AS_SHOP}
            options={[{ value: AS_SHOP, label: AS_SHOP }, ...optionsOf(q)]}
            onChange={(unit) => ofDevice(q, unit)}
          />
        </div>
      ))}
      <SelectField
        label="Words that regions say differently"
        value={stored.house.vocabulary}
        options={VOCABULARY_NAMES.map((value) => ({ value, label: SPOKEN[value] }))}
        onChange={(vocabulary) => void put({ vocabulary: vocabulary as VocabularyName })}
      />
    </section>
  );
}
