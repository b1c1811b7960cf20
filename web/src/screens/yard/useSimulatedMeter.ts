import type { ReadingValue, Shown } from '@pondu/core';
import { useEffect, useRef, useState } from 'react';

export interface Held {
  now: Shown | undefined;
  lowest: { text: string; value: number } | undefined;
  highest: { text: string; value: number } | undefined;
  /** The last reading that stood still. */
  steady: { text: string; value: ReadingValue } | undefined;
  lost: boolean;
}
const NOTHING: Held = { now: undefined, lowest: undefined, highest: undefined, steady: undefined, lost: false };

/** Takes one more display into what is held. Only what stood still counts: probes on their way do not. */
export function hold(held: Held, shown: Shown): Held {
  if (!shown.steady) return { ...held, now: shown };
  const next: Held = { ...held, now: shown, steady: { text: shown.text, value: shown.value } };
  if (shown.value.kind !== 'number') return next;
  const { value } = shown.value;
  const reading = { text: shown.text, value };
  if (!held.lowest || value < held.lowest.value) next.lowest = reading;
  if (!held.highest || value > held.highest.value) next.highest = reading;
  return next;
}

/** Listens to the stand-in meter while `url` is given; another url begins anew. */
export function useSimulatedMeter(url: string | undefined, onSteady: () => void): Held {
  const [held, setHeld] = useState<Held & { url?: string | undefined }>(NOTHING);
  const steadied = useRef(onSteady);
  useEffect(() => {
    steadied.current = onSteady;
  });
  useEffect(() => {
    if (!url) return undefined;
    const source = new EventSource(url);
    let first = true;
    source.onmessage = (event) => {
      const shown = JSON.parse(String(event.data)) as Shown;
      if (shown.steady && first) {
        first = false;
        steadied.current();
      }
      setHeld((old) => ({ ...hold(old.url === url ? old : NOTHING, shown), url }));
    };
    source.addEventListener('done', () => source.close());
    source.onerror = () => {
      // The stream ends by itself; an end without a reading is a loss.
      source.close();
      if (first) setHeld({ ...NOTHING, url, lost: true });
    };
    return () => source.close();
  }, [url]);
  return held.url === url ? held : NOTHING;
}
