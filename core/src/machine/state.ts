import type { MachineState } from './part.ts';

const listed = (names: readonly string[] | undefined) => names?.join() ?? '';

/** Names a state: two with the same name have the same network. */
export const keyOf = (s: MachineState): string => {
  const moved = s.at ? Object.entries(s.at).flat().join() : '';
  return `${s.key}|${s.points}|${s.stopHeld ?? ''}|${s.told ?? ''}|${listed(s.unplugged)}|${listed(s.clipped)}|${moved}|${s.speed ?? ''}|${s.loads ?? ''}`;
};
