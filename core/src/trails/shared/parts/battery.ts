import { between, type PartKind } from '../../../machine/part.ts';

/** A nearly full battery takes some four amperes at 14.2 V, ohms of twelve volts. */
const TAKES_OHMS = 0.4;

/** Resting volts against charge at 25 °C: 12.7 full … 11.8 flat; halved for six volts. */
export const battery: PartKind<'restVolts' | 'ohms', 'chargeOhms'> = {
  kind: 'battery',
  symbol: 'battery',
  exchanged: true,
  plates: [
    {
      id: 'restVolts',
      label: 'Resting voltage',
      dimension: 'voltage',
      typical: (fit) => ({ low: fit.volts * (12.4 / 12), high: fit.volts * (12.75 / 12) }),
      // A six-volt battery in a twelve-volt machine, or two in a row: nothing further is a battery.
      reach: 2.1,
    },
    {
      id: 'ohms',
      label: 'Internal resistance',
      dimension: 'resistance',
      typical: ({ volts }) =>
        volts === 6 ? { low: 0.004, high: 0.008 } : { low: 0.006 * (volts / 12), high: 0.014 * (volts / 12) },
    },
  ],
  repairs: [
    { id: 'charge', label: 'Charge the battery', minutes: 10, money: 0 },
    { id: 'replace', label: 'Replace the battery', minutes: 15, money: 110 },
  ],
  faults: [
    {
      id: 'flat',
      label: 'flat',
      weight: 5,
      repair: 'charge',
      apply: (p, s, fit) => ({
        ...p,
        // Where it is told that it should have been charged, a flat one is found before it is spoilt.
        restVolts: (fit.volts * (fit.charge ? between(12, 11.25, s) : between(11.9, 10.75, s))) / 12,
        // As flat as its owner says, it hardly turns a starter: what is left of the acid carries little.
        ohms: p.ohms * between(1.6, 6.5, s),
      }),
    },
    {
      id: 'tired',
      label: 'collapses under load',
      weight: 3,
      repair: 'replace',
      apply: (p, s, fit) => ({ ...p, ohms: p.ohms * (fit.crank ? between(5, 16, s) : between(4, 9, s)) }),
    },
    {
      id: 'sulphated',
      from: { chargeOhms: TAKES_OHMS },
      label: 'takes no charge',
      weight: 1.5,
      repair: 'replace',
      apply: (p, s, fit) => ({
        ...p,
        // How far it has been filled and how little it takes have not much to do with one another.
        restVolts: p.restVolts * between(0.985, 0.945, s),
        chargeOhms: (between(2, 6, s) * fit.volts) / 12,
        ohms: p.ohms * between(3, 9, s),
      }),
    },
    {
      id: 'cell',
      leap: true,
      label: 'one cell dead',
      weight: 1.2,
      repair: 'replace',
      apply: (p, s, fit) => ({
        ...p,
        restVolts: p.restVolts - between(1.7, 2.1, s),
        ohms: p.ohms * between(2.5, 6, s) * (12 / Math.max(12, fit.volts)),
      }),
    },
  ],
  // Node a is the live post, b the earth post. Current flows out of the live post on either polarity.
  elements: (p, { id, nodes, fit, state }) => {
    const sign = fit.earth === 'positive' ? -1 : 1;
    const emf = p.restVolts * sign;
    if (fit.charge && state.key === 'run') {
      const chargeOhms = p.chargeOhms ?? (TAKES_OHMS * fit.volts) / 12;
      const [a, b] = [nodes['a']!, nodes['b']!];
      return [{ type: 'accumulator', id, a, b, sign, restVolts: p.restVolts, ohms: p.ohms, chargeOhms }];
    }
    return [
      { type: 'voltage', id: `${id}.emf`, a: `${id}:emf`, b: nodes['b']!, volts: emf },
      { type: 'resistor', id: `${id}.inside`, a: `${id}:emf`, b: nodes['a']!, ohms: p.ohms },
    ];
  },
};
