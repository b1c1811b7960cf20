import { between, logBetween, type PartInstance, type PartKind } from '../../../machine/part.ts';
import type { Fit } from '../../../schema/fit.ts';
import { isSwapped } from './leadOrder.ts';

/** A track of carbon carries a spark from tower to tower well before a plug asks its own volts. Judgement. */
const TRACK_VOLTS = 6e3;

/** A cap; `towers` is the first of two neighbours between whose towers a track leads the spark. */
export const distributorCap: PartKind<'shuntOhms' | 'gapVolts', 'tracked' | 'towers' | 'wet'> = {
  kind: 'distributor cap',
  symbol: 'cap',
  plates: [
    {
      id: 'shuntOhms',
      label: 'Insulation',
      dimension: 'resistance',
      typical: () => ({ low: 2e8, high: 2e9 }),
      hidden: true,
    },
    {
      id: 'gapVolts',
      label: 'Carbon brush contact',
      dimension: 'voltage',
      typical: () => ({ low: 0, high: 100 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'replace', label: 'Replace the distributor cap', minutes: 12, money: 22 },
    { id: 'dry', label: 'Dry and clean the cap and leads', minutes: 10, money: 2 },
  ],
  faults: [
    {
      id: 'tracked',
      label: 'cracked or carbon-tracked',
      weight: 2.5,
      repair: 'replace',
      apply: (p, s) => ({ ...p, shuntOhms: logBetween(250e3, 15e3, s), tracked: 1 }),
    },
    {
      id: 'towers',
      leap: true,
      label: 'carbon-tracked between two towers',
      weight: 1.5,
      repair: 'replace',
      apply: (p, s, fit) => ({ ...p, tracked: 1, towers: 1 + Math.floor(s * fit.cylinders * 0.999) }),
    },
    {
      id: 'damp',
      label: 'damp inside',
      weight: 3,
      repair: 'dry',
      comesWith: 'damp',
      apply: (p, s) => ({ ...p, shuntOhms: logBetween(250e3, 25e3, s), wet: 1 }),
    },
    {
      id: 'brush',
      label: 'carbon brush gone',
      weight: 1.5,
      repair: 'replace',
      apply: (p, s) => ({ ...p, gapVolts: between(12e3, 25e3, s) }),
    },
  ],
  elements: (p, { id, nodes }) => [{ type: 'resistor', id: `${id}.leak`, a: nodes['a']!, b: '0', ohms: p.shuntOhms }],
  highTension: (p, { cylinders }, cylinder) => ({
    gapVolts: p.gapVolts,
    shuntOhms: p.shuntOhms,
    ...(cylinder !== undefined && isSwapped(p.towers ?? 0, cylinder, cylinders) ? { flashVolts: TRACK_VOLTS } : {}),
  }),
};

/** The ways in which a cap fails on this engine: of one tower none tracks to the next. */
export const capFails = ({ cylinders }: Fit): Pick<PartInstance, 'fails'> =>
  cylinders > 1 ? {} : { fails: distributorCap.faults.map((f) => f.id).filter((id) => id !== 'towers') };
