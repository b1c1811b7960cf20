import { GROUND } from '../network/index.ts';
import type { Check } from '../machine/check.ts';
import type { FreeProbe } from '../schema/freeProbe.ts';
import type { InstrumentId } from '../instruments/ids.ts';

/** How a check is made with hands, instruments and senses: what a small picture of it shows. */
export const MANNERS = [
  'volts to earth',
  'volts along',
  'ohms on the bench',
  'ohms in place',
  'lamp',
  'spark',
  'feeler',
  'capacitance',
  'peak',
  'clamp',
  'in series',
  'rev counter',
  'pressure',
  'can',
  'compression',
  'leak-down',
  'light',
  'dwell',
  'scan tool',
  'plugs laid out',
  'watched cranking',
  'watched running',
  'taken apart',
  'looked at',
] as const;
export type Manner = (typeof MANNERS)[number];

/** The engine's metal and the battery's earth post: a lead there is a lead to earth. */
const EARTHS: ReadonlySet<string> = new Set([GROUND, 'block']);

const voltsOf = ({ live, earth }: Pick<FreeProbe, 'live' | 'earth'>): Manner =>
  EARTHS.has(earth) || EARTHS.has(live) ? 'volts to earth' : 'volts along';

/** Instruments that are always put in the one way. */
const ALWAYS: Readonly<Partial<Record<InstrumentId, Manner>>> = {
  'test lamp': 'lamp',
  'LED lamp': 'lamp',
  'spark tester': 'spark',
  'feeler gauge': 'feeler',
  'capacitance meter': 'capacitance',
  'peak adapter': 'peak',
  'clamp meter': 'clamp',
  ammeter: 'in series',
  tachometer: 'rev counter',
  'pressure gauge': 'pressure',
  'measuring can': 'can',
  'compression gauge': 'compression',
  'leak-down tester': 'leak-down',
  'timing light': 'light',
  'dwell meter': 'dwell',
  'scan reader': 'scan tool',
};

/** Read from what a check declares of itself: its instrument, where its leads go, what it opens, whether the engine turns. */
export function mannerOf({ instrument, probe, opens, plugs, state }: Check): Manner {
  const always = ALWAYS[instrument];
  if (always) return always;
  if (probe.kind === 'ohms') return probe.bench === undefined ? 'ohms in place' : 'ohms on the bench';
  if (probe.kind === 'across') return voltsOf(probe);
  // Volts that are worked out of a wave are read against the machine's metal.
  if (instrument !== 'eyes') return 'volts to earth';
  if (plugs) return 'plugs laid out';
  if (state.key === 'run') return 'watched running';
  if (state.key === 'crank') return 'watched cranking';
  return opens.length > 0 ? 'taken apart' : 'looked at';
}

/** The same of leads that somebody put anywhere. */
export const mannerOfProbe = ({ instrument, live, earth }: Pick<FreeProbe, 'instrument' | 'live' | 'earth'>): Manner =>
  ALWAYS[instrument] ?? (instrument === 'ohmmeter' ? 'ohms in place' : voltsOf({ live, earth }));
