import { between, deadShort, OPEN_OHMS, type PartKind } from '../../../machine/part.ts';
import { camAt } from './distributorShaft.ts';

/** Of the degrees of dirt, those from which a sensor sees no edge at all; before that it misses some. Judgement. */
const BLIND_FROM = 0.5;
/** Share of edges that a dirty sensor misses, 0…1. */
export const missesEdges = ({ dirty = 0 }: { readonly dirty?: number }): number => Math.min(1, dirty);

/** Hall or optical sensor: earths its signal as the vane passes. `unfed` is set where its supply fails it. */
export const sensor: PartKind<'ohms' | 'stays' | 'unfed', 'dirty' | 'still'> = {
  kind: 'sensor',
  symbol: 'module',
  plates: [
    {
      id: 'ohms',
      label: 'What it draws, as ohms',
      dimension: 'resistance',
      typical: () => ({ low: 900, high: 1600 }),
      hidden: true,
    },
    { id: 'stays', label: 'Signal that stays', dimension: 'ratio', typical: () => ({ low: 0, high: 0 }), hidden: true },
    { id: 'unfed', label: 'Without supply', dimension: 'ratio', typical: () => ({ low: 0, high: 0 }), hidden: true },
  ],
  repairs: [
    { id: 'replace', label: 'Replace the sensor in the distributor', minutes: 40, money: 60 },
    { id: 'clean', label: 'Clean the sensor and its vane, set them clear', minutes: 15, money: 1 },
  ],
  faults: [
    {
      id: 'dead',
      label: 'dead, its signal stays up',
      weight: 2.5,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p) => ({ ...p, stays: 1 }),
    },
    {
      id: 'shorted',
      label: 'shorted, its signal stays down',
      weight: 1,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, stays: -1, ohms: between(300, 60, s) }),
    },
    {
      id: 'dirty',
      label: 'dirty, or its vane out of place',
      weight: 1.5,
      repair: 'clean',
      comesWith: 'damp',
      apply: (p, s) => ({
        ...p,
        stays: Number(s > BLIND_FROM),
        dirty: s > BLIND_FROM ? 1 : between(0.05, 0.45, s / BLIND_FROM),
      }),
    },
  ],
  elements: (p, { id, nodes, state }) => [
    { type: 'resistor', id, a: nodes['supply']!, b: nodes['earth']!, ohms: p.ohms },
    {
      type: 'switch',
      id: `${id}.output`,
      a: nodes['signal']!,
      b: nodes['earth']!,
      closed: p.stays < -0.5 || (p.stays < 0.5 && p.unfed < 0.5 && camAt(p.still, state) === 'open'),
      onOhms: 40,
      offOhms: 1e7,
    },
  ],
};

/** Signal wire of a sensor: broken, or rubbed through to earth. */
export const signalWire: PartKind<'ohms' | 'earthOhms'> = {
  kind: 'signal wire',
  symbol: 'wire',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: () => ({ low: 0.05, high: 0.3 }),
      hidden: true,
    },
    {
      id: 'earthOhms',
      label: 'Insulation',
      dimension: 'resistance',
      typical: () => ({ low: 1e8, high: 1e9 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'remake', label: 'Remake the sensor’s signal wire', minutes: 15, money: 3 }],
  faults: [
    {
      id: 'broken',
      label: 'broken or off',
      weight: 2,
      repair: 'remake',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
    },
    {
      id: 'chafed',
      label: 'chafed through to earth',
      weight: 1,
      repair: 'remake',
      comesWith: 'shaking',
      leap: true,
      apply: (p, s) => ({ ...p, earthOhms: deadShort(s) }),
    },
  ],
  elements: (p, { id, nodes }) => [
    { type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: p.ohms },
    { type: 'resistor', id: `${id}.earth`, a: nodes['b']!, b: nodes['earth']!, ohms: p.earthOhms },
  ],
};
