import type { CheckView, Ruler } from '@pondu/core';
import { useRef, useState } from 'react';
import { PlugGrid } from '../../ruler/PlugGrid.tsx';
import { WordRuler } from '../../ruler/WordRuler.tsx';
import { Button } from '../../ui/Button.tsx';
import { placeholder } from '../../words/failures.ts';
import type { ReadingEntry } from './useReadingEntry.ts';

export const READING_FORM = 'reading-form';

/** The reading itself: a field or the answers, and what saves it. On a narrow screen it stays at the foot, under the thumb. */
export function ReadingForm({
  check,
  ruler,
  entry,
  understood,
  mayLeave,
}: {
  check: CheckView;
  ruler: Ruler;
  entry: ReadingEntry;
  understood: boolean;
  /** It may be set aside. */
  mayLeave: boolean;
}) {
  return (
    <form
      id={READING_FORM}
      data-reading
      className="reading-form"
      onSubmit={(e) => {
        e.preventDefault();
        if (understood) entry.save();
      }}
    >
      {entry.correcting && (
        <p className="rounded bg-warn-wash px-3 py-1.5 text-warn">
          Correcting an earlier reading: the old one stays in the log, struck out.
        </p>
      )}
      {!ruler.dimension && (
        <div className="reading-words">
          {check.plugs > 1 && <PlugGrid plugs={check.plugs} word={entry.typed} onChange={entry.setTyped} />}
          <WordRuler ruler={ruler} value={entry.typed} onChange={entry.setTyped} few={check.plugs > 1} />
        </div>
      )}
      <div className="flex flex-wrap items-start gap-2">
        {ruler.dimension && <ReadingField ruler={ruler} entry={entry} />}
        <Button look="do" type="submit" className="!min-h-14 grow !px-5" disabled={entry.saving || !understood}>
          {entry.saving ? 'Saving…' : 'Save reading'}
        </Button>
        {mayLeave && (
          // What is proposed may be out of reach, or nobody can say what it shows.
          <Button className="!min-h-14" disabled={entry.saving} onClick={entry.setAside}>
            Cannot tell
          </Button>
        )}
      </div>
      {!understood && (
        <p className="text-[14px] text-warn lg:hidden">It can be saved once the cautions are understood.</p>
      )}
      <p id="reading-note" role={entry.error ? 'alert' : undefined} className="font-medium text-danger empty:hidden">
        {entry.error}
      </p>
      {entry.absurd && (
        <div className="flex flex-wrap items-center gap-3 rounded-lg bg-warn-wash p-3 text-warn">
          <p className="grow font-medium">Is the meter on the right range, and are the leads where they belong?</p>
          <Button onClick={() => entry.save(true)}>Yes, let it stand</Button>
        </div>
      )}
    </form>
  );
}

function ReadingField({ ruler, entry }: { ruler: Ruler; entry: ReadingEntry }) {
  const pressure = ruler.dimension === 'pressure';
  const [letters, setLetters] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <div className="min-w-0 grow basis-32">
        <label htmlFor="reading" className="sr-only">
          Reading
        </label>
        <input
          id="reading"
          ref={field}
          className="field !h-14 text-2xl font-semibold placeholder:text-[15px] placeholder:font-normal"
          placeholder={pressure ? `in ${entry.gaugeUnit}` : placeholder(ruler.dimension!)}
          value={entry.typed}
          onChange={(e) => entry.setTyped(e.target.value)}
          inputMode={letters ? 'text' : 'decimal'}
          autoComplete="off"
          enterKeyHint="done"
          aria-invalid={entry.error ? true : undefined}
          aria-describedby="reading-note"
        />
      </div>
      {/* Number keys have no unit and, on some phones, no minus sign. */}
      <Button
        className="!hidden !min-h-14 !px-2 pointer-coarse:!inline-flex"
        aria-label={letters ? 'Number keys' : 'Letter keys'}
        onClick={() => {
          setLetters(!letters);
          field.current?.focus();
        }}
      >
        {letters ? '123' : 'abc'}
      </Button>
      {ruler.dimension === 'resistance' && (
        <Button className="!min-h-14" onClick={() => entry.setTyped('OL')}>
          OL
        </Button>
      )}
    </>
  );
}
