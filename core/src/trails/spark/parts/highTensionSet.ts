import { between, type PartKind } from '../../../machine/part.ts';

/**
 * Cap, rotor, leads and plugs at once: none has failed, each takes its share of the spark. What it adds is put into the
 * parts themselves: volts at the rotor, ohms in every lead, metres at every plug.
 */
export const highTensionSet: PartKind<'rotorVolts' | 'leadOhms' | 'plugMetres'> = {
  kind: 'cap, rotor, leads and plugs',
  symbol: 'none',
  plates: [
    {
      id: 'rotorVolts',
      label: 'Rotor and cap over new ones',
      dimension: 'voltage',
      typical: () => ({ low: 0, high: 0 }),
      hidden: true,
    },
    {
      id: 'leadOhms',
      label: 'Each lead over a new one',
      dimension: 'resistance',
      typical: () => ({ low: 0, high: 0 }),
      hidden: true,
    },
    {
      id: 'plugMetres',
      label: 'Each plug’s gap over what it was set to',
      dimension: 'length',
      typical: () => ({ low: 0, high: 0 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'renew', label: 'Renew cap, rotor, leads and plugs as a set', minutes: 40, money: 70 }],
  faults: [
    {
      id: 'worn',
      label: 'all of it a little worn',
      weight: 0.8,
      repair: 'renew',
      apply: (p, s) => ({
        ...p,
        rotorVolts: between(3e3, 7e3, s),
        leadOhms: between(10e3, 26e3, s),
        plugMetres: between(0.12e-3, 0.35e-3, s),
      }),
    },
  ],
  elements: () => [],
};
