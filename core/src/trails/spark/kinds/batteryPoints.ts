import { figuresAt } from '../../../machine/figures.ts';
import { sparkOffers } from '../offers.ts';
import type { Site } from '../../../machine/site.ts';
import { addedAt, addedParts, addedStations } from '../../shared/added.ts';
import { PARTS, type PartInstance } from '../parts/index.ts';
import { leakAtWork } from '../parts/condenser.ts';
import { arcOhms, parallel } from '../parts/points.ts';
import type { Fit } from '../../../schema/fit.ts';
import { closedSeconds } from '../../../ignition/index.ts';
import { coilFiring, coilSpark, distributorRpm, type Breaker } from '../coilSpark.ts';
import {
  DISTRIBUTOR_STATIONS,
  distributorOffers,
  distributorParts,
  settleShaft,
  distributorWay,
} from '../distributor.ts';
import { revCounterPart } from '../revCounterPart.ts';
import type { Known } from '../../../machine/known.ts';
import type { TrailKind, Station } from '../../../machine/trail.ts';
import { settleWorn } from '../wornSet.ts';
import { settleSupply, supplyOffers, supplyParts, supplyStations } from '../../shared/supply.ts';
import { coilFeedParts, coilFeedStations, supplyNames } from '../coilFeed.ts';

const stations = (fit: Fit): Station[] => [
  ...supplyStations(fit),
  ...coilFeedStations(fit),
  { id: 'coil', label: 'Coil', picture: 'coil' },
  { id: 'coil-minus', label: 'Wire to points', picture: 'wire', joint: true },
  ...addedStations(fit, 'after the coil'),
  { id: 'points', label: 'Points', picture: 'points' },
  { id: 'condenser', label: 'Condenser', picture: 'condenser' },
  { id: 'body', label: 'Body earth', picture: 'earth', joint: true },
  { id: 'strap', label: 'Engine strap', picture: 'earth', joint: true },
  ...DISTRIBUTOR_STATIONS,
];

const parts = (fit: Fit, site: Site): PartInstance[] => [
  ...supplyParts(fit, site),
  ...coilFeedParts(fit),
  { id: 'coil', label: 'Coil', station: 'coil', kind: PARTS.coil, nodes: { a: 'coil+', b: 'coil-', tower: 'tower' } },
  {
    id: 'coil-minus',
    label: 'Wire from coil to points',
    station: 'coil-minus',
    kind: PARTS.wire,
    nodes: { a: 'coil-', b: addedAt(fit, 'after the coil', 'points'), earth: 'plate' },
  },
  ...addedParts(fit, 'after the coil', 'points'),
  revCounterPart,
  { id: 'points', label: 'Points', station: 'points', kind: PARTS.points, nodes: { a: 'points', b: 'plate' } },
  {
    id: 'condenser',
    label: 'Condenser',
    station: 'condenser',
    kind: PARTS.condenser,
    nodes: { a: 'points', b: 'plate' },
  },
  {
    id: 'body',
    label: 'Distributor body earth',
    station: 'body',
    kind: PARTS.bodyEarth,
    nodes: { a: 'plate', b: 'block' },
  },
  // The high-tension side stands apart in the low-voltage network: an ohmmeter meets its parts on the bench.
  ...distributorParts(fit),
];

/** Points and condenser as the coil meets them. */
const breaker: Breaker = (scene: Known, state) => {
  const condenserLeakOhms = leakAtWork(figuresAt(scene.params, 'condenser').leakOhms);
  return {
    closedSeconds: closedSeconds(figuresAt(scene.params, 'points').dwellDegrees, distributorRpm(scene, state)),
    condenserFarads: figuresAt(scene.params, 'condenser').farads + (state.clipped?.includes('condenser') ? 0.22e-6 : 0),
    condenserLeakOhms,
    leakOhms: parallel(condenserLeakOhms, arcOhms(figuresAt(scene.params, 'points').gapMetres)),
  };
};

export const batteryPoints: TrailKind = {
  trail: 'spark',
  kind: 'battery-points',
  label: 'Battery, coil and breaker points',
  build: (fit, site) => {
    return {
      id: 'spark',
      kind: 'battery-points',
      stations: stations(fit),
      parts: parts(fit, site),
      nodeNames: {
        ...supplyNames(fit),
        'coil-': fit.earth === 'negative' ? 'coil −' : 'the points terminal of the coil, marked +',
        points: 'the terminal at the points',
        plate: 'the points base plate',
      },
      settle: (found, params) => settleSupply(found, settleWorn(fit, settleShaft(params))),
      offers: sparkOffers(coilSpark({ breaker }), { ...supplyOffers(fit), ...distributorOffers }),
      firing: coilFiring({ breaker }),
      sparkWay: distributorWay,
      onShare: (scene) => (figuresAt(scene.params, 'points').dwellDegrees * fit.cylinders) / 360,
    };
  },
};
