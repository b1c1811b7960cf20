import type { SettingView } from '@pondu/core';
import { useState } from 'react';
import { toast } from 'sonner';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredJob } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { TextField } from '../../ui/Field.tsx';
import { example, failureWords } from '../../words/failures.ts';
import { meant, showQuantity, showBand, readQuantity } from '../../units/quantity.ts';

/** Found at, left at: every figure of this machine that is set. */
export function SheetBench({ stored, settings }: { stored: StoredJob; settings: readonly SettingView[] }) {
  if (settings.length === 0)
    return <p className="text-soft">Nothing of what this machine has told is set by a figure.</p>;
  return (
    <>
      <p className="text-soft">
        What is found goes into the trace like any reading. A wider points gap means less dwell and earlier timing:
        check the timing after the points.
      </p>
      <ul className="mt-3 grid gap-4">
        {settings.map((s) => (
          <SettingRow key={s.figure} setting={s} stored={stored} />
        ))}
      </ul>
    </>
  );
}

type Warmth = 'unknown' | 'cold' | 'hot';
const WARMTHS: readonly { value: Warmth; label: string }[] = [
  { value: 'unknown', label: 'Either' },
  { value: 'cold', label: 'Cold' },
  { value: 'hot', label: 'Hot' },
];

function SettingRow({ setting, stored }: { setting: SettingView; stored: StoredJob }) {
  const key = `${stored.id}.${setting.figure}`;
  const [found, setFound, clearFound] = useDraft(`${key}.found`, '');
  const [left, setLeft, clearLeft] = useDraft(`${key}.left`, '');
  const [using, setUsing] = useDraft(`${key}.with`, '');
  const [warmth, setWarmth] = useDraft<Warmth>(`${key}.warmth`, 'unknown');
  const [errors, setErrors] = useState<{ found?: string; left?: string }>({});
  const write = useJobWrites(stored);

  async function save() {
    const readFound = found.trim() === '' ? undefined : readQuantity(found, setting.dimension);
    const readLeft = readQuantity(left, setting.dimension);
    const wrong: typeof errors = {};
    if (readFound && !readFound.ok) wrong.found = failureWords(readFound.failure);
    if (!readLeft.ok)
      wrong.left = readLeft.failure.code === 'empty' ? 'Type what it was left at.' : failureWords(readLeft.failure);
    setErrors(wrong);
    if (!readLeft.ok || (readFound && !readFound.ok)) return;
    try {
      await write('POST', '/settings', {
        figure: setting.figure,
        foundAt: readFound?.value ?? null,
        leftAt: readLeft.value,
        ...(readFound ? { foundTyped: meant(found.trim(), setting.dimension) } : {}),
        leftTyped: meant(left.trim(), setting.dimension),
        ...(warmth === 'unknown' ? {} : { warmth }),
        ...(using.trim() ? { with: using.trim() } : {}),
      });
      clearFound();
      clearLeft();
    } catch (error) {
      toast.error(problemOf(error).message);
    }
  }
  const last = setting.setting;
  return (
    <li className="grid gap-2 border-t border-rule pt-3">
      <div className="flex flex-wrap justify-between gap-2">
        <h3 className="text-[17px]">{setting.label}</h3>
        <span>
          {showBand(setting.low, setting.high, setting.dimension)} <span className="text-soft">({setting.source})</span>
        </span>
      </div>
      {last && (
        <p>
          {last.foundAt !== null && <>Found at {last.foundTyped ?? showQuantity(last.foundAt, setting.dimension)}, </>}
          left at <b>{last.leftTyped ?? showQuantity(last.leftAt, setting.dimension)}</b>
          {last.leftTyped !== undefined && <> ({showQuantity(last.leftAt, setting.dimension)})</>}{' '}
          <span className={setting.within ? 'text-well' : 'font-semibold text-warn'}>
            {setting.within ? 'within the band' : 'outside the band'}
          </span>{' '}
          <span className="tag">
            {[last.warmth, last.with, last.by?.initials].filter((w) => w && w !== 'unknown').join(', ')}
          </span>
        </p>
      )}
      <form
        className="grid grid-cols-2 items-start gap-2 sm:grid-cols-[1fr_1fr_1fr_auto]"
        onSubmit={(e) => {
          e.preventDefault();
          void save();
        }}
      >
        <TextField
          label="Found at"
          value={found}
          error={errors.found}
          onChange={(e) => setFound(e.target.value)}
          placeholder={example(setting.dimension)}
        />
        <TextField label="Left at" value={left} error={errors.left} onChange={(e) => setLeft(e.target.value)} />
        <TextField label="With what" value={using} maxLength={60} onChange={(e) => setUsing(e.target.value)} />
        <Button type="submit" className="mt-[22px]">
          Save
        </Button>
      </form>
      {(found !== '' || left !== '') && (
        <Choice label="Engine" hideLabel value={warmth} options={WARMTHS} onChange={setWarmth} />
      )}
    </li>
  );
}
