import { inLine, logBetween, OPEN_OHMS, type PartKind } from '../../../machine/part.ts';

export const ballast: PartKind<'ohms'> = {
  kind: 'ballast',
  symbol: 'resistor',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: (fit) => (fit.volts === 6 ? { low: 0.45, high: 0.7 } : { low: 1.3, high: 1.8 }),
    },
  ],
  repairs: [
    { id: 'replace', label: 'Replace the ballast resistor', minutes: 15, money: 18 },
    { id: 'refit', label: 'Take out the bypass and fit the ballast', minutes: 20, money: 18 },
  ],
  faults: [
    {
      id: 'open',
      label: 'burnt out',
      weight: 4,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
    },
    {
      id: 'high',
      label: 'gone high',
      weight: 1,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, ohms: logBetween(5, 60, s) }),
    },
    // Does no harm to the spark today; burns points and coil tomorrow.
    {
      id: 'bypassed',
      label: 'bypassed by an earlier owner',
      weight: 0.6,
      repair: 'refit',
      apply: (p) => ({ ...p, ohms: 0.03 }),
    },
  ],
  elements: inLine,
};

/** The wire from the starter's solenoid that feeds the coil full voltage while cranking. */
export const crankingBypass: PartKind<'ohms'> = {
  kind: 'cranking bypass',
  symbol: 'wire',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: () => ({ low: 0.02, high: 0.08 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'remake', label: 'Remake the cranking bypass wire', minutes: 15, money: 3 }],
  faults: [{ id: 'dead', label: 'dead', weight: 0.8, repair: 'remake', apply: (p) => ({ ...p, ohms: OPEN_OHMS }) }],
  elements: (p, { id, nodes, state }) => [
    {
      type: 'switch',
      id,
      a: nodes['a']!,
      b: nodes['b']!,
      closed: state.key === 'crank',
      onOhms: p.ohms,
      offOhms: OPEN_OHMS,
    },
  ],
};
