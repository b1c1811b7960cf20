import { useCallback, useState } from 'react';

const PREFIX = 'pondu.draft.';

/** Leaves a draft for a screen that is opened next. */
export function putDraft(key: string, value: unknown): void {
  localStorage.setItem(PREFIX + key, JSON.stringify(value));
}

/** Typed text that survives a reload: kept in this browser under a key until it is saved or thrown away. */
export function useDraft<T>(key: string, initial: T): [T, (value: T) => void, () => void] {
  const read = (k: string): T => {
    try {
      const text = localStorage.getItem(PREFIX + k);
      return text === null ? initial : (JSON.parse(text) as T);
    } catch {
      return initial;
    }
  };
  const [held, setHeld] = useState({ key, value: read(key) });
  // Another key is another draft: a new check's box does not show the old one's text.
  const current = held.key === key ? held.value : read(key);
  if (held.key !== key) setHeld({ key, value: current });

  const set = useCallback(
    (value: T) => {
      setHeld({ key, value });
      try {
        localStorage.setItem(PREFIX + key, JSON.stringify(value));
      } catch {
        // A full or forbidden store loses only the survival of a reload.
      }
    },
    [key],
  );
  const clear = useCallback(() => {
    localStorage.removeItem(PREFIX + key);
    setHeld({ key, value: initial });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the first value given is the empty draft
  }, [key]);
  return [current, set, clear];
}
