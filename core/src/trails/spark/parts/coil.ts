import { between, logBetween, OPEN_OHMS, type Figures, type PartKind } from '../../../machine/part.ts';
import { secondaryShorted, type CoilFigure } from './ownCoil.ts';
import type { Fit } from '../../../schema/fit.ts';

/** True where the coil is made to work behind a ballast: about half the primary resistance. */
const wantsBallast = (fit: Fit) => fit.ballast !== 'none';

function primary(fit: Fit) {
  if (fit.volts === 6) return wantsBallast(fit) ? { low: 0.7, high: 1.0 } : { low: 1.2, high: 1.7 };
  return wantsBallast(fit) ? { low: 1.3, high: 1.7 } : { low: 3.0, high: 3.9 };
}

/** A coil made for the other system: with ballast where there is none, or the other way round. */
function wrongCoil<F extends Figures<'primaryOhms' | 'henries'>>(p: F, fit: Fit): F {
  if (fit.volts === 6) return { ...p, primaryOhms: 3.3, henries: 8e-3 };
  return wantsBallast(fit) ? { ...p, primaryOhms: 3.4, henries: 8e-3 } : { ...p, primaryOhms: 1.45, henries: 7.5e-3 };
}

export const coil: PartKind<CoilFigure | 'reversed', 'gapVolts'> = {
  kind: 'coil',
  symbol: 'coil',
  exchanged: true,
  plates: [
    { id: 'primaryOhms', label: 'Primary resistance', dimension: 'resistance', typical: primary },
    {
      id: 'secondaryOhms',
      label: 'Secondary resistance',
      dimension: 'resistance',
      typical: () => ({ low: 6500, high: 10500 }),
    },
    {
      id: 'henries',
      label: 'Primary inductance',
      dimension: 'inductance',
      typical: (fit) =>
        fit.volts === 6 || wantsBallast(fit) ? { low: 6.5e-3, high: 8.5e-3 } : { low: 7e-3, high: 10e-3 },
    },
    {
      id: 'turnsRatio',
      label: 'Turns, secondary to primary',
      dimension: 'ratio',
      typical: () => ({ low: 78, high: 92 }),
    },
    {
      id: 'farads',
      label: 'Stray capacitance with leads',
      dimension: 'capacitance',
      typical: () => ({ low: 60e-12, high: 85e-12 }),
      hidden: true,
    },
    {
      id: 'transfer',
      label: 'Share of voltage kept',
      dimension: 'ratio',
      typical: () => ({ low: 0.82, high: 0.9 }),
      hidden: true,
    },
    {
      id: 'shuntOhms',
      label: 'Insulation',
      dimension: 'resistance',
      typical: () => ({ low: 5e7, high: 5e8 }),
      hidden: true,
    },
    {
      id: 'flashVolts',
      label: 'Insulation holds to',
      dimension: 'voltage',
      typical: () => ({ low: 38e3, high: 45e3 }),
      hidden: true,
    },
    {
      id: 'reversed',
      label: 'Connected the wrong way round',
      dimension: 'ratio',
      typical: () => ({ low: 0, high: 0 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'replace', label: 'Replace the coil', minutes: 20, money: 55 },
    { id: 'right-type', label: 'Fit a coil of the right type', minutes: 20, money: 55 },
    { id: 'swap-leads', label: 'Swap the two leads on the coil', minutes: 3, money: 0 },
  ],
  faults: [
    {
      id: 'primary-open',
      label: 'primary winding open',
      weight: 2.5,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p) => ({ ...p, primaryOhms: OPEN_OHMS }),
    },
    {
      id: 'primary-shorted',
      label: 'primary turns shorted',
      weight: 1,
      repair: 'replace',
      comesWith: 'heat',
      // A shorted turn loads the whole winding: both the resistance and, more so, the stored energy fall.
      apply: (p, s) => {
        const kept = between(0.6, 0.12, s);
        return { ...p, primaryOhms: p.primaryOhms * kept, henries: p.henries * kept ** 2 * 0.2 };
      },
    },
    {
      id: 'secondary-open',
      label: 'secondary winding open',
      weight: 2,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, secondaryOhms: OPEN_OHMS, gapVolts: logBetween(6e3, 20e3, s) }),
    },
    {
      id: 'secondary-shorted',
      label: 'secondary turns shorted: a weak spark',
      weight: 0.8,
      repair: 'replace',
      comesWith: 'heat',
      apply: secondaryShorted,
    },
    {
      id: 'insulation',
      label: 'insulation breaks down',
      weight: 2.5,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, flashVolts: between(8e3, 2e3, s) }),
    },
    {
      id: 'wrong',
      label: 'of the wrong type',
      weight: 0.8,
      byHand: true,
      repair: 'right-type',
      apply: (p, _s, fit) => wrongCoil(p, fit),
    },
    {
      id: 'reversed',
      label: 'connected the wrong way round',
      weight: 0.6,
      byHand: true,
      repair: 'swap-leads',
      apply: (p) => ({ ...p, reversed: 1 }),
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
};
