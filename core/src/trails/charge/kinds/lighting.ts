import type { TrailKind } from '../../../machine/trail.ts';
import { lightingOffers, settleCharge } from '../charging.ts';
import { SOURCE } from '../making.ts';
import { CHARGE_PARTS as PARTS } from '../parts/index.ts';

/** A coil under the flywheel that feeds lamps, and no battery. */
export const lightingCoil: TrailKind = {
  trail: 'charge',
  kind: 'lighting-coil',
  label: 'Lighting coil only',
  ground: 'engine',
  build: (_fit, site) => ({
    id: 'charge',
    kind: 'lighting-coil',
    stations: [
      { id: SOURCE, label: 'Lighting coil', picture: 'winding' },
      { id: 'charge-wire', label: 'Wire to the lamps', picture: 'wire', joint: true },
    ],
    parts: [
      {
        id: SOURCE,
        label: 'Lighting coil',
        station: SOURCE,
        kind: PARTS.statorSingle,
        nodes: { a: 'chg-out', b: site.block },
      },
      {
        id: 'charge-wire',
        label: 'Wire to the lamps',
        station: 'charge-wire',
        kind: PARTS.chargeWire,
        nodes: { a: 'chg-out', b: 'lamps' },
      },
      { id: 'lamps', label: 'Lamps', station: 'charge-wire', kind: PARTS.lamps, nodes: { a: 'lamps', b: site.block } },
    ],
    nodeNames: { [site.block]: 'bare metal on the engine', 'chg-out': 'the coil’s wire', lamps: 'the lamp’s terminal' },
    settle: settleCharge,
    offers: lightingOffers,
  }),
};
