import { between, logBetween, OPEN_OHMS, type Figures, type PartKind, type PlateSpec } from '../../../machine/part.ts';

export type CoilFigure =
  'primaryOhms' | 'secondaryOhms' | 'henries' | 'turnsRatio' | 'farads' | 'transfer' | 'shuntOhms' | 'flashVolts';

/** Ignition coil of one cylinder; what its plates are depends on what drives it. */
interface Windings {
  primaryOhms: [number, number];
  secondaryOhms: [number, number];
  henries: [number, number];
  turnsRatio: [number, number];
}
const band = ([low, high]: [number, number]) => ({ low, high });

function plates(w: Windings): PlateSpec<CoilFigure>[] {
  return [
    { id: 'primaryOhms', label: 'Primary resistance', dimension: 'resistance', typical: () => band(w.primaryOhms) },
    {
      id: 'secondaryOhms',
      label: 'Secondary resistance',
      dimension: 'resistance',
      typical: () => band(w.secondaryOhms),
    },
    {
      id: 'henries',
      label: 'Primary inductance',
      dimension: 'inductance',
      typical: () => band(w.henries),
      hidden: true,
    },
    {
      id: 'turnsRatio',
      label: 'Turns, secondary to primary',
      dimension: 'ratio',
      typical: () => band(w.turnsRatio),
      hidden: true,
    },
    {
      id: 'farads',
      label: 'Stray capacitance with leads',
      dimension: 'capacitance',
      typical: () => band([50e-12, 70e-12]),
      hidden: true,
    },
    {
      id: 'transfer',
      label: 'Share of voltage kept',
      dimension: 'ratio',
      typical: () => band([0.82, 0.9]),
      hidden: true,
    },
    { id: 'shuntOhms', label: 'Insulation', dimension: 'resistance', typical: () => band([5e7, 5e8]), hidden: true },
    {
      id: 'flashVolts',
      label: 'Insulation holds to',
      dimension: 'voltage',
      typical: () => band([34e3, 42e3]),
      hidden: true,
    },
  ];
}

/** Turns of the secondary that touch: each is lost to the ratio as well, and what is shorted drinks of the store. */
export function secondaryShorted<F extends Figures<'secondaryOhms' | 'turnsRatio' | 'transfer'>>(p: F, s: number): F {
  const kept = between(0.8, 0.35, s);
  return {
    ...p,
    secondaryOhms: p.secondaryOhms * kept,
    turnsRatio: p.turnsRatio * kept,
    transfer: p.transfer * kept,
  };
}

type OwnCoil<Has extends string> = PartKind<Has | CoilFigure, 'gapVolts'>;
const faults = <More extends string = never>(
  minutes: number,
  money: number,
): Pick<OwnCoil<More>, 'repairs' | 'faults' | 'elements' | 'highTension'> => ({
  repairs: [{ id: 'replace', label: 'Replace the ignition coil', minutes, money }],
  faults: [
    {
      id: 'primary-open',
      label: 'primary winding open',
      weight: 1.5,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p) => ({ ...p, primaryOhms: OPEN_OHMS }),
    },
    {
      id: 'secondary-open',
      label: 'secondary winding open',
      weight: 1.5,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, secondaryOhms: OPEN_OHMS, gapVolts: logBetween(9e3, 25e3, s) }),
    },
    {
      id: 'secondary-shorted',
      label: 'secondary turns shorted: a weak spark',
      weight: 0.5,
      repair: 'replace',
      comesWith: 'heat',
      apply: secondaryShorted,
    },
    {
      id: 'insulation',
      label: 'insulation breaks down',
      weight: 2,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, flashVolts: between(7e3, 2e3, s) }),
    },
  ],
  elements: (p, { id, nodes }) => [
    { type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: p.primaryOhms },
    { type: 'resistor', id: `${id}.secondary`, a: nodes['tower']!, b: nodes['b']!, ohms: p.secondaryOhms },
  ],
  highTension: (p) => ({
    seriesOhms: Math.min(p.secondaryOhms, 20e3),
    gapVolts: p.gapVolts ?? 0,
    shuntOhms: p.shuntOhms,
    flashVolts: p.flashVolts,
  }),
});

/** Driven by a pack's discharge: a fraction of an ohm. */
export const dischargeCoil: OwnCoil<never> = {
  kind: 'discharge coil',
  symbol: 'coil',
  exchanged: true,
  plates: plates({
    primaryOhms: [0.3, 0.6],
    secondaryOhms: [2500, 4200],
    henries: [1e-3, 1.4e-3],
    turnsRatio: [64, 76],
  }),
  ...faults(15, 60),
};

const magnetoWindings = plates({
  primaryOhms: [0.6, 1],
  secondaryOhms: [5200, 8800],
  henries: [2.6e-3, 3.4e-3],
  turnsRatio: [70, 80],
});

const wound = faults<'airGapMetres' | 'voltsPerRadian'>(35, 75);

/** Coil on the laminations beside the flywheel: generates and transforms. */
export const magnetoCoil: OwnCoil<'airGapMetres' | 'voltsPerRadian'> = {
  kind: 'magneto coil',
  symbol: 'coil',
  exchanged: true,
  ...wound,
  plates: [
    ...magnetoWindings,
    {
      id: 'airGapMetres',
      setAs: 'each',
      label: 'Gap to the flywheel',
      dimension: 'length',
      typical: () => ({ low: 0.25e-3, high: 0.38e-3 }),
    },
    {
      id: 'voltsPerRadian',
      label: 'Open peak for each rad/s',
      dimension: 'voltage',
      typical: () => ({ low: 0.15, high: 0.18 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'replace', label: 'Replace the magneto coil', minutes: 35, money: 75 },
    { id: 'gap', label: 'Set the coil’s gap to the flywheel', minutes: 15, money: 0 },
  ],
  faults: [
    ...wound.faults,
    {
      id: 'primary-shorted',
      label: 'primary turns shorted',
      weight: 0.8,
      repair: 'replace',
      apply: (p, s) => {
        const kept = between(0.55, 0.12, s);
        return { ...p, primaryOhms: p.primaryOhms * kept, voltsPerRadian: p.voltsPerRadian * kept ** 2 };
      },
    },
    {
      id: 'gap',
      label: 'too far from the flywheel',
      weight: 1,
      repair: 'gap',
      apply: (p, s) => ({ ...p, airGapMetres: between(1.6e-3, 3e-3, s) }),
    },
  ],
};

/** Flux falls with the air gap about as 1/(1 + 2·gap/iron): 1.4 mm of added gap halves it. A rule of this model. */
export const fluxShare = (gapMetres: number): number => 1 / (1 + Math.max(0, gapMetres - 0.3e-3) / 1.4e-3);
