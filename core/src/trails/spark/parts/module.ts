import type { Element } from '../../../network/index.ts';
import {
  inLine,
  logBetween,
  OPEN_OHMS,
  type MachineState,
  type PartKind,
  type Figures,
} from '../../../machine/part.ts';

/** Transistor that switches the coil, told when by a trigger. `untold` and `unfed` are set where its trigger or its supply fails it. */
export const module: PartKind<'onOhms' | 'triggerVolts' | 'clampVolts' | 'dead' | 'stuck' | 'untold' | 'unfed'> = {
  kind: 'ignition module',
  symbol: 'module',
  plates: [
    {
      id: 'onOhms',
      label: 'Ohms of the transistor when it carries',
      dimension: 'resistance',
      typical: () => ({ low: 0.12, high: 0.22 }),
      hidden: true,
    },
    {
      id: 'triggerVolts',
      label: 'Trigger it asks for',
      dimension: 'voltage',
      typical: () => ({ low: 0.35, high: 0.55 }),
      hidden: true,
    },
    {
      id: 'clampVolts',
      label: 'Holds the primary at',
      dimension: 'voltage',
      typical: () => ({ low: 370, high: 430 }),
      hidden: true,
    },
    { id: 'dead', label: 'Never switches on', dimension: 'ratio', typical: () => ({ low: 0, high: 0 }), hidden: true },
    { id: 'stuck', label: 'Never lets go', dimension: 'ratio', typical: () => ({ low: 0, high: 0 }), hidden: true },
    {
      id: 'untold',
      label: 'Without a trigger',
      dimension: 'ratio',
      typical: () => ({ low: 0, high: 0 }),
      hidden: true,
    },
    { id: 'unfed', label: 'Without supply', dimension: 'ratio', typical: () => ({ low: 0, high: 0 }), hidden: true },
  ],
  repairs: [
    {
      id: 'replace',
      label: 'Replace the ignition module',
      minutes: 25,
      money: 95,
      goesWith: 'heat paste under it, where it sits on metal',
    },
  ],
  faults: [
    { id: 'dead', label: 'dead', weight: 4, repair: 'replace', comesWith: 'heat', apply: (p) => ({ ...p, dead: 1 }) },
    {
      id: 'stuck',
      label: 'shorted, it never lets go',
      weight: 1.5,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p) => ({ ...p, stuck: 1 }),
    },
    {
      id: 'weak',
      label: 'carries badly',
      weight: 1,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, onOhms: logBetween(2, 12, s) }),
    },
  ],
  elements: (p, { id, nodes, state }) => {
    // A known-good one in its place has the same trigger and the same feed.
    const own = state.clipped?.includes(id) ? { ...p, dead: 0, stuck: 0, onOhms: 0.15 } : p;
    return [
      {
        type: 'switch',
        id,
        a: nodes['a']!,
        b: nodes['b']!,
        closed: state.key !== 'off' && carries(own, state),
        onOhms: own.onOhms,
        offOhms: 1e7,
      },
      // What its own works draw, and what its trigger meets.
      { type: 'resistor', id: `${id}.supply`, a: nodes['supply']!, b: nodes['b']!, ohms: 180 },
      { type: 'resistor', id: `${id}.trigger`, a: nodes['trigger']!, b: nodes['b']!, ohms: 12e3 },
      ...pullUp(id, nodes),
    ];
  },
};

/** A sensor's signal only pulls down: the module holds it up. */
const pullUp = (id: string, nodes: Readonly<Record<string, string>>): Element[] =>
  nodes['pull'] ? [{ type: 'resistor', id: `${id}.pull`, a: nodes['supply']!, b: nodes['pull'], ohms: 2.2e3 }] : [];

/** Whether the transistor carries with the trigger where it is; a magnetic one is only heard while it turns. */
function carries(p: Figures<'stuck' | 'dead' | 'unfed' | 'untold'>, { key, points, told }: MachineState): boolean {
  if (p.stuck > 0.5) return true;
  if (p.dead > 0.5 || p.unfed > 0.5 || points !== 'closed') return false;
  return told === 'by hand' || (key !== 'on' && p.untold < 0.5);
}

/** The module's feed; an earlier owner may have taken it from behind the ballast. */
export const moduleFeed: PartKind<'ohms', 'behind'> = {
  kind: 'module feed',
  symbol: 'wire',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: () => ({ low: 0.02, high: 0.1 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'remake', label: 'Remake the module’s feed', minutes: 12, money: 3 },
    { id: 'move', label: 'Move the module’s feed before the ballast', minutes: 15, money: 3 },
  ],
  faults: [
    {
      id: 'broken',
      label: 'broken or off',
      weight: 1.5,
      repair: 'remake',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
    },
    {
      id: 'corroded',
      label: 'corroded',
      weight: 1.5,
      repair: 'remake',
      apply: (p, s) => ({ ...p, ohms: logBetween(150, 900, s) }),
    },
    {
      id: 'behind',
      label: 'taken from behind the ballast',
      weight: 1.5,
      repair: 'move',
      apply: (p) => ({ ...p, behind: 1 }),
    },
  ],
  elements: (p, { id, nodes }) => [
    {
      type: 'resistor',
      id,
      a: nodes[(p.behind ?? 0) > 0.5 ? 'behind' : 'a'] ?? nodes['a']!,
      b: nodes['b']!,
      ohms: p.ohms,
    },
  ],
};

/** Joint between the module’s base and the engine or body: it carries all of the coil’s current. */
export const moduleEarth: PartKind<'ohms'> = {
  kind: 'module earth',
  symbol: 'joint',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: () => ({ low: 0.005, high: 0.03 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'clean', label: 'Clean the module’s seat and earth, fresh heat paste', minutes: 15, money: 4 }],
  faults: [
    {
      id: 'poor',
      label: 'dirty or loose',
      weight: 2,
      repair: 'clean',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, ohms: logBetween(0.6, 200, s) }),
    },
  ],
  elements: inLine,
};

/** Computer that decides when the module fires; it lights a check lamp and keeps codes. */
export const engineComputer: PartKind<'dead' | 'untold' | 'triggerVolts'> = {
  kind: 'engine computer',
  symbol: 'module',
  plates: [
    { id: 'dead', label: 'Commands nothing', dimension: 'ratio', typical: () => ({ low: 0, high: 0 }), hidden: true },
    {
      id: 'untold',
      label: 'Without a trigger',
      dimension: 'ratio',
      typical: () => ({ low: 0, high: 0 }),
      hidden: true,
    },
    {
      id: 'triggerVolts',
      label: 'Trigger it asks for',
      dimension: 'voltage',
      typical: () => ({ low: 0.35, high: 0.55 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'replace', label: 'Replace the engine computer', minutes: 45, money: 380 }],
  faults: [
    {
      id: 'dead',
      label: 'commands no spark',
      weight: 0.8,
      repair: 'replace',
      comesWith: 'damp',
      apply: (p) => ({ ...p, dead: 1 }),
    },
  ],
  elements: (_p, { id, nodes }) => [{ type: 'resistor', id, a: nodes['in']!, b: nodes['earth']!, ohms: 12e3 }],
};
