import { looksOf, PLUG_LOOKS, plugWordOf, type PlugLook } from '@pondu/core';
import { useState } from 'react';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { PlugDrawing } from './PlugDrawing.tsx';

const OPTIONS = PLUG_LOOKS.map((look) => ({ value: look, label: look }));

/** The plugs as they lie there: pick a look, tap the plugs that have it; the answer follows from the whole set. */
export function PlugGrid({ plugs, word, onChange }: { plugs: number; word: string; onChange: (word: string) => void }) {
  const [tapped, setTapped] = useState<readonly PlugLook[]>();
  const [brush, setBrush] = useState<PlugLook>('wet or sooty');
  // A word that was picked from the list lays the plugs out anew.
  const looks =
    tapped && (plugWordOf(tapped) ?? '') === word
      ? tapped
      : (looksOf(word, plugs) ?? tapped ?? Array.from({ length: plugs }, (): PlugLook => 'dry'));
  const lay = (next: readonly PlugLook[]) => {
    setTapped(next);
    onChange(plugWordOf(next) ?? '');
  };
  const tap = (k: number) => lay(looks.map((l, i) => (i === k ? (l === brush ? 'dry' : brush) : l)));
  const noWord = tapped !== undefined && looks === tapped && plugWordOf(tapped) === undefined;
  return (
    <div className="grid gap-2">
      <Choice label="Look, then tap the plugs that have it" value={brush} options={OPTIONS} onChange={setBrush} />
      <div role="group" aria-label="Plugs as they lie there" className="flex flex-wrap gap-2">
        {looks.map((look, k) => (
          <button
            key={k}
            type="button"
            data-plug={k + 1}
            onClick={() => tap(k)}
            className="relative grid min-h-24 w-[74px] place-items-center rounded-lg border-[1.5px] border-soft bg-panel py-1 hover:bg-sunk"
          >
            <span className="sr-only">{`Plug ${k + 1}: ${look}`}</span>
            <span aria-hidden className="text-[15px] font-semibold">
              {k + 1}
            </span>
            <PlugDrawing look={look} />
            <span aria-hidden className="condensed text-[13px] leading-tight">
              {look}
            </span>
          </button>
        ))}
        {plugs > 1 && (
          <Button className="!min-h-24" onClick={() => lay(looks.map(() => brush))}>
            All
          </Button>
        )}
      </div>
      <p role="status" className="text-[14px] text-soft empty:hidden">
        {noWord ? 'No single answer covers this set: tell what strikes most, and the rest as the reading’s note.' : ''}
      </p>
    </div>
  );
}
