import type { MachineState } from './part.ts';

const listed = (names: readonly string[] | undefined) => names?.join() ?? '';
const named = new WeakMap<MachineState, string>();

/** Names a state: two with the same name have the same network. */
export function keyOf(s: MachineState): string {
  let name = named.get(s);
  if (name === undefined) {
    const moved = s.at ? Object.entries(s.at).flat().join() : '';
    const most = `${s.key}|${s.points}|${s.stopHeld ?? ''}|${s.told ?? ''}|${listed(s.unplugged)}|${listed(s.clipped)}`;
    name = `${most}|${moved}|${s.speed ?? ''}|${s.loads ?? ''}`;
    named.set(s, name);
  }
  return name;
}
