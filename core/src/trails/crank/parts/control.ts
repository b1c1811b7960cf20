import type { Fit } from '../../../schema/fit.ts';
import { inLine, logBetween, OPEN_OHMS, type PartKind, type PlateSpec } from '../../../machine/part.ts';

const contact = (label: string): PlateSpec<'ohms'> => ({
  id: 'ohms',
  label,
  dimension: 'resistance',
  typical: ({ volts }) => ({ low: 0.001 * (volts / 12) ** 2, high: 0.012 * (volts / 12) ** 2 }),
  hidden: true,
});

/** Ohms of a poor joint in the start circuit: they starve a plunger's winding, or the small coil of a relay. */
const poor = (severity: number, { crank, volts }: Fit): number =>
  (crank?.kind === 'relay' ? logBetween(70, 600, severity) : logBetween(0.2, 6, severity)) * (volts / 12) ** 2;

/** The start contact of the key, or a button: closed only while the engine is to be turned. */
export const startSwitch: PartKind<'ohms', 'stuck'> = {
  kind: 'start switch',
  symbol: 'switch',
  plates: [contact('Contact')],
  repairs: [{ id: 'replace', label: 'Replace the start switch', minutes: 25, money: 25 }],
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
      id: 'stuck',
      leap: true,
      label: 'does not spring back: the starter does not let go',
      weight: 0.7,
      repair: 'replace',
      apply: (p) => ({ ...p, stuck: 1 }),
    },
    {
      id: 'worn',
      label: 'contact worn',
      weight: 1.5,
      repair: 'replace',
      apply: (p, s, fit) => ({ ...p, ohms: poor(s, fit) }),
    },
  ],
  elements: (p, { id, nodes, state, onBench }) => [
    {
      type: 'switch',
      id,
      a: nodes['a']!,
      b: nodes['b']!,
      // Stuck it shows as it turns on, and with an ohmmeter; for all else the battery is off.
      closed: state.key === 'crank' || (onBench === true && (p.stuck ?? 0) > 0),
      onOhms: p.ohms,
      offOhms: OPEN_OHMS,
    },
  ],
};

/** A switch that must be closed before the starter is let turn. */
export const startInterlock: PartKind<'ohms'> = {
  kind: 'start interlock',
  symbol: 'switch',
  exchanged: true,
  plates: [contact('Contact')],
  repairs: [{ id: 'replace', label: 'Set or replace the interlock', minutes: 20, money: 15 }],
  faults: [
    {
      id: 'open',
      label: 'does not close',
      weight: 2,
      repair: 'replace',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
    },
    {
      id: 'poor',
      label: 'hardly closes',
      weight: 0.8,
      repair: 'replace',
      apply: (p, s, fit) => ({ ...p, ohms: poor(s, fit) }),
    },
  ],
  elements: inLine,
};

/** A wire of the start circuit: tens of amperes for a moment. */
export const startWire: PartKind<'ohms'> = {
  kind: 'start wire',
  symbol: 'wire',
  plates: [contact('Resistance')],
  repairs: [{ id: 'remake', label: 'Remake the wire ends', minutes: 12, money: 3 }],
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
      apply: (p, s, fit) => ({ ...p, ohms: poor(s, fit) }),
    },
  ],
  elements: inLine,
};

/** The wire that feeds start switch and heat alike: with the heat on it carries both. */
export const sharedFeed: PartKind<'ohms'> = {
  kind: 'shared feed',
  symbol: 'wire',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: ({ volts }) => ({ low: 0.002 * (volts / 12) ** 2, high: 0.006 * (volts / 12) ** 2 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'remake', label: 'Remake the shared feed joints', minutes: 15, money: 4 }],
  faults: [
    {
      id: 'corroded',
      label: 'corroded, carries the starter or the heater but not both',
      weight: 3,
      repair: 'remake',
      apply: (p, s, { volts }) => ({ ...p, ohms: logBetween(0.042, 0.12, s) * (volts / 12) ** 2 }),
    },
    {
      id: 'broken',
      label: 'broken or off',
      weight: 1,
      repair: 'remake',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
    },
  ],
  elements: inLine,
};

/** A fused lead that a helper holds from the live clamp to the small terminal for the check that says so. */
export const startJump: PartKind<never> = {
  kind: 'start jumper',
  symbol: 'none',
  plates: [],
  repairs: [],
  faults: [],
  elements: (_p, { id, nodes, state }) =>
    state.clipped?.includes(id) ? [{ type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: 0.03 }] : [],
};
