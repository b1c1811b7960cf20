import { addedAt, addedParts, addedStations } from './added.ts';
import { PARTS, type PartInstance } from '../parts/index.ts';
import type { FitOut } from '../schema/machine.ts';
import { closedSeconds } from '../ignition/index.ts';
import { coilFiring, coilSpark, distributorRpm, type Breaker } from './coilSpark.ts';
import { DISTRIBUTOR_STATIONS, distributorParts } from './distributor.ts';
import type { Known, Layout, LayoutKind, Station } from './layout.ts';
import {
  coilFeedParts,
  coilFeedStations,
  crankingShare,
  settleFuse,
  supplyNames,
  supplyParts,
  supplyStations,
} from './supply.ts';

const stations = (fit: FitOut): Station[] => [
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

const parts = (fit: FitOut): PartInstance[] => [
  ...supplyParts(fit),
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
const breaker: Breaker = (scene: Known, state) => ({
  closedSeconds: closedSeconds(scene.params['points']!['dwellDegrees']!, distributorRpm(state)),
  condenserFarads: scene.params['condenser']!['farads']! + (state.clipped?.includes('condenser') ? 0.22e-6 : 0),
  leakOhms: scene.params['condenser']!['leakOhms']!,
});

export const batteryPoints: LayoutKind = {
  kind: 'battery-points',
  label: 'Battery, coil and breaker points',
  build: (fit) => {
    const layout: Layout = {
      kind: 'battery-points',
      fit,
      stations: stations(fit),
      parts: parts(fit),
      nodeNames: {
        ...supplyNames(fit),
        'coil-': fit.earth === 'negative' ? 'coil −' : 'the points terminal of the coil (+)',
        points: 'the terminal at the points',
        plate: 'the points base plate',
      },
      settle: (params) => settleFuse(() => layout, params),
      spark: coilSpark({ breaker }),
      firing: coilFiring({ breaker }),
      onShare: (scene) => (scene.params['points']!['dwellDegrees']! * fit.cylinders) / 360,
      crankingShare,
    };
    return layout;
  },
};
