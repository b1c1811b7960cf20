import type { DrawnState, FreeProbe, TrailId } from '@pondu/core';

const STATE_WORDS: Readonly<Record<DrawnState, string>> = {
  off: 'Key off',
  on: 'Key on, coil on',
  'on, open': 'Key on, coil off',
  cranking: 'Cranking',
  running: 'Running at speed',
  loaded: 'Running, all loads on',
};
/** What a state is called where no coil is switched. */
export const stateWords = (state: DrawnState, all: readonly DrawnState[]): string =>
  state === 'on' && !all.includes('on, open') ? 'Key on' : STATE_WORDS[state];
/** The state in which a probe is read that was placed while the drawing stood so. */
export const PROBED_IN: Readonly<Record<DrawnState, FreeProbe['state']>> = {
  off: 'key off',
  on: 'key on, points closed',
  'on, open': 'key on',
  cranking: 'cranking',
  running: 'fast',
  loaded: 'fast',
};
/** Trails with a circuit. */
export const WIRED_TRAILS: readonly { value: TrailId; label: string }[] = [
  { value: 'spark', label: 'Spark' },
  { value: 'crank', label: 'Crank' },
  { value: 'charge', label: 'Charge' },
];
