import type { Complaint, Station } from '@pondu/core';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { SelectField, TextArea, TextField } from '../../ui/Field.tsx';
import { RecentWorkFields } from './RecentWorkFields.tsx';
import { HAPPENED, PATTERNS, SYMPTOM_GROUPS, SYMPTOMS } from '../../words/complaint.ts';
import { heardIn } from '../../words/heard.ts';

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
  // What is chosen already is not proposed.
  const heard = SYMPTOMS.filter((s) => s.value !== value.symptom && heardIn(value.words).includes(s.value));
  return (
    <div className="grid gap-4">
      <div className="grid gap-2">
        <TextArea label="In the owner’s words" value={value.words} onChange={(e) => set({ words: e.target.value })} />
        {heard.length > 0 && (
          <div role="group" aria-label="Sounds like" className="flex flex-wrap items-center gap-2">
            <span className="tag">Sounds like</span>
            {heard.map((s) => (
              <Button key={s.value} onClick={() => set({ symptom: s.value })}>
                {s.label}
              </Button>
            ))}
          </div>
        )}
      </div>
      <fieldset className="grid gap-3">
        <legend className="sr-only">What it does</legend>
        {SYMPTOM_GROUPS.map((g) => (
          <Choice
            key={g.label}
            label={g.label}
            columns="grid-cols-2 lg:grid-cols-3"
            value={value.symptom}
            options={g.options}
            onChange={(symptom) => set({ symptom })}
          />
        ))}
        {errors['symptom'] && <FieldNote text={errors['symptom']} />}
      </fieldset>
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
