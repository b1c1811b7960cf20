import { formatBand, formatQuantity, parseQuantity, type SettingView } from '@pondu/core';
import { useState } from 'react';
import { toast } from 'sonner';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { useSettings } from '../../tracer/useTracer.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { example, failureWords } from '../../words/failures.ts';
import type { JobPlace } from './place.ts';
import { Reckoner } from './Reckoner.tsx';
import { SnagPanel } from './SnagPanel.tsx';
import { useMoveOn } from './useMoveOn.ts';

export function SetUpStage({ stored, input, machine }: JobPlace) {
  const { data: settings, error } = useSettings(input);
  const moveOn = useMoveOn(stored);
  if (error) return <Failed error={error} />;
  if (!settings) return <Loading what="Opening the set-up sheet" />;
  return (
    <div className="grid gap-3 p-3 sm:p-5 lg:grid-cols-2">
      <section className="card p-4" aria-label="Set-up sheet">
        <h2 className="text-xl">Set it up</h2>
        <p className="text-soft">
          Found at, left at. A wider points gap means less dwell and earlier timing: check the timing after the points.
        </p>
        <ul className="mt-3 grid gap-4">
          {settings.map((s) => (
            <SettingRow key={s.figure} setting={s} place={{ stored }} />
          ))}
        </ul>
        <Button look="do" className="mt-4" onClick={() => void moveOn('prove')}>
          Go on: prove it
        </Button>
      </section>
      <SnagPanel stored={stored} />
      <Reckoner jobId={stored.id} cylinders={machine.fitOut.cylinders} />
    </div>
  );
}

function SettingRow({ setting, place: { stored } }: { setting: SettingView; place: Pick<JobPlace, 'stored'> }) {
  const key = `${stored.id}.${setting.figure}`;
  const [found, setFound, clearFound] = useDraft(`${key}.found`, '');
  const [left, setLeft, clearLeft] = useDraft(`${key}.left`, '');
  const [errors, setErrors] = useState<{ found?: string; left?: string }>({});
  const write = useJobWrites(stored);

  async function save() {
    const readFound = found.trim() === '' ? undefined : parseQuantity(found, setting.dimension);
    const readLeft = parseQuantity(left, setting.dimension);
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
          {formatBand(setting.low, setting.high, setting.dimension)}{' '}
          <span className="text-soft">({setting.source})</span>
        </span>
      </div>
      {last && (
        <p>
          {last.foundAt !== null && <>Found at {formatQuantity(last.foundAt, setting.dimension)}, </>}
          left at <b>{formatQuantity(last.leftAt, setting.dimension)}</b>{' '}
          <span className={setting.within ? 'text-well' : 'font-semibold text-warn'}>
            {setting.within ? 'within the band' : 'outside the band'}
          </span>
        </p>
      )}
      <form
        className="grid grid-cols-[1fr_1fr_auto] items-start gap-2"
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
        <Button type="submit" className="mt-[22px]">
          Save
        </Button>
      </form>
    </li>
  );
}
