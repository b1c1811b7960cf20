import type { Compared } from '@pondu/core';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useFieldArray } from 'react-hook-form';
import { Button } from '../../ui/Button.tsx';
import { SelectField, TextField } from '../../ui/Field.tsx';
import { useDraftForm } from '../../ui/useDraftForm.ts';
import { emptyRow, usedSchema, type Asked, type ReadRow, type TypedUsed } from './usedRow.ts';

interface Props {
  title: string;
  how: string;
  asked: readonly Asked[];
  draftKey: string;
  currency: string;
  compare: (rows: readonly ReadRow[]) => Promise<readonly Compared[]>;
}

const MOST = 6;

/** Several used parts with what the bench showed of each; which to fit to this machine, and why. */
export function UsedPanel({ title, how, asked, draftKey, currency, compare }: Props) {
  const [form] = useDraftForm<TypedUsed, { rows: ReadRow[] }>(draftKey, { rows: [emptyRow(asked)] }, usedSchema(asked));
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'rows' });
  const [compared, setCompared] = useState<readonly Compared[]>();
  const [failed, setFailed] = useState('');
  const { errors } = form.formState;
  async function judge({ rows }: { rows: ReadRow[] }) {
    try {
      setCompared(await compare(rows));
      setFailed('');
    } catch (error) {
      setFailed(error instanceof Error ? error.message : String(error));
    }
  }
  return (
    <section className="card grid gap-3 p-4" aria-label={title}>
      <h2 className="text-lg">{title}</h2>
      <p className="max-w-prose text-[14.5px]">{how}</p>
      <form noValidate className="grid gap-3" onSubmit={(e) => void form.handleSubmit(judge)(e)}>
        {fields.map((field, i) => (
          <fieldset key={field.id} className="grid gap-2 border-t border-rule pt-2">
            <legend className="sr-only">Number {i + 1}</legend>
            <div className="grid grid-cols-2 gap-2 sm:grid-cols-4 lg:grid-cols-6">
              <TextField
                label="Which one"
                error={errors.rows?.[i]?.['name']?.message}
                {...form.register(`rows.${i}.name`)}
              />
              {asked.map((a) =>
                'words' in a ? (
                  <SelectField
                    key={a.id}
                    label={a.label}
                    value={form.watch(`rows.${i}.${a.id}`) ?? a.words[0]!}
                    onChange={(v) => form.setValue(`rows.${i}.${a.id}`, v)}
                    options={a.words.map((w) => ({ value: w, label: w }))}
                  />
                ) : (
                  <TextField
                    key={a.id}
                    label={a.label}
                    inputMode="decimal"
                    error={errors.rows?.[i]?.[a.id]?.message}
                    {...form.register(`rows.${i}.${a.id}`)}
                  />
                ),
              )}
              {fields.length > 1 && (
                <Button
                  className="self-end justify-self-start"
                  onClick={() => remove(i)}
                  aria-label={`Take out number ${i + 1}`}
                >
                  <Trash2 aria-hidden className="size-5" />
                </Button>
              )}
            </div>
          </fieldset>
        ))}
        <div className="flex flex-wrap gap-2">
          {fields.length < MOST && (
            <Button onClick={() => append(emptyRow(asked))}>
              <Plus aria-hidden className="size-5" /> Another one
            </Button>
          )}
          <Button type="submit" look="do">
            Compare
          </Button>
        </div>
      </form>
      {failed && (
        <p role="alert" className="font-medium text-danger">
          {failed}
        </p>
      )}
      {compared && (
        <ol className="grid gap-2" aria-label="Best first">
          {compared.map((c, k) => (
            <li key={c.name + k} className="rounded-lg border border-rule p-3">
              <p className="flex flex-wrap items-baseline gap-x-3">
                <strong>{c.name}</strong>
                <span className="tag">
                  {c.problem ? 'not judged' : !c.does ? 'will not do' : k === 0 ? 'fit this' : 'will do'}
                </span>
                <span>
                  {currency} {Math.round(c.cost)} with what it wants
                </span>
              </p>
              <p className="text-[14.5px]">{[c.problem, ...c.why].filter(Boolean).join(' ')}</p>
              {c.wants.length > 0 && <p className="text-[14.5px]">Wants {c.wants.map((w) => w.what).join('; ')}.</p>}
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
