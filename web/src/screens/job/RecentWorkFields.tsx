import { recognised, type RecentWork, type Station } from '@pondu/core';
import { X } from 'lucide-react';
import { Button } from '../../ui/Button.tsx';
import { SelectField } from '../../ui/Field.tsx';
import { AGO, WORK } from '../../words/complaint.ts';

const WHAT = Object.entries(WORK).map(([value, label]) => ({ value, label }));
const WHEN = Object.entries(AGO).map(([value, label]) => ({ value, label }));

/** What was done, where on the machine: picked, or recognised from what was written. It weighs like a reading. */
export function RecentWorkFields({
  stations,
  text,
  value,
  onChange,
}: {
  stations: readonly Pick<Station, 'id' | 'label'>[];
  /** What was written about it. */
  text: string;
  value: readonly RecentWork[];
  onChange: (value: RecentWork[]) => void;
}) {
  const labelOf = (id: string) => stations.find((s) => s.id === id)?.label ?? id;
  const open = stations.filter((s) => !value.some((r) => r.station === s.id));
  const offered = recognised(open, text);
  const change = (station: string, part: Partial<RecentWork>) =>
    onChange(value.map((r) => (r.station === station ? { ...r, ...part } : r)));
  return (
    <fieldset className="grid gap-2">
      <legend className="tag mb-1">Where that was: it makes these likelier</legend>
      {offered.length > 0 && (
        <p className="flex flex-wrap items-center gap-2">
          {offered.map((r) => (
            <Button key={r.station} onClick={() => onChange([...value, r])}>
              You wrote “{labelOf(r.station).toLowerCase()}”: add it
            </Button>
          ))}
        </p>
      )}
      {value.map((r) => (
        <div key={r.station} className="grid items-end gap-2 sm:grid-cols-[10rem_1fr_1fr_3rem]">
          <b className="self-center">{labelOf(r.station)}</b>
          <SelectField
            label={`${labelOf(r.station)}: what`}
            value={r.what}
            options={WHAT}
            onChange={(what) => change(r.station, { what: what as RecentWork['what'] })}
          />
          <SelectField
            label={`${labelOf(r.station)}: when`}
            value={r.ago}
            options={WHEN}
            onChange={(ago) => change(r.station, { ago: ago as RecentWork['ago'] })}
          />
          <Button
            look="quiet"
            aria-label={`Take ${labelOf(r.station).toLowerCase()} out`}
            onClick={() => onChange(value.filter((o) => o !== r))}
          >
            <X aria-hidden className="size-5" />
          </Button>
        </div>
      ))}
      <div className="max-w-sm">
        <SelectField
          label="Worked on"
          value=""
          options={[{ value: '', label: 'nothing more' }, ...open.map((s) => ({ value: s.id, label: s.label }))]}
          onChange={(station) => station && onChange([...value, { station, what: 'new', ago: 'just before' }])}
        />
      </div>
    </fieldset>
  );
}
