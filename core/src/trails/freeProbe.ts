import type { Check, Opening, Probe } from '../machine/check.ts';
import { hasHeldPoints, touch } from '../machine/check.ts';
import { withCautions } from '../machine/doings.ts';
import type { Machine } from '../machine/machine.ts';
import { offTheShelf, type MachineState, type PartInstance } from '../machine/part.ts';
import { CRANKING, FAST, IDLE, KEY_OFF, KEY_ON_CLOSED, KEY_ON_OPEN } from '../machine/state.ts';
import type { FreeProbe } from '../schema/freeProbe.ts';
import { lightAt, takesLight } from './timing/checks/light.ts';

/** The states in which a free probe is taken, as one sets them. */
const STATES: Readonly<Record<FreeProbe['state'], { set: string; state: MachineState }>> = {
  'key off': { set: 'Key off.', state: KEY_OFF },
  'key on': { set: 'Key on, engine still.', state: KEY_ON_OPEN },
  'key on, points closed': { set: 'Key on, points closed (bump the engine).', state: KEY_ON_CLOSED },
  cranking: { set: 'Crank for three seconds, out of gear.', state: CRANKING },
  idling: { set: 'Engine idling.', state: IDLE },
  fast: { set: 'Engine running at speed.', state: FAST },
};
const MINUTES = 1.5;

/** The same probe has the same name, whoever makes it; nothing is read out of it (FNV-1a). */
export function freeProbeId(probe: FreeProbe): string {
  const { instrument, live, earth, state, unplugged, rpm, hose } = probe;
  let hash = 0x811c9dc5;
  for (const letter of JSON.stringify([
    instrument,
    live,
    earth,
    state,
    [...unplugged].sort(),
    ...(rpm === undefined ? [] : [rpm, hose]),
  ]))
    hash = Math.imul(hash ^ letter.codePointAt(0)!, 0x01000193) >>> 0;
  return `probe-${hash.toString(36)}`;
}

/** What can be picked on this machine. */
export interface Probing {
  /** Places that a lead can touch, in the order of the trails. */
  readonly places: readonly { readonly id: string; readonly label: string; readonly station: string }[];
  /** Wires that a clamp goes around, by their part. */
  readonly wires: readonly { readonly id: string; readonly label: string; readonly station: string }[];
  /** Parts that can be unplugged. */
  readonly parts: readonly { readonly id: string; readonly label: string }[];
  readonly states: readonly FreeProbe['state'][];
  /** Whether a timing light shows anything on it. */
  readonly light: boolean;
}

const inNetwork = (machine: Machine): readonly PartInstance[] => machine.parts.filter((p) => !p.apart);

const CARRY: ReadonlySet<string> = new Set(['resistor', 'switch']);
/** Whether one element carries what flows through the part: a clamp around its wire then shows it. */
function carries(part: PartInstance, machine: Machine): boolean {
  const made = part.kind.elements(offTheShelf(part.kind, machine.fit), {
    id: part.id,
    nodes: part.nodes,
    fit: machine.fit,
    state: KEY_OFF,
  });
  return made.some((e) => e.id === part.id && CARRY.has(e.type));
}

/** `checks` are those that the machine has: they tell in which states it can be asked at all. */
export function probingOf(machine: Machine, checks: readonly Check[]): Probing {
  const places = new Map<string, { id: string; label: string; station: string }>();
  for (const { nodes, station } of inNetwork(machine))
    for (const id of Object.values(nodes)) {
      const label = machine.nodeNames[id];
      if (label && !places.has(id)) places.set(id, { id, label, station });
    }
  const has = (key: MachineState['key']) => checks.some((c) => c.state.key === key);
  const states = (Object.keys(STATES) as FreeProbe['state'][]).filter((s) =>
    s === 'key on, points closed' ? hasHeldPoints(machine) : has(STATES[s].state.key),
  );
  const named = ({ id, label, station }: PartInstance) => ({ id, label, station });
  return {
    places: [...places.values()],
    wires: inNetwork(machine)
      .filter((p) => carries(p, machine))
      .map(named),
    parts: inNetwork(machine).map(named),
    states,
    light: takesLight(machine),
  };
}

/** What lies over a place: the least that any check which touches it opens. */
function over(node: string, checks: readonly Check[]): readonly Opening[] {
  const touching = checks.filter(
    ({ probe: p }) =>
      (p.kind === 'across' && (p.live === node || p.earth === node)) ||
      (p.kind === 'ohms' && (p.red === node || p.black === node)),
  );
  return touching.map((c) => c.opens).sort((a, b) => a.length - b.length)[0] ?? [];
}

function leads({ instrument, live, earth }: FreeProbe, state: MachineState): Probe {
  if (instrument === 'clamp meter')
    return { kind: 'figure', value: (scene) => Math.abs(scene.solve(state).amps(live)) };
  return instrument === 'ohmmeter' ? { kind: 'ohms', red: live, black: earth } : { kind: 'across', live, earth };
}

/**
 * A check that nobody listed: these leads on those two places, in this state. Undefined where the machine has not got
 * what it names (any more). Its reading is computed like any other.
 */
export function freeCheck(machine: Machine, checks: readonly Check[], probe: FreeProbe): Check | undefined {
  if (probe.instrument === 'timing light') {
    const made = lightAt(machine, probe.rpm, probe.hose ?? 'off');
    return made && { ...made, id: freeProbeId(probe) };
  }
  const { places, wires, parts, states } = probingOf(machine, checks);
  const clamp = probe.instrument === 'clamp meter';
  const [from, to] = clamp
    ? [wires.find((w) => w.id === probe.live), undefined]
    : [places.find((p) => p.id === probe.live), places.find((p) => p.id === probe.earth)];
  if (!from || (!clamp && (!to || to === from)) || !states.includes(probe.state)) return undefined;
  const off = probe.unplugged.map((id) => parts.find((p) => p.id === id));
  if (off.some((p) => !p)) return undefined;
  // An ohmmeter has no business on a live machine.
  const ohms = probe.instrument === 'ohmmeter';
  const battery = ohms && machine.partById.has('battery') ? ['battery'] : [];
  const given = STATES[ohms ? 'key off' : probe.state];
  const unplugged = [...new Set([...probe.unplugged, ...battery])];
  const state: MachineState = unplugged.length ? { ...given.state, unplugged } : given.state;
  const set = [
    given.set,
    ...(battery.length ? ['Battery off.'] : []),
    ...(off.length ? [`Unplugged: ${off.map((p) => p!.label.toLowerCase()).join(', ')}.`] : []),
  ].join(' ');
  const made: Check = {
    id: freeProbeId(probe),
    station: from.station,
    label: clamp ? `Current: ${from.label.toLowerCase()}` : `${from.label} to ${to!.label}`,
    set,
    touch: clamp
      ? `Clamp around the wire of the ${from.label.toLowerCase()}.`
      : touch(machine, probe.live, probe.earth),
    watch: 'The steady figure.',
    instrument: probe.instrument,
    probe: leads(probe, state),
    state,
    minutes: MINUTES,
    opens: [...new Set([...over(probe.live, checks), ...(clamp ? [] : over(probe.earth, checks))])],
    cautions: [],
    ...(probe.instrument === 'test lamp' || probe.instrument === 'LED lamp'
      ? {
          words: state.points === 'turning' ? ['flashes', 'lit steadily', 'out'] : ['bright', 'dim', 'out'],
        }
      : {}),
  };
  // What the other lead touches can hurt as well.
  const there = to ? withCautions({ ...made, station: to.station }, machine).cautions : [];
  return withCautions({ ...made, cautions: there }, machine);
}
