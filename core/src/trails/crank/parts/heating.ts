import { inLine, logBetween, OPEN_OHMS, type PartKind } from '../../../machine/part.ts';
import { PREHEAT_FEED } from '../heating.ts';

/** Relay or timer of the preheating, its strip fuse and its wire. */
export const heatFeed: PartKind<'ohms'> = {
  kind: 'preheating feed',
  symbol: 'relay',
  plates: [
    {
      id: 'ohms',
      label: 'Contact and wire',
      dimension: 'resistance',
      typical: ({ volts }) => ({ low: 0.003 * (volts / 12) ** 2, high: 0.01 * (volts / 12) ** 2 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'replace', label: 'Replace the preheat relay, or its strip fuse', minutes: 20, money: 22 }],
  faults: [
    {
      id: 'dead',
      label: 'does not switch on, or its strip fuse is burnt through',
      weight: 2.5,
      repair: 'replace',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
    },
    {
      id: 'burnt',
      label: 'contact burnt: little gets through',
      weight: 1,
      repair: 'replace',
      apply: (p, s, { volts }) => ({ ...p, ohms: logBetween(0.12, 1, s) * (volts / 12) ** 2 }),
    },
  ],
  elements: inLine,
};

/** Glow plugs or a heater in the intake, as one load: on while it cranks, and while its feed is told to heat. */
export const heat: PartKind<'amps', 'alive'> = {
  kind: 'preheating',
  symbol: 'heater',
  plates: [
    {
      id: 'amps',
      label: 'Draws, at the nominal voltage',
      dimension: 'current',
      typical: ({ cylinders, crank, volts }) =>
        crank?.heat === 'intake heater'
          ? { low: (55 * 12) / volts, high: (80 * 12) / volts }
          : { low: (9 * cylinders * 12) / volts, high: (13 * cylinders * 12) / volts },
    },
  ],
  repairs: [{ id: 'replace', label: 'Replace the glow plugs or the heater', minutes: 45, money: 60 }],
  faults: [
    {
      id: 'dead',
      comesWith: 'cold',
      label: 'dead, the engine starts badly in the cold',
      weight: 1.5,
      repair: 'replace',
      apply: (p) => ({ ...p, amps: p.amps * 0.02, alive: 0 }),
    },
    {
      comesWith: 'cold',
      id: 'some',
      leap: true,
      label: 'some of them dead: uneven and smoking until it is warm',
      weight: 3,
      repair: 'replace',
      apply: (p, s, { cylinders }) => {
        // From one of them dead to all but one.
        const alive = 1 - (1 + Math.floor(s * (cylinders - 1) * 0.999)) / cylinders;
        return { ...p, amps: p.amps * alive, alive };
      },
    },
  ],
  elements: (p, { id, nodes, state, fit }) =>
    (state.key === 'crank' && state.loads !== 'none') || state.at?.[PREHEAT_FEED] === 'in'
      ? [{ type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: fit.volts / p.amps }]
      : [],
};
