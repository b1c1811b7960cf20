import { logBetween, OPEN_OHMS, type MachineState, type PartKind } from '../../../machine/part.ts';

/** Whether the key asks for what the switch feeds; one that is worn loses it as it is turned on to start. */
const told = (startOpen: number | undefined, { key, at }: MachineState, id: string): boolean =>
  key !== 'off' && at?.[id] !== 'out' && !(key === 'crank' && (startOpen ?? 0) > 0.5);

export const ignitionSwitch: PartKind<'ohms', 'staysOn' | 'startOpen'> = {
  kind: 'ignition switch',
  symbol: 'switch',
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
      id: 'start-dead',
      leap: true,
      label: 'loses the ignition with the key at start',
      weight: 0.8,
      repair: 'replace',
      apply: (p) => ({ ...p, startOpen: 1 }),
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
      closed: told(p.startOpen, state, id) || (p.staysOn ?? 0) > 0.5,
      onOhms: p.ohms,
      offOhms: OPEN_OHMS,
    },
  ],
};
