import { between, OPEN_OHMS, type PartKind } from '../../../machine/part.ts';
import { coil } from './coil.ts';
import type { CoilFigure } from './ownCoil.ts';

/** Low and high of the figures of a coil that it has as well. */
const PLUG_COIL: Readonly<Record<CoilFigure, readonly [number, number]>> = {
  primaryOhms: [0.5, 0.8],
  secondaryOhms: [5500, 9500],
  henries: [2.4e-3, 3.2e-3],
  turnsRatio: [82, 96],
  farads: [30e-12, 45e-12],
  transfer: [0.82, 0.9],
  shuntOhms: [5e7, 5e8],
  flashVolts: [36e3, 44e3],
};

/** Coil that sits on its plug, with the transistor that switches it. */
export const plugCoil: PartKind<CoilFigure> = {
  kind: 'plug coil',
  symbol: 'coil',
  exchanged: true,
  plates: coil.plates.flatMap(({ id, ...plate }) => {
    if (!(id in PLUG_COIL)) return [];
    const own = id as CoilFigure;
    const [low, high] = PLUG_COIL[own];
    return [{ ...plate, id: own, typical: () => ({ low, high }) }];
  }),
  repairs: [{ id: 'replace', label: 'Replace the plug coil', minutes: 10, money: 55, goesWith: 'its plug' }],
  faults: [
    {
      id: 'dead',
      label: 'dead inside',
      weight: 3,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p) => ({ ...p, primaryOhms: OPEN_OHMS }),
    },
    {
      id: 'insulation',
      label: 'insulation breaks down',
      weight: 3,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, flashVolts: between(8e3, 3e3, s) }),
    },
  ],
  // Its transistor hides its windings from an ohmmeter: what flows when it is on is all that the supply sees.
  elements: (p, { id, nodes, state, fit }) => [
    {
      type: 'switch',
      id,
      a: nodes['a']!,
      b: nodes['b']!,
      closed: state.points === 'closed' && state.key !== 'off' && state.key !== 'on',
      // One after the other: together they draw, on the mean, what one does.
      onOhms: p.primaryOhms * fit.cylinders,
      offOhms: 1e7,
    },
    // What its command wire meets.
    ...(nodes['command']
      ? [{ type: 'resistor', id: `${id}.input`, a: nodes['command'], b: nodes['b']!, ohms: 10e3 } as const]
      : []),
  ],
  highTension: (p) => ({ seriesOhms: p.secondaryOhms, flashVolts: p.flashVolts, shuntOhms: p.shuntOhms }),
};
