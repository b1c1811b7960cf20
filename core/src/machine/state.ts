import type { MachineState } from './part.ts';

const listed = (names: readonly string[] | undefined) => names?.join() ?? '';
const named = new WeakMap<MachineState, string>();

/** Names a state: two with the same name have the same network. */
export function keyOf(s: MachineState): string {
  let name = named.get(s);
  if (name === undefined) {
    const moved = s.at ? Object.entries(s.at).flat().join() : '';
    const most = `${s.key}|${s.points}|${s.stopHeld ?? ''}|${s.told ?? ''}|${listed(s.unplugged)}|${listed(s.clipped)}`;
    name = `${most}|${moved}|${s.speed ?? ''}|${s.loads ?? ''}|${s.rpm ?? ''}|${s.warmth ?? ''}`;
    named.set(s, name);
  }
  return name;
}

const numbers = new Map<string, number>();
const numbered = new WeakMap<MachineState, number>();

/** The number of a state, from 1: two with the same name have the same one. Quicker to look things up by than its name. */
export function stateNumber(s: MachineState): number {
  let number = numbered.get(s);
  if (number === undefined) {
    const name = keyOf(s);
    number = numbers.get(name);
    if (number === undefined) numbers.set(name, (number = numbers.size + 1));
    numbered.set(s, number);
  }
  return number;
}

const derived = new WeakMap<MachineState, Map<string, MachineState>>();

/** The state with something of it changed: the same one each time, so that its name is made once. */
export function changedState(state: MachineState, change: Partial<MachineState>): MachineState {
  let own = derived.get(state);
  if (!own) derived.set(state, (own = new Map()));
  const key = JSON.stringify(change);
  let known = own.get(key);
  if (!known) own.set(key, (known = { ...state, ...change }));
  return known;
}

/** The two halves of a turn: points closed and open. */
const halves = new WeakMap<MachineState, { readonly closed: MachineState; readonly open: MachineState }>();
function halvesOf(state: MachineState) {
  let known = halves.get(state);
  if (!known)
    halves.set(state, (known = { closed: { ...state, points: 'closed' }, open: { ...state, points: 'open' } }));
  return known;
}
export const pointsClosed = (state: MachineState): MachineState => halvesOf(state).closed;
export const pointsOpen = (state: MachineState): MachineState => halvesOf(state).open;

export const KEY_ON_CLOSED: MachineState = { key: 'on', points: 'closed' };
export const KEY_ON_OPEN: MachineState = { key: 'on', points: 'open' };
export const CRANKING: MachineState = { key: 'crank', points: 'turning' };
/** The same with the points held, for what asks the network once. */
export const CRANKING_CLOSED: MachineState = { key: 'crank', points: 'closed' };
export const KEY_OFF: MachineState = { key: 'off', points: 'open' };
export const RUNNING: MachineState = { key: 'run', points: 'turning' };
/** The first minutes after a cold start. */
export const WARMING: MachineState = { ...RUNNING, warmth: 'cold' };
/** The key just turned off, the engine still turning: what is fed back shows. */
export const JUST_OFF: MachineState = { ...RUNNING, at: { switch: 'out', key: 'out' } };
/** As it charges: idling and fast with all consumers off, fast with all on. */
export const IDLE: MachineState = { ...RUNNING, loads: 'none' };
export const FAST: MachineState = { ...RUNNING, speed: 'fast', loads: 'none' };
export const LOADED: MachineState = { ...RUNNING, speed: 'fast', loads: 'all' };
