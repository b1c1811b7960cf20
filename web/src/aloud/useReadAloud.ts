import { useEffect, useRef, useState } from 'react';
import { speech } from '../vocabulary/speech.ts';
import { canSpeak, hush, speak } from './speech.ts';

const KEY = 'pondu.aloud';
const kept = (): boolean => localStorage.getItem(KEY) === 'on';

export interface ReadAloud {
  readonly on: boolean;
  /** It was switched on where nothing can be said. */
  readonly mute: boolean;
  toggle(): void;
}

/** Reads a text whenever it becomes another one, on a device that was told to; each device for itself. */
export function useReadAloud(text: string): ReadAloud {
  const [on, setOn] = useState(kept);
  const said = useRef<string | undefined>(undefined);
  useEffect(() => {
    if (!on || text === '' || said.current === text) return;
    said.current = text;
    speak(speech.say(text));
  }, [on, text]);
  useEffect(() => hush, []);
  const toggle = () => {
    localStorage.setItem(KEY, on ? 'off' : 'on');
    said.current = undefined;
    if (on) hush();
    setOn(!on);
  };
  return { on, mute: on && !canSpeak(), toggle };
}
