import type { Conditions } from '@pondu/core';
import { Choice } from '../../ui/Choice.tsx';
import { TextField } from '../../ui/Field.tsx';
import type { ReadingEntry } from './useReadingEntry.ts';

const WARMTH = [
  { value: 'cold', label: 'cold' },
  { value: 'hot', label: 'hot' },
  { value: 'unknown', label: '?' },
] as const satisfies readonly { value: Conditions['warmth']; label: string }[];
const PRESENT = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
  { value: 'unknown', label: '?' },
] as const satisfies readonly { value: Conditions['faultPresent']; label: string }[];

const UNDER = { wet: 'wetted', load: 'under load', 'ten minutes': 'after ten minutes of running' } as const;

/** With each reading: was the fault there, and how warm was the part. Only a failing machine can fail a test. */
export function ConditionsRow({ entry, form }: { entry: ReadingEntry; form?: string }) {
  const { conditions, setConditions } = entry;
  return (
    <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
      <Choice
        label="Is it failing now?"
        value={conditions.faultPresent}
        options={PRESENT}
        onChange={(faultPresent) => setConditions({ ...conditions, faultPresent })}
      />
      <Choice
        label="Part is"
        value={conditions.warmth}
        options={WARMTH}
        onChange={(warmth) => {
          // Picked by hand, it is no longer the timed soak that says how warm.
          const { soakMinutes: _timed, ...rest } = conditions;
          setConditions({ ...rest, warmth });
        }}
      />
      {conditions.under !== undefined && (
        <label className="flex min-h-12 items-center gap-2">
          <input
            type="checkbox"
            className="size-6"
            checked
            onChange={() => {
              const { under: _not, ...rest } = conditions;
              setConditions(rest);
            }}
          />
          {UNDER[conditions.under]}
        </label>
      )}
      {conditions.soakMinutes !== undefined && (
        <p className="text-[14px] font-medium">after {conditions.soakMinutes} min of soak</p>
      )}
      <div className="min-w-40 grow">
        <TextField label="Note" form={form} value={entry.note} onChange={(e) => entry.setNote(e.target.value)} />
      </div>
    </div>
  );
}
