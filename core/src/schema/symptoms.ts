/** What an engine or its lamp does; the words of the trade for them are the interface's. */
export const SYMPTOMS = [
  'no-fire',
  'dies',
  'misses',
  'hard-start',
  'crank-nothing',
  'crank-click',
  'crank-chatter',
  'crank-grinds',
  'crank-slow',
  'crank-free',
  'crank-stays',
  'no-charge',
  'overcharge',
  'lamp-wrong',
  'flat-overnight',
  'floods',
  'stalls',
  'no-pull',
  'no-idle',
  'kicks-back',
  'knocks',
  'will-not-stop',
  'idle-wrong',
  'cold-runs',
] as const;
export type SymptomId = (typeof SYMPTOMS)[number];

/** All trails of an engine, told or not. Compression stands with them: what it does not hold no spark makes up for. */
export const TRAIL_NAMES = ['spark', 'crank', 'charge', 'fuel', 'air', 'timing', 'compression', 'stop'] as const;
export type TrailName = (typeof TRAIL_NAMES)[number];
