import type { Complaint, Station } from '@pondu/core';
import { Choice } from '../../ui/Choice.tsx';
import { SelectField, TextArea, TextField } from '../../ui/Field.tsx';
import { RecentWorkFields } from './RecentWorkFields.tsx';
import { HAPPENED, PATTERNS, SYMPTOMS } from '../../words/complaint.ts';

export type ComplaintDraft = Omit<Complaint, 'symptom' | 'pattern'> & {
  symptom: Complaint['symptom'] | '';
  pattern: Complaint['pattern'] | '';
};
export const emptyComplaint: ComplaintDraft = { symptom: '', pattern: '', words: '', since: '', before: '' };

const NOTHING = 'nothing';
type Also = NonNullable<Complaint['also']>;
function withAlso({ also: _also, ...rest }: ComplaintDraft, chosen: string): ComplaintDraft {
  return chosen === NOTHING ? rest : { ...rest, also: chosen as Also };
}

/** What it does and when, in the trade's terms and in the owner's words. */
export function ComplaintFields({
  value,
  onChange,
  errors = {},
  stations = [],
}: {
  value: ComplaintDraft;
  onChange: (value: ComplaintDraft) => void;
  errors?: Readonly<Record<string, string>>;
  /** Of the machine, once it is chosen. */
  stations?: readonly Pick<Station, 'id' | 'label'>[];
}) {
  const set = (part: Partial<ComplaintDraft>) => onChange({ ...value, ...part });
  return (
    <div className="grid gap-4">
      <div>
        <Choice
          label="What it does"
          columns="grid-cols-2 lg:grid-cols-3"
          value={value.symptom}
          options={SYMPTOMS}
          onChange={(symptom) => set({ symptom })}
        />
        {errors['symptom'] && <FieldNote text={errors['symptom']} />}
      </div>
      <div className="max-w-sm">
        <SelectField
          label="And also"
          value={value.also ?? NOTHING}
          options={[{ value: NOTHING, label: 'nothing else' }, ...SYMPTOMS.filter((s) => s.value !== value.symptom)]}
          onChange={(also) => onChange(withAlso(value, also))}
        />
      </div>
      <div>
        <Choice
          label="When"
          columns="grid-cols-2 lg:grid-cols-5"
          value={value.pattern}
          options={PATTERNS}
          onChange={(pattern) => set({ pattern })}
        />
        {errors['pattern'] && <FieldNote text={errors['pattern']} />}
      </div>
      <fieldset className="flex flex-wrap gap-x-6 gap-y-1">
        <legend className="tag mb-1">Before it began</legend>
        {HAPPENED.map(({ value: what, label }) => (
          <label key={what} className="flex min-h-12 items-center gap-2.5">
            <input
              type="checkbox"
              className="size-6 accent-do"
              checked={value.happened?.includes(what) ?? false}
              onChange={(e) => {
                const others = (value.happened ?? []).filter((h) => h !== what);
                set({ happened: e.target.checked ? [...others, what] : others });
              }}
            />
            {label}
          </label>
        ))}
      </fieldset>
      <TextArea label="In the owner’s words" value={value.words} onChange={(e) => set({ words: e.target.value })} />
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField label="Since when" value={value.since} onChange={(e) => set({ since: e.target.value })} />
        <TextField
          label="Done just before (recent parts are suspects)"
          value={value.before}
          onChange={(e) => set({ before: e.target.value })}
        />
      </div>
      {stations.length > 0 && (
        <RecentWorkFields
          stations={stations}
          text={value.before}
          value={value.recent ?? []}
          onChange={(recent) => set({ recent })}
        />
      )}
    </div>
  );
}

function FieldNote({ text }: { text: string }) {
  return (
    <p role="alert" className="mt-1 text-[14px] font-medium text-danger">
      {text}
    </p>
  );
}
