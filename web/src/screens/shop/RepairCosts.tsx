import type { FitOutOne, House, MachineBody, RepairView } from '@pondu/core';
import { SPARK_KINDS } from '@pondu/core/schema';
import { useState } from 'react';
import { toast } from 'sonner';
import { call } from '../../api/client.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredHouse } from '../../api/types.ts';
import { useModel } from '../../tracer/useTracer.ts';
import { Button } from '../../ui/Button.tsx';
import { SelectField, TextField } from '../../ui/Field.tsx';
import { LAYOUT_WORDS } from '../machines/fitOutWords.ts';
import { asks } from '../machines/sight.ts';
import { Failed, Loading } from '../../ui/States.tsx';
import { repairNames } from '../../words/repairs.ts';

/** A machine of a kind with all that such a one can have, so that every repair is listed. */
const everyPart = (layout: FitOutOne['layout']): MachineBody => ({
  name: 'every part',
  kind: 'car',
  maker: '',
  year: '',
  worth: 0,
  firingOrder: '',
  notes: '',
  plates: {},
  fitOut: {
    volts: 12,
    earth: 'negative',
    cylinders: 2,
    marine: false,
    compressionRatio: 8,
    trails: [
      {
        trail: 'spark',
        kind: layout,
        options: { ballast: asks(layout).ballast ? 'bypassed' : 'none', fused: true, suppressor: true },
      },
    ],
  },
});
const KINDS = SPARK_KINDS.map((value) => ({ value, label: LAYOUT_WORDS[value] }));

/** Minutes and money of each repair: usual figures until the shop gives its own. */
export function RepairCosts({ stored, onSaved }: { stored: StoredHouse; onSaved: () => void }) {
  const [layout, setLayout] = useState<FitOutOne['layout']>('battery-points');
  const { data: model, error } = useModel(everyPart(layout), stored.house);
  const [editing, setEditing] = useState<string>();
  if (error) return <Failed error={error} />;
  if (!model) return <Loading what="Fetching the repairs" />;
  const repairs = model.repairs.filter((r) => r.follows === null);
  const nameOf = repairNames(repairs);
  return (
    <section className="card p-4 lg:col-span-2" aria-label="Repairs">
      <h2 className="text-xl">What repairs cost here</h2>
      <p className="text-[14px] text-soft">
        Minutes and parts weigh in what is checked first and when it is time to fix. Bold figures are your own.
      </p>
      <div className="mt-2 max-w-sm">
        <SelectField label="On" value={layout} options={KINDS} onChange={(v) => setLayout(v as FitOutOne['layout'])} />
      </div>
      <ul className="mt-2 grid gap-x-8 md:grid-cols-2">
        {repairs.map((r) => (
          <li key={r.id} className="border-t border-rule py-1">
            <div className="flex min-h-12 items-center gap-3">
              <span className="grow">{nameOf(r)}</span>
              <span className={`shrink-0 ${r.id in stored.house.repairs ? 'font-semibold' : 'text-soft'}`}>
                {r.minutes} min, {stored.house.currency}
                {r.money}
              </span>
              <Button
                look="quiet"
                aria-label={`Change: ${nameOf(r)}`}
                aria-expanded={editing === r.id}
                onClick={() => setEditing(editing === r.id ? undefined : r.id)}
              >
                Change
              </Button>
            </div>
            {editing === r.id && <CostEditor repair={r} stored={stored} onSaved={onSaved} />}
          </li>
        ))}
      </ul>
    </section>
  );
}

function CostEditor({ repair, stored, onSaved }: { repair: RepairView; stored: StoredHouse; onSaved: () => void }) {
  const [minutes, setMinutes] = useState(String(repair.minutes));
  const [money, setMoney] = useState(String(repair.money));
  const number = (text: string) => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));
  const wrong = (text: string) => (number(text) >= 0 ? undefined : `“${text}” is not a number.`);

  async function put(own: House['repairs'][string] | undefined) {
    const { [repair.id]: _old, ...others } = stored.house.repairs;
    try {
      await call(
        'PUT',
        '/house',
        { ...stored.house, repairs: own ? { ...others, [repair.id]: own } : others },
        stored.version,
      );
      onSaved();
    } catch (error) {
      toast.error(problemOf(error).message);
      onSaved();
    }
  }
  return (
    <form
      className="mb-2 flex flex-wrap items-end gap-2 rounded-lg bg-sunk p-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (!wrong(minutes) && !wrong(money)) void put({ minutes: number(minutes), money: number(money) });
      }}
    >
      <div className="w-28">
        <TextField
          label="Minutes"
          inputMode="decimal"
          value={minutes}
          error={wrong(minutes)}
          onChange={(e) => setMinutes(e.target.value)}
        />
      </div>
      <div className="w-28">
        <TextField
          label={`Parts, ${stored.house.currency}`}
          inputMode="decimal"
          value={money}
          error={wrong(money)}
          onChange={(e) => setMoney(e.target.value)}
        />
      </div>
      <Button look="do" type="submit">
        Save
      </Button>
      {repair.id in stored.house.repairs && <Button onClick={() => void put(undefined)}>Back to usual</Button>}
    </form>
  );
}
