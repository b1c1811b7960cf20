import type { Leads, Live } from '@pondu/core';
import type { Laid } from './layout.ts';

export interface Shown {
  readonly well: Live;
  readonly bad: Live | undefined;
}
/** A drawing and what is shown on it. */
export interface WiringProps {
  laid: Laid;
  shown: Shown | undefined;
  /** The part that is picked, and the one whose fault is shown. */
  picked: string | undefined;
  failed: string | undefined;
  leads: Pick<Leads, 'red' | 'black' | 'unplugged'> | undefined;
  suspicion: ReadonlyMap<string, number>;
  /** What was read at which node; a job's. */
  taken: readonly { readonly node: string; readonly words: string }[];
  /** Stations that readings have proven sound. */
  proven: ReadonlySet<string>;
  onPick: (part: string) => void;
  onTerminal: (node: string) => void;
}
