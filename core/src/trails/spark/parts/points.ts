import { between, deadShort, logBetween, OPEN_OHMS, type Figures, type PartKind } from '../../../machine/part.ts';
import { camAt } from './distributorShaft.ts';

/** Below this gap the contacts arc or touch: they do not break the circuit. Metres. */
const LEAST_GAP = 0.03e-3;
/** Of points that are too close, the share that still open. Judgement. */
const STILL_OPENS = 0.4;

export const points: PartKind<'gapMetres' | 'dwellDegrees' | 'ohms' | 'earthOhms' | 'parted', 'edgeMetres' | 'still'> =
  {
    kind: 'breaker points',
    symbol: 'points',
    plates: [
      {
        id: 'gapMetres',
        setAs: 'each',
        label: 'Points gap',
        dimension: 'length',
        typical: (fit) => (fit.cylinders === 8 ? { low: 0.38e-3, high: 0.46e-3 } : { low: 0.33e-3, high: 0.43e-3 }),
      },
      {
        id: 'dwellDegrees',
        setAs: 'each',
        label: 'Dwell',
        dimension: 'angle',
        typical: (fit) => ({ low: (360 / fit.cylinders) * 0.57, high: (360 / fit.cylinders) * 0.68 }),
        // Beyond this the points would never open.
        reach: 1.45,
      },
      {
        id: 'ohms',
        label: 'Contact resistance',
        dimension: 'resistance',
        typical: () => ({ low: 0.01, high: 0.045 }),
        hidden: true,
      },
      {
        id: 'earthOhms',
        label: 'Insulation',
        dimension: 'resistance',
        typical: () => ({ low: 1e8, high: 1e9 }),
        hidden: true,
      },
      {
        id: 'parted',
        label: 'Contacts never meet',
        dimension: 'ratio',
        typical: () => ({ low: 0, high: 0 }),
        hidden: true,
      },
    ],
    repairs: [
      {
        id: 'dress',
        label: 'Clean or replace the points, set the gap',
        minutes: 20,
        money: 12,
        goesWith: 'the condenser; a little grease on the cam',
      },
      { id: 'set', label: 'Set the points gap', minutes: 12, money: 0, goesWith: 'a little grease on the cam' },
      { id: 'insulate', label: 'Refit the insulating washers at the points', minutes: 15, money: 2 },
    ],
    faults: [
      {
        id: 'burnt',
        label: 'burnt or dirty',
        weight: 10,
        repair: 'dress',
        apply: (p, s) => ({ ...p, ohms: logBetween(1.2, 400, s) }),
      },
      {
        id: 'closed-up',
        label: 'gap too small, set wrong or worn',
        weight: 7,
        byHand: true,
        repair: 'set',
        // A heel wears as slowly as it likes; what hardly opens is brought in as often as what never does.
        apply: (p, s) => ({
          ...p,
          gapMetres: s < STILL_OPENS ? between(0.22e-3, LEAST_GAP, s / STILL_OPENS) : between(0.02e-3, 0, s),
        }),
      },
      {
        id: 'parted',
        leap: true,
        label: 'gap so wide that they never close',
        weight: 2,
        byHand: true,
        repair: 'set',
        apply: (p, s) => ({ ...p, gapMetres: between(0.8e-3, 1.3e-3, s), parted: 1 }),
      },
      {
        id: 'earthed',
        label: 'earthed through a missing insulator',
        weight: 2,
        repair: 'insulate',
        leap: true,
        apply: (p, s) => ({ ...p, earthOhms: deadShort(s) }),
      },
    ],
    elements: (p, { id, nodes, state }) => [
      {
        type: 'switch',
        id,
        a: nodes['a']!,
        b: nodes['b']!,
        closed: contactMade(p, camAt(p.still, state) === 'closed'),
        onOhms: p.ohms,
        offOhms: OPEN_OHMS,
      },
      { type: 'resistor', id: `${id}.earth`, a: nodes['a']!, b: nodes['b']!, ohms: p.earthOhms },
    ],
  };

/** Whether the contacts touch with the cam where it is. */
export function contactMade(p: Figures<'parted' | 'gapMetres'>, camAllows: boolean): boolean {
  if (p.parted > 0.5) return false;
  return camAllows || p.gapMetres < LEAST_GAP;
}

/** Contacts that part by less than this arc as they do, metres; the arc's ohms at the least gap, and over what it fades. */
const ARCS_UNDER = 0.25e-3;
const ARC_OHMS = 40;
const ARC_FADES = 0.15e-3;
/** What an arc over a gap set too small leaves across the opened contacts, ohms. Judgement. */
export const arcOhms = (gapMetres: number): number =>
  gapMetres >= ARCS_UNDER ? OPEN_OHMS : ARC_OHMS * Math.exp(Math.max(0, gapMetres - LEAST_GAP) / ARC_FADES);

/** Two resistances side by side, ohms. */
export const parallel = (a: number, b: number): number => 1 / (1 / a + 1 / b);

/** Points that fire one coil of a single or a twin, on a cam with one lobe. */
export const twinPoints: typeof points = {
  ...points,
  kind: 'points of one coil',
  symbol: 'points',
  plates: points.plates.map((plate) =>
    plate.id === 'dwellDegrees'
      ? { ...plate, typical: () => ({ low: 95, high: 125 }), reach: 2.5 }
      : plate.id === 'gapMetres'
        ? { ...plate, typical: () => ({ low: 0.33e-3, high: 0.43e-3 }) }
        : plate,
  ),
};

/** Points of their own for one cylinder of a flywheel magneto: shut for about half a turn before they open. */
export const flywheelPoints: typeof points = {
  ...points,
  kind: 'flywheel points',
  symbol: 'points',
  plates: [
    ...points.plates.map((plate) =>
      plate.id === 'dwellDegrees' ? { ...plate, typical: () => ({ low: 115, high: 140 }), reach: 2.5 } : plate,
    ),
    {
      id: 'edgeMetres',
      setAs: 'each',
      label: 'Edge gap',
      dimension: 'length',
      // Some ten degrees after neutral, on the magnets' rim.
      typical: ({ spark }) => (spark === 'rotating-magneto' ? { low: 3e-3, high: 5e-3 } : { low: 10e-3, high: 16e-3 }),
    },
  ],
};
