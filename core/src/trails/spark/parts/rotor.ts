import { between, logBetween, type PartKind } from '../../../machine/part.ts';

/** Rotor arm; its brass jumps a small gap to each segment. */
export const rotor: PartKind<'gapVolts' | 'flashVolts', 'carbonOhms' | 'springGone'> = {
  kind: 'rotor',
  symbol: 'rotor',
  plates: [
    {
      id: 'gapVolts',
      label: 'Voltage of the rotor gap',
      dimension: 'voltage',
      typical: () => ({ low: 1200, high: 2200 }),
      hidden: true,
    },
    {
      id: 'flashVolts',
      label: 'Insulation holds to',
      dimension: 'voltage',
      typical: () => ({ low: 38e3, high: 45e3 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'replace', label: 'Replace the rotor arm', minutes: 6, money: 7 }],
  faults: [
    {
      id: 'punched',
      label: 'punched through to the shaft',
      weight: 3,
      repair: 'replace',
      apply: (p, s) => ({ ...p, flashVolts: between(6e3, 1e3, s) }),
    },
    {
      id: 'worn',
      label: 'tip burnt away',
      weight: 0.7,
      repair: 'replace',
      apply: (p, s) => ({ ...p, gapVolts: between(12e3, 22e3, s) }),
    },
    {
      // The brush of the cap then reaches nothing: what jumps there jumps twice.
      id: 'spring',
      leap: true,
      label: 'spring lost or broken',
      weight: 0.3,
      byHand: true,
      repair: 'replace',
      apply: (p, s) => ({ ...p, gapVolts: between(8e3, 20e3, s), springGone: 1 }),
    },
    {
      id: 'carboned',
      label: 'a carbon track along it',
      weight: 0.4,
      repair: 'replace',
      from: { carbonOhms: 1e9 },
      apply: (p, s) => ({ ...p, carbonOhms: logBetween(250e3, 15e3, s) }),
    },
  ],
  elements: () => [],
  highTension: (p) => ({
    gapVolts: p.gapVolts,
    flashVolts: p.flashVolts,
    ...(p.carbonOhms === undefined ? {} : { shuntOhms: p.carbonOhms }),
  }),
};
