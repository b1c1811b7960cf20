import type { Check } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import { IDLE } from '../../../machine/state.ts';
import { STOP } from '../ids.ts';

export const told = (machine: Machine) => machine.partById.has(STOP);
/** Taken as it idles, warm. */
export const warm = (machine: Machine): Pick<Check, 'set' | 'state' | 'opens' | 'cautions'> => ({
  set: 'Engine warm, idling, or as slowly as it will run.',
  state: IDLE,
  opens: [],
  cautions: ['rotating parts', 'exhaust gas', ...(machine.fit.marine ? (['marine'] as const) : [])],
});
