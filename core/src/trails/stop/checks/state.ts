import type { Check } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import { IDLE, KEY_OFF } from '../../../machine/state.ts';

export const STILL = { state: KEY_OFF, opens: [], cautions: [] } as const;
export const running = (machine: Machine) => ({
  state: IDLE,
  opens: [],
  cautions: [
    'rotating parts',
    'exhaust gas',
    ...(machine.fit.marine ? (['marine'] as const) : []),
  ] as Check['cautions'],
});
