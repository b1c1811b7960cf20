import { logBetween, OPEN_OHMS, type PartKind } from '../../../machine/part.ts';

export const ignitionSwitch: PartKind<'ohms', 'staysOn'> = {
  kind: 'ignition switch',
  plates: [
    {
      id: 'ohms',
      label: 'Contact resistance',
      dimension: 'resistance',
      typical: () => ({ low: 0.01, high: 0.05 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'replace', label: 'Replace the ignition switch', minutes: 30, money: 35 }],
  faults: [
    {
      id: 'dead',
      label: 'contact dead',
      weight: 2,
      repair: 'replace',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
    },
    {
      id: 'worn',
      label: 'contacts worn',
      weight: 2,
      repair: 'replace',
      apply: (p, s) => ({ ...p, ohms: logBetween(0.8, 60, s) }),
    },
    {
      // No complaint of its own: it cooks the coil and the points, and flattens the battery.
      id: 'stays-on',
      label: 'stays on with the key off',
      weight: 0.4,
      repair: 'replace',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, staysOn: 1 }),
    },
  ],
  elements: (p, { id, nodes, state }) => [
    {
      type: 'switch',
      id,
      a: nodes['a']!,
      b: nodes['b']!,
      closed: (state.key !== 'off' && state.at?.[id] !== 'out') || (p.staysOn ?? 0) > 0.5,
      onOhms: p.ohms,
      offOhms: OPEN_OHMS,
    },
  ],
};
