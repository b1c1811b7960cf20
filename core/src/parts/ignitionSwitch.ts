import { logBetween, OPEN_OHMS, type PartKind } from './part.ts';

export const ignitionSwitch: PartKind = {
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
      apply: (p, s) => ({ ...p, ohms: logBetween(1, 60, s) }),
    },
  ],
  elements: (p, { id, nodes, state }) => [
    {
      type: 'switch',
      id,
      a: nodes['a']!,
      b: nodes['b']!,
      closed: state.key !== 'off',
      onOhms: p['ohms']!,
      offOhms: OPEN_OHMS,
    },
  ],
};
