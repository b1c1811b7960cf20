import type { Element } from '../../../network/index.ts';
import { deadShort, logBetween, OPEN_OHMS, type MachineState, type PartKind } from '../../../machine/part.ts';

/** At stop with the engine still, or just put there while it turns. */
const stopped = ({ key, stopHeld, at }: MachineState): boolean =>
  (key === 'off' || at?.['key'] === 'out') && stopHeld !== 'run';

/** Earths the stop wire to kill the engine: key off, button pressed, or tether pulled. */
export const stopSwitch: PartKind<'earthOhms', 'dead'> = {
  kind: 'stop switch',
  symbol: 'switch',
  plates: [
    {
      id: 'earthOhms',
      label: 'Insulation in the run position',
      dimension: 'resistance',
      typical: () => ({ low: 5e7, high: 1e9 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'replace', label: 'Replace the stop switch, or refit its tether clip', minutes: 15, money: 14 }],
  faults: [
    {
      id: 'stuck',
      label: 'stuck earthed, or tether clip off',
      weight: 5,
      repair: 'replace',
      comesWith: 'shaking',
      leap: true,
      apply: (p, s) => ({ ...p, earthOhms: deadShort(s) }),
    },
    {
      id: 'leaks',
      label: 'leaks to earth: damp, salt or dirt in it',
      weight: 0.6,
      repair: 'replace',
      comesWith: 'damp',
      apply: (p, s) => ({ ...p, earthOhms: logBetween(1e6, 20, s) }),
    },
    {
      id: 'dead',
      label: 'does not earth any more',
      weight: 1,
      repair: 'replace',
      apply: (p) => ({ ...p, dead: 1 }),
    },
  ],
  // One pole for each node but `b`.
  elements: (p, { id, nodes, state }) =>
    Object.entries(nodes)
      .filter(([name]) => name !== 'b')
      .flatMap(([name, node]): Element[] => [
        {
          type: 'switch',
          id: `${id}.${name}`,
          a: node,
          b: nodes['b']!,
          closed: stopped(state) && (p.dead ?? 0) < 0.5,
          onOhms: 0.05,
          offOhms: OPEN_OHMS,
        },
        { type: 'resistor', id: `${id}.${name}.earth`, a: node, b: nodes['b']!, ohms: p.earthOhms },
      ]),
};
