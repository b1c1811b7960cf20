import { ownWay } from '../sparkPath.ts';
import { figuresAt } from '../../../machine/figures.ts';
import { numbered } from '../../../machine/numbered.ts';
import { magnetOffers } from '../generated.ts';
import { sparkOffers } from '../offers.ts';
import { PARTS, type PartInstance } from '../parts/index.ts';
import type { Fit } from '../../../schema/fit.ts';
import type { TrailKind, Station } from '../../../machine/trail.ts';
import { magnetoFiring, magnetoSpark } from '../magnetoSpark.ts';
import { coilStations, endsOfSpark, FLYWHEEL, stopLine } from '../trailEnds.ts';

const beside = (name: string) => ({ name, joins: 'coils' });

const STATIONS: readonly Station[] = [
  FLYWHEEL,
  ...coilStations,
  { id: 'points', label: 'Points', picture: 'points', lane: beside('Breaker') },
  { id: 'condenser', label: 'Condensers', picture: 'condenser', lane: beside('Breaker') },
  ...stopLine.stations.map((s) => ({ ...s, lane: beside('Stop') })),
];

function parts(fit: Fit): PartInstance[] {
  const numbers = Array.from({ length: fit.cylinders }, (_, i) => i + 1);
  const named = (what: string, together: string, n: number) =>
    fit.cylinders === 1 ? { label: what } : { label: `${what} ${n}`, together };
  const each = numbers.map((n): PartInstance[] => [
    {
      ...numbered('coil', n),
      ...named('Magneto coil', 'Magneto coils', n),
      station: 'coils',
      kind: PARTS.magnetoCoil,
      nodes: { a: `coil-${n}`, b: '0', tower: `tower-${n}` },
      cylinder: n,
      weight: 1.5 / fit.cylinders,
    },
    {
      ...numbered('points', n),
      ...named('Points', 'Points, all', n),
      station: 'points',
      kind: PARTS.flywheelPoints,
      nodes: { a: `coil-${n}`, b: '0' },
      cylinder: n,
      weight: 1.5 / fit.cylinders,
    },
    {
      ...numbered('condenser', n),
      ...named('Condenser', 'Condensers', n),
      station: 'condenser',
      kind: PARTS.condenser,
      nodes: { a: `coil-${n}`, b: '0' },
      cylinder: n,
      weight: 1.5 / fit.cylinders,
    },
  ]);
  return [
    { id: 'flywheel', label: 'Flywheel', station: 'flywheel', kind: PARTS.magnetoFlywheel, nodes: {}, apart: true },
    ...each.flat(),
    ...stopLine.parts(numbers.map((n) => `coil-${n}`)),
    ...endsOfSpark(fit),
  ];
}

export const flywheelMagneto: TrailKind = {
  trail: 'spark',
  ground: 'engine',
  kind: 'flywheel-magneto',
  label: 'Flywheel magneto with points',
  build: (fit) => ({
    id: 'spark',
    kind: 'flywheel-magneto',
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
    offers: sparkOffers(
      magnetoSpark(),
      magnetOffers(fit, (scene) => figuresAt(scene.params, 'flywheel').slipDegrees),
    ),
    firing: magnetoFiring(),
    sparkWay: ownWay,
  }),
};
