import type { Scene } from '../machine/scene.ts';
import type { MachineState } from '../machine/part.ts';
import { CRANKING_CLOSED, FAST, KEY_OFF, KEY_ON_CLOSED, KEY_ON_OPEN, LOADED, pointsClosed } from '../machine/state.ts';
import type { Machine } from '../machine/machine.ts';
import type { Drawing } from './drawing.ts';

/** States in which a drawing can be looked at. */
export const DRAWN_STATES = ['off', 'on', 'on, open', 'cranking', 'running', 'loaded'] as const;
export type DrawnState = (typeof DRAWN_STATES)[number];
const STATES: Readonly<Record<DrawnState, MachineState>> = {
  off: KEY_OFF,
  on: KEY_ON_CLOSED,
  'on, open': KEY_ON_OPEN,
  cranking: CRANKING_CLOSED,
  running: pointsClosed(FAST),
  loaded: pointsClosed(LOADED),
};
export const stateOf = (state: DrawnState): MachineState => STATES[state];

/** The states that differ on this machine: a coil that is switched, a starter, a charge. */
export function statesOf(machine: Machine): DrawnState[] {
  const told = (trail: string) => machine.trails.some((t) => t.id === trail);
  return DRAWN_STATES.filter(
    (state) =>
      (state !== 'on, open' || machine.onShare !== undefined) &&
      (state !== 'cranking' || machine.partById.has('battery')) &&
      (!['running', 'loaded'].includes(state) || told('charge')),
  );
}

/** Volts and amperes of a drawing in a state. */
export interface Live {
  /** By node, against the network's ground; nodes that the network has not got are left out. */
  readonly volts: Readonly<Record<string, number>>;
  /** By part: what flows from its first terminal to its second. */
  readonly amps: Readonly<Record<string, number>>;
}

/** Throws `NoSolution` where the figures given leave the network without an answer. */
export function liveOf(drawing: Drawing, scene: Scene, state: DrawnState): Live {
  const at = scene.solve(STATES[state]);
  const elements = scene.elements(STATES[state]);
  const nodes = new Set(elements.flatMap((e) => [e.a, e.b]));
  const ids = new Set(elements.map((e) => e.id));
  const drawn = new Set(drawing.parts.flatMap((p) => p.ports.map((port) => port.node)));
  const volts = [...drawn].filter((n) => nodes.has(n)).map((n): [string, number] => [n, at.volts(n)]);
  const amps = drawing.parts.filter((p) => ids.has(p.id)).map((p): [string, number] => [p.id, at.amps(p.id)]);
  return { volts: Object.fromEntries(volts), amps: Object.fromEntries(amps) };
}
