import {
  between,
  logBetween,
  type FaultMode,
  type Figures,
  type PartKind,
  type PlateSpec,
} from '../../../machine/part.ts';
import type { Fit } from '../../../schema/fit.ts';

/** Leaks grow with what they run around: the bore, by the two thirds of its volume; 1 for a cylinder of 0.42 litres. */
export const bigness = (fit: Pick<Fit, 'litres' | 'cylinders'>): number =>
  (fit.litres / fit.cylinders / 0.42) ** (2 / 3);
const MM2 = 1e-6;

const leak = (low: number, high: number): PlateSpec<'leakSquareMetres'> => ({
  id: 'leakSquareMetres',
  label: 'What it lets by',
  dimension: 'ratio',
  typical: (fit) => ({ low: low * MM2 * bigness(fit), high: high * MM2 * bigness(fit) }),
  hidden: true,
});
const leaks =
  <More extends object>(low: number, high: number, more?: More) =>
  <F extends Figures<'leakSquareMetres'>>(p: F, s: number, fit: Fit): F & More => ({
    ...p,
    leakSquareMetres: between(low, high, s) * MM2 * bigness(fit),
    ...(more as More),
  });
const HEAD = { id: 'head', label: 'Take the head off, grind or renew the valve', minutes: 300, money: 95 };

/** What sound rings let by, square millimetres of a cylinder of 0.42 litres. Judgement. */
export const SOUND_RINGS = { low: 0.15, high: 0.4 } as const;
/** Rings and bore of one cylinder. */
const rings: PartKind<'leakSquareMetres', 'oil'> = {
  kind: 'piston rings',
  symbol: 'none',
  plates: [leak(SOUND_RINGS.low, SOUND_RINGS.high)],
  repairs: [{ id: 'renew', label: 'Piston out: free or renew the rings', minutes: 480, money: 140 }],
  faults: [
    {
      id: 'worn',
      label: 'stuck or broken',
      weight: 1.5,
      repair: 'renew',
      apply: leaks(3.5, 15, { oil: 1 }),
    },
  ],
  elements: () => [],
};
/**
 * How far from its book’s ratio an engine is squeezed: thick gaskets, skimmed heads, other pistons, cams that shut the
 * valve later, a gauge’s own hose. Books of one engine give pressures from an eighth below to an eighth above; judgement.
 */
export const RATIO_OFF = 0.1;

/** What wears all bores alike. */
const bores: PartKind<'leakSquareMetres' | 'ratio', 'oil'> = {
  kind: 'bores',
  symbol: 'none',
  plates: [
    { ...leak(0, 0.05), label: 'What wear lets by in each' },
    {
      id: 'ratio',
      label: 'Compression ratio, as built',
      dimension: 'ratio',
      typical: (fit) => ({
        low: fit.compressionRatio * (1 - RATIO_OFF),
        high: fit.compressionRatio * (1 + RATIO_OFF),
      }),
      least: 2,
      most: 26,
    },
  ],
  repairs: [{ id: 'rebore', label: 'Rebore, new pistons and rings', minutes: 1500, money: 620 }],
  faults: [
    {
      id: 'worn',
      label: 'worn, all of them',
      weight: 2.5,
      repair: 'rebore',
      apply: leaks(3, 10, { oil: 1 }),
    },
  ],
  elements: () => [],
};
const exhaust: PartKind<'leakSquareMetres' | 'clearanceMetres'> = {
  kind: 'exhaust valve',
  symbol: 'none',
  plates: [
    leak(0, 0.05),
    {
      id: 'clearanceMetres',
      setAs: 'all',
      label: 'Exhaust valve clearance',
      dimension: 'length',
      typical: () => ({ low: 0.25e-3, high: 0.4e-3 }),
    },
  ],
  repairs: [HEAD, { id: 'set', label: 'Set the valve clearances', minutes: 50, money: 0 }],
  faults: [
    { id: 'burnt', label: 'burnt', weight: 2.5, repair: 'head', apply: leaks(4, 16) },
    {
      id: 'tight',
      label: 'has no clearance',
      weight: 2.5,
      repair: 'set',
      apply: (p, s, fit) => ({ ...leaks(3, 16)(p, s, fit), clearanceMetres: 0 }),
    },
  ],
  elements: () => [],
};
const intake: PartKind<'leakSquareMetres', 'sticks'> = {
  kind: 'inlet valve',
  symbol: 'none',
  plates: [leak(0, 0.05)],
  repairs: [HEAD, { id: 'free', label: 'Free the valve in its guide', minutes: 60, money: 6 }],
  faults: [
    { id: 'leaks', label: 'leaks at its seat', weight: 1, repair: 'head', apply: leaks(3.5, 16) },
    {
      id: 'sticks',
      label: 'sticks open in its guide',
      weight: 1.5,
      repair: 'free',
      apply: leaks(25, 60, { sticks: 1 }),
    },
  ],
  elements: () => [],
};

/** Cylinders that a head gasket may burn through at, and pairs that it may burn through between: at most so many in a row. */
const CYLINDERS = [1, 2, 3, 4, 5, 6, 7, 8];
const PAIRS = CYLINDERS.slice(0, -1);
type GasketWay = FaultMode<'leakSquareMetres', 'blows' | 'water' | 'pair'>;
/** A way out of the joint, at one cylinder of several; `figure` says which. The only cylinder need not be named. */
const outAt = (
  figure: 'blows' | 'water',
  way: Pick<GasketWay, 'id' | 'label' | 'weight'>,
  low: number,
  high: number,
): readonly GasketWay[] => [
  { ...way, repair: 'renew', apply: leaks(low, high, { [figure]: 1 }) },
  ...CYLINDERS.map((k) => ({
    id: `${way.id}-${k}`,
    family: way.id,
    cylinder: k,
    label: `${way.label} at cylinder ${k}`,
    weight: way.weight / USUALLY,
    repair: 'renew',
    apply: leaks(low, high, { [figure]: k }),
  })),
];
/** Of an engine of so many cylinders the joint fails as often as it is said to; of more oftener. */
const USUALLY = 4;
const gasket: PartKind<'leakSquareMetres', 'blows' | 'water' | 'pair'> = {
  kind: 'head gasket',
  symbol: 'none',
  plates: [leak(0, 0.03)],
  repairs: [{ id: 'renew', label: 'Renew the head gasket, look at both faces', minutes: 280, money: 55 }],
  faults: [
    ...outAt('blows', { id: 'out', label: 'blows outside', weight: 0.5 }, 3, 10),
    ...outAt('water', { id: 'water', label: 'blown into the coolant', weight: 1.5 }, 2.5, 8),
    ...PAIRS.map((k): FaultMode<'leakSquareMetres', 'pair'> => ({
      id: `between-${k}`,
      family: 'between',
      label: `blown between ${k} and ${k + 1}`,
      weight: 0.7,
      repair: 'renew',
      apply: leaks(4, 14, { pair: k }),
    })),
  ],
  elements: () => [],
};

/** What has built up on pistons and head. */
const chambers: PartKind<'carbon'> = {
  kind: 'combustion chambers',
  symbol: 'none',
  plates: [
    {
      id: 'carbon',
      label: 'Carbon in them, as a share of what glows',
      dimension: 'ratio',
      typical: () => ({ low: 0, high: 0.3 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'decoke', label: 'Head off: scrape the chambers clean', minutes: 300, money: 55 }],
  faults: [
    {
      id: 'carbon',
      label: 'thick with carbon that glows',
      weight: 1,
      repair: 'decoke',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, carbon: between(1.1, 2, s) }),
    },
  ],
  elements: () => [],
};

/** Seals of a two-stroke's crankcase: what is drawn in beside the carburettor. */
const crankcase: PartKind<'leakSquareMetres'> = {
  kind: 'crankcase',
  symbol: 'none',
  plates: [{ ...leak(0.0002, 0.002), label: 'What its seals let by' }],
  repairs: [{ id: 'seals', label: 'Renew the crankshaft seals', minutes: 180, money: 24 }],
  // What empties it within a minute does not yet hurt: it fails the pump long before it hunts.
  faults: [
    {
      id: 'leaks',
      label: 'seals leak',
      weight: 3,
      repair: 'seals',
      apply: (p, s, fit) => ({ ...p, leakSquareMetres: logBetween(0.02, 40, s) * MM2 * bigness(fit) }),
    },
  ],
  elements: () => [],
};
const share = (label: string, low: number): PlateSpec<'share'> => ({
  id: 'share',
  label,
  dimension: 'ratio',
  typical: () => ({ low, high: 1 }),
  hidden: true,
});
const reeds: PartKind<'share'> = {
  kind: 'reed valve',
  symbol: 'none',
  plates: [share('Share of what is drawn in that stays', 0.96)],
  repairs: [{ id: 'renew', label: 'Renew the reed petals', minutes: 45, money: 28 }],
  faults: [
    {
      id: 'chipped',
      label: 'a petal chipped or standing open',
      weight: 2,
      repair: 'renew',
      apply: (p, s) => ({ ...p, share: between(0.62, 0.3, s) }),
    },
  ],
  elements: () => [],
};
const port: PartKind<'share'> = {
  kind: 'exhaust port',
  symbol: 'none',
  plates: [share('Share that is open', 0.93)],
  repairs: [{ id: 'clear', label: 'Scrape the exhaust port clear', minutes: 60, money: 3 }],
  faults: [
    {
      id: 'carbon',
      label: 'choked with carbon',
      weight: 2,
      repair: 'clear',
      apply: (p, s) => ({ ...p, share: between(0.4, 0.2, s) }),
    },
  ],
  elements: () => [],
};

/** Parts that only the compression trail has. */
export const COMPRESSION_PARTS = { rings, bores, exhaust, intake, gasket, chambers, crankcase, reeds, port };
