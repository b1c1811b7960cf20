import { ownWay } from '../sparkPath.ts';
import { sparkOffers } from '../offers.ts';
import type { Site } from '../../../machine/site.ts';
import { PARTS, type PartInstance } from '../parts/index.ts';
import type { Fit } from '../../../schema/fit.ts';
import { dischargeCoils, dischargeFiring, dischargeNames } from './capacitorDischarge.ts';
import { dischargeSpark } from '../dischargeSpark.ts';
import type { TrailKind, Station } from '../../../machine/trail.ts';
import { settleSupply, supplyOffers, supplyParts, supplyStations } from '../../shared/supply.ts';
import { coilFeedStations, feedParts, supplyNames } from '../coilFeed.ts';
import { coilStations, endsOfSpark, triggerLine } from '../trailEnds.ts';

const into = (name: string) => ({ name, joins: 'pack' });

const stations = (fit: Fit): Station[] => [
  ...supplyStations(fit),
  ...coilFeedStations(fit, 'Wire to pack', false),
  { id: 'pack', label: 'Pack', picture: 'pack' },
  { id: 'coil-wires', label: 'Coil wires', picture: 'wire', joint: true },
  ...coilStations,
  { id: 'trigger', label: 'Trigger', picture: 'winding', lane: into('Trigger') },
  { id: 'trigger-connector', label: 'Connector', picture: 'connector', joint: true, lane: into('Trigger') },
  { id: 'pack-earth', label: 'Pack earth', picture: 'earth', joint: true, lane: into('Earth') },
  { id: 'strap', label: 'Engine strap', picture: 'earth', joint: true, lane: into('Earth') },
];

const parts = (fit: Fit, site: Site): PartInstance[] => [
  ...supplyParts(fit, site),
  ...feedParts(fit, 'Wire from switch to pack', 'pack-in'),
  {
    id: 'pack',
    label: 'Ignition pack',
    station: 'pack',
    kind: PARTS.batteryPack,
    nodes: {
      in: 'pack-in',
      trigger: 'trg-in',
      earth: 'pack-earth',
      ...Object.fromEntries(Array.from({ length: fit.cylinders }, (_, i) => [`out${i + 1}`, `out-${i + 1}`])),
    },
    fails: [
      'dead',
      'weak',
      ...(fit.cylinders > 1 ? Array.from({ length: fit.cylinders }, (_, i) => `channel-${i + 1}`) : []),
    ],
  },
  ...triggerLine('Trigger coil', 'Trigger connector', PARTS.pickupCoil),
  {
    id: 'pack-earth',
    label: 'Earth of the pack',
    station: 'pack-earth',
    kind: PARTS.packEarth,
    nodes: { a: 'pack-earth', b: 'block' },
  },
  ...dischargeCoils(fit),
  ...endsOfSpark(fit),
];

export const batteryDischarge: TrailKind = {
  trail: 'spark',
  kind: 'battery-discharge',
  label: 'Capacitor discharge, fed by a battery',
  build: (fit, site) => {
    return {
      id: 'spark',
      kind: 'battery-discharge',
      stations: stations(fit),
      parts: parts(fit, site),
      nodeNames: {
        ...dischargeNames(fit),
        ...supplyNames(fit),
        'switch-out': 'the switch terminal that feeds the pack',
        'pack-in': 'the pack’s feed',
      },
      settle: settleSupply,
      offers: sparkOffers(dischargeSpark, supplyOffers(fit)),
      firing: dischargeFiring,
      sparkWay: ownWay,
      onShare: () => 0.5,
    };
  },
};
