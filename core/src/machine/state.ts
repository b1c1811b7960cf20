import type { MachineState } from './part.ts';

/** Names a state: two with the same name have the same network. */
export const keyOf = (s: MachineState): string =>
  `${s.key}|${s.points}|${s.stopHeld ?? ''}|${s.told ?? ''}|${s.unplugged?.join() ?? ''}|${s.clipped?.join() ?? ''}`;
