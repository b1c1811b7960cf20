import { between, type MachineState, type PartKind } from '../../../machine/part.ts';

/** What turns points and rotor: its drive, and the bushes that it runs in. */
export const distributorShaft: PartKind<'playMetres', 'still'> = {
  kind: 'distributor shaft',
  symbol: 'none',
  plates: [
    {
      id: 'playMetres',
      label: 'Play of the shaft',
      dimension: 'length',
      typical: () => ({ low: 0.01e-3, high: 0.04e-3 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'drive', label: 'Mend the distributor drive: pin or gear', minutes: 75, money: 18 },
    { id: 'bushes', label: 'Renew the distributor bushes', minutes: 90, money: 16 },
  ],
  faults: [
    {
      // Where it stopped the points are shut as often as open; `still` says with which.
      id: 'sheared',
      leap: true,
      label: 'drive broken, the rotor does not turn',
      weight: 0.4,
      repair: 'drive',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, still: s < 0.5 ? STANDS.shut : STANDS.open }),
    },
    {
      id: 'worn',
      label: 'bushes worn, it wobbles',
      weight: 1,
      repair: 'bushes',
      apply: (p, s) => ({ ...p, playMetres: between(0.15e-3, 0.5e-3, s) }),
    },
  ],
  elements: () => [],
};

/** How the points stand while a shaft that has lost its drive is cranked past; nothing where it turns. */
const STANDS = { shut: 1, open: 2 } as const;

/** Where the cam holds what it works: as the state says, or as it stopped on a shaft that the crank no longer turns. */
export const camAt = (still: number | undefined, { key, points }: MachineState): MachineState['points'] =>
  still === undefined || (key !== 'crank' && key !== 'run') ? points : still === STANDS.shut ? 'closed' : 'open';
