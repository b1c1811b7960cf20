import type { Fix } from '@pondu/core';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { useModel, useTrace } from '../../tracer/useTracer.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { SelectField, TextField } from '../../ui/Field.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { moneyWords, percent } from '../../words/belief.ts';
import { CausePanel } from './CausePanel.tsx';
import { nowOf } from './jobInput.ts';
import type { JobPlace } from './place.ts';
import { SnagPanel } from './SnagPanel.tsx';
import { useMoveOn } from './useMoveOn.ts';

const HOW = [
  { value: 'replaced', label: 'Replaced' },
  { value: 'cleaned', label: 'Cleaned' },
  { value: 'adjusted', label: 'Adjusted' },
  { value: 'adapted', label: 'Adapted' },
  { value: 'bypassed', label: 'Bypassed' },
] as const satisfies readonly { value: Fix['how']; label: string }[];

interface FixDraft {
  repairId: string;
  what: string;
  how: Fix['how'];
  parts: string;
  minutes: string;
  money: string;
  temporary: boolean;
}

const howOf = (label: string): Fix['how'] =>
  /^(clean|dry)/i.test(label) ? 'cleaned' : /^(set|swap|charge)/i.test(label) ? 'adjusted' : 'replaced';

/** What was done about it; then why it failed. */
export function RepairStage(place: JobPlace) {
  const { stored, input, machine, house } = place;
  const trace = useTrace(input, nowOf(stored));
  const model = useModel(machine, house);
  const [params] = useSearchParams();
  const write = useJobWrites(stored);
  const moveOn = useMoveOn(stored);
  const empty: FixDraft = {
    repairId: '',
    what: '',
    how: 'replaced',
    parts: '',
    minutes: '',
    money: '',
    temporary: false,
  };
  const [draft, setDraft, clear] = useDraft<FixDraft>(`${stored.id}.fix`, empty);
  const [errors, setErrors] = useState<Record<string, string>>({});
  const fixes = stored.events.flatMap((e) => (e.type === 'fix' ? [e.fix] : []));
  if (trace.error || model.error) return <Failed error={trace.error ?? model.error} />;
  if (!trace.data || !model.data) return <Loading what="Opening the repair" />;

  const repairs = model.data.repairs;
  const fill = (repairId: string): FixDraft => {
    const r = repairs.find((x) => x.id === repairId);
    return r
      ? { ...empty, repairId, what: r.label, how: howOf(r.label), minutes: String(r.minutes), money: String(r.money) }
      : { ...draft, repairId: '' };
  };
  const { verdict } = trace.data;
  const asked = params.get('repair') ?? (verdict.kind === 'fix' ? verdict.repair.id : null);
  const shown =
    draft.what === '' && draft.repairId === '' && asked && !fixes.some((f) => f.repairId === asked)
      ? fill(asked)
      : draft;
  const leading = trace.data.suspects.filter((s, i, all) => all.findIndex((x) => x.repair.id === s.repair.id) === i);
  const set = (part: Partial<FixDraft>) => setDraft({ ...shown, ...part });
  const goesWith = repairs.find((r) => r.id === shown.repairId)?.goesWith;

  async function save() {
    const number = (text: string) => (text.trim() === '' ? 0 : Number(text.replace(',', '.')));
    const wrong: Record<string, string> = {};
    if (!shown.what.trim()) wrong['what'] = 'Say what was done.';
    for (const key of ['minutes', 'money'] as const)
      if (!(number(shown[key]) >= 0)) wrong[key] = `“${shown[key]}” is not a number.`;
    setErrors(wrong);
    if (Object.keys(wrong).length) return;
    try {
      await write('POST', '/fixes', {
        ...shown,
        id: crypto.randomUUID(),
        minutes: number(shown.minutes),
        money: number(shown.money),
      });
      clear();
      toast.success('Repair written down.');
    } catch (error) {
      const refusal = problemOf(error);
      setErrors(Object.fromEntries(refusal.fields.map((f) => [f.field, f.message])));
      toast.error(refusal.message);
    }
  }
  const options = [
    { value: '', label: 'Something else (say what below)' },
    ...leading.map((s) => ({ value: s.repair.id, label: `${s.repair.label} · ${percent(s.share)}` })),
    ...repairs.filter((r) => !leading.some((s) => s.repair.id === r.id)).map((r) => ({ value: r.id, label: r.label })),
  ];
  return (
    <div className="grid gap-3 p-3 sm:p-5 lg:grid-cols-2">
      <section className="card grid content-start gap-3 p-4" aria-label="Repair">
        <h2 className="text-xl">What is done about it</h2>
        <SelectField label="Repair" value={shown.repairId} options={options} onChange={(id) => setDraft(fill(id))} />
        <TextField
          label="In words"
          value={shown.what}
          error={errors['what']}
          onChange={(e) => set({ what: e.target.value })}
        />
        {goesWith && <p className="text-[15px]">Renew as a set with {goesWith}.</p>}
        <Choice label="How" value={shown.how} options={HOW} onChange={(how) => set({ how })} />
        <TextField label="Parts, with numbers" value={shown.parts} onChange={(e) => set({ parts: e.target.value })} />
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="Minutes"
            inputMode="decimal"
            value={shown.minutes}
            error={errors['minutes']}
            onChange={(e) => set({ minutes: e.target.value })}
          />
          <TextField
            label={`Parts, ${house.currency}`}
            inputMode="decimal"
            value={shown.money}
            error={errors['money']}
            onChange={(e) => set({ money: e.target.value })}
          />
        </div>
        <label className="flex min-h-12 items-center gap-3">
          <input
            type="checkbox"
            className="size-6"
            checked={shown.temporary}
            onChange={(e) => set({ temporary: e.target.checked })}
          />
          Temporary: it gets it home
        </label>
        <Button look="do" onClick={() => void save()}>
          Write down the repair
        </Button>
      </section>
      <div className="grid content-start gap-3">
        {fixes.length > 0 && (
          <section className="card p-4" aria-label="Done so far">
            <h2 className="text-lg">Done so far</h2>
            <ul className="mt-1 grid gap-1">
              {fixes.map((f) => (
                <li key={f.id} className="flex justify-between gap-3">
                  <span>
                    {f.what}
                    {f.temporary && <b className="text-warn"> (temporary)</b>}
                  </span>
                  <span className="shrink-0 text-soft">
                    {f.minutes} min, {moneyWords(f.money, house.currency)}
                  </span>
                </li>
              ))}
            </ul>
            <div className="mt-3 flex flex-wrap gap-2">
              <Button look="do" onClick={() => void moveOn('set up')}>
                Go on: set it up
              </Button>
              <Button onClick={() => void moveOn('trace')}>Trace on</Button>
            </div>
          </section>
        )}
        {fixes.map((f) => (
          <CausePanel key={f.id} fix={f} place={place} faults={model.data!.faults} />
        ))}
        <SnagPanel stored={stored} />
      </div>
    </div>
  );
}
