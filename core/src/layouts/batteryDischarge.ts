import { PARTS, type PartInstance } from '../parts/index.ts';
import type { FitOut } from '../schema/machine.ts';
import { dischargeCoils, dischargeFiring, dischargeNames } from './capacitorDischarge.ts';
import { dischargeSpark } from './dischargeSpark.ts';
import type { Layout, LayoutKind, Station } from './layout.ts';
import {
  coilFeedStations,
  crankingShare,
  feedParts,
  settleFuse,
  supplyNames,
  supplyParts,
  supplyStations,
} from './supply.ts';
import { coilStations, endsOfSpark, triggerLine } from './trailEnds.ts';

const into = (name: string) => ({ name, joins: 'pack' });

const stations = (fit: FitOut): Station[] => [
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

const parts = (fit: FitOut): PartInstance[] => [
  ...supplyParts(fit),
  ...feedParts(fit, 'Wire from switch to pack', 'pack-in'),
  {
    id: 'pack',
    label: 'Ignition pack',
    station: 'pack',
    kind: PARTS.batteryPack,
    nodes: { in: 'pack-in', trigger: 'trg-in', earth: 'pack-earth' },
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

export const batteryDischarge: LayoutKind = {
  kind: 'battery-discharge',
  label: 'Capacitor discharge, fed by a battery',
  build: (fit) => {
    const layout: Layout = {
      kind: 'battery-discharge',
      fit,
      stations: stations(fit),
      parts: parts(fit),
      nodeNames: {
        ...dischargeNames(fit),
        ...supplyNames(fit),
        'switch-out': 'the switch terminal that feeds the pack',
        'pack-in': 'the pack’s feed',
      },
      settle: (params) => settleFuse(() => layout, params),
      spark: dischargeSpark,
      firing: dischargeFiring,
      onShare: () => 0.5,
      crankingShare,
    };
    return layout;
  },
};
