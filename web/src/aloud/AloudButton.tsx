import { Volume2, VolumeX } from 'lucide-react';
import type { ReadAloud } from './useReadAloud.ts';

/** Turns reading aloud on and off, in a card's corner. */
export function AloudButton({ aloud }: { aloud: ReadAloud }) {
  const Icon = aloud.on ? Volume2 : VolumeX;
  return (
    <button
      type="button"
      aria-pressed={aloud.on}
      aria-label="Read aloud"
      title={aloud.on ? 'Read aloud: on' : 'Read aloud: off'}
      onClick={aloud.toggle}
      className={`-my-2 grid size-12 shrink-0 place-items-center self-center rounded-lg hover:bg-sunk ${aloud.on ? 'text-do' : ''}`}
    >
      <Icon aria-hidden className="size-5" />
    </button>
  );
}

/** Said in writing where it cannot be said aloud. */
export function NoVoice({ aloud }: { aloud: ReadAloud }) {
  return aloud.mute ? (
    <p role="status" className="text-[14px] text-warn">
      This browser has no voice: nothing can be read aloud here.
    </p>
  ) : null;
}
