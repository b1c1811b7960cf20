import { PARTS, type PartInstance } from '../parts/index.ts';
import type { FitOut } from '../schema/machine.ts';
import type { LayoutKind, Station } from './layout.ts';
import { magnetoFiring, magnetoSpark } from './magnetoSpark.ts';
import { coilStations, endsOfSpark, FLYWHEEL, stopLine } from './trailEnds.ts';

const beside = (name: string) => ({ name, joins: 'coils' });

const STATIONS: readonly Station[] = [
  FLYWHEEL,
  ...coilStations,
  { id: 'points', label: 'Points', picture: 'points', lane: beside('Breaker') },
  { id: 'condenser', label: 'Condensers', picture: 'condenser', lane: beside('Breaker') },
  ...stopLine.stations.map((s) => ({ ...s, lane: beside('Stop') })),
];

function parts(fit: FitOut): PartInstance[] {
  const numbers = Array.from({ length: fit.cylinders }, (_, i) => i + 1);
  const named = (what: string, n: number) => (fit.cylinders === 1 ? what : `${what} ${n}`);
  const each = numbers.map((n): PartInstance[] => [
    {
      id: `coil-${n}`,
      label: named('Magneto coil', n),
      station: 'coils',
      kind: PARTS.magnetoCoil,
      nodes: { a: `coil-${n}`, b: '0', tower: `tower-${n}` },
      cylinder: n,
      weight: 1.5 / fit.cylinders,
    },
    {
      id: `points-${n}`,
      label: named('Points', n),
      station: 'points',
      kind: PARTS.flywheelPoints,
      nodes: { a: `coil-${n}`, b: '0' },
      cylinder: n,
      weight: 1.5 / fit.cylinders,
    },
    {
      id: `condenser-${n}`,
      label: named('Condenser', n),
      station: 'condenser',
      kind: PARTS.condenser,
      nodes: { a: `coil-${n}`, b: '0' },
      cylinder: n,
      weight: 1.5 / fit.cylinders,
    },
  ]);
  return [
    { id: 'flywheel', label: 'Flywheel', station: 'flywheel', kind: PARTS.flywheel, nodes: {}, apart: true },
    ...each.flat(),
    ...stopLine.parts(numbers.map((n) => `coil-${n}`)),
    ...endsOfSpark(fit),
  ];
}

export const flywheelMagneto: LayoutKind = {
  kind: 'flywheel-magneto',
  label: 'Flywheel magneto with points',
  build: (fit) => ({
    kind: 'flywheel-magneto',
    fit,
    stations: STATIONS,
    parts: parts(fit),
    nodeNames: {
      '0': 'bare metal on the engine',
      ...stopLine.nodeNames,
      ...Object.fromEntries(
        Array.from({ length: fit.cylinders }, (_, i): [string, string][] => [
          [`coil-${i + 1}`, `the coil’s wire at points ${i + 1}`],
          [`tower-${i + 1}`, `the lead of coil ${i + 1}`],
        ]).flat(),
      ),
    },
    settle: (params) => params,
    spark: magnetoSpark(),
    firing: magnetoFiring(),
    outOfTime: (scene) => scene.params['flywheel']!['slipDegrees']!,
    crankingShare: () => 1,
  }),
};
