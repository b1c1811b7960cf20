import { figuresAt } from '../../../machine/figures.ts';
import { idOf, numbered } from '../../../machine/numbered.ts';
import { magnetOffers } from '../generated.ts';
import { sparkOffers } from '../offers.ts';
import { capFails } from '../parts/distributorCap.ts';
import { PARTS, type PartInstance } from '../parts/index.ts';
import type { Fit } from '../../../schema/fit.ts';
import type { TrailKind, Station } from '../../../machine/trail.ts';
import type { SparkPlace } from '../../../machine/observed.ts';
import { magnetoFiring, magnetoSpark, type Fired } from '../magnetoSpark.ts';
import { endsOfSpark, stopLine } from '../trailEnds.ts';

const beside = (name: string) => ({ name, joins: 'coils' });

const STATIONS: readonly Station[] = [
  { id: 'drive', label: 'Drive', picture: 'gear' },
  { id: 'impulse', label: 'Impulse coupling', picture: 'spring' },
  { id: 'magnet-rotor', label: 'Magnets', picture: 'flywheel' },
  { id: 'coils', label: 'Coil', picture: 'coil' },
  { id: 'cap', label: 'Cap', picture: 'cap' },
  { id: 'rotor', label: 'Rotor', picture: 'rotor' },
  { id: 'plug-leads', label: 'Plug leads', picture: 'lead', joint: true },
  { id: 'plugs', label: 'Plugs', picture: 'plug' },
  { id: 'points', label: 'Points', picture: 'points', lane: beside('Breaker') },
  { id: 'condenser', label: 'Condenser', picture: 'condenser', lane: beside('Breaker') },
  ...stopLine.stations.map((s) => ({ ...s, lane: beside('Stop') })),
];

const parts = (fit: Fit): PartInstance[] => [
  { id: 'drive', label: 'Drive of the magneto', station: 'drive', kind: PARTS.magnetoDrive, nodes: {}, apart: true },
  {
    id: 'impulse',
    label: 'Impulse coupling',
    station: 'impulse',
    kind: PARTS.impulseCoupling,
    nodes: {},
    apart: true,
  },
  { id: 'magnet-rotor', label: 'Magnets', station: 'magnet-rotor', kind: PARTS.magnetRotor, nodes: {}, apart: true },
  {
    ...numbered('coil', 1),
    label: 'Magneto coil',
    station: 'coils',
    kind: PARTS.magnetoCoil,
    nodes: { a: 'coil-1', b: '0', tower: 'tower-1' },
    fails: ['primary-open', 'secondary-open', 'insulation', 'primary-shorted'],
  },
  {
    ...numbered('points', 1),
    label: 'Points',
    station: 'points',
    kind: PARTS.flywheelPoints,
    nodes: { a: 'coil-1', b: '0' },
  },
  {
    ...numbered('condenser', 1),
    label: 'Condenser',
    station: 'condenser',
    kind: PARTS.condenser,
    nodes: { a: 'coil-1', b: '0' },
  },
  ...stopLine.parts(['coil-1']),
  {
    id: 'cap',
    label: 'Magneto cap',
    station: 'cap',
    apart: true,
    kind: PARTS.distributorCap,
    nodes: { a: 'ht-cap' },
    ...capFails(fit),
  },
  { id: 'rotor', label: 'Rotor arm', station: 'rotor', apart: true, kind: PARTS.rotor, nodes: {} },
  ...endsOfSpark(fit),
];

const path = (place: SparkPlace, cylinder: number): string[] => [
  idOf('coil', 1),
  ...(place === 'coil lead' ? [] : ['cap', 'rotor', idOf('lead', cylinder)]),
  ...(place === 'plug' ? [idOf('plug', cylinder), 'plugs'] : []),
];
const by = (): Fired => ({ unit: 1, path });

export const rotatingMagneto: TrailKind = {
  trail: 'spark',
  ground: 'engine',
  kind: 'rotating-magneto',
  label: 'High-tension magneto with impulse coupling',
  build: (fit) => ({
    id: 'spark',
    kind: 'rotating-magneto',
    stations: STATIONS,
    parts: parts(fit),
    nodeNames: {
      '0': 'bare metal on the magneto',
      'coil-1': 'the coil’s wire at the points',
      'tower-1': 'the coil’s tower, or the brush that runs on it',
      ...stopLine.nodeNames,
    },
    offers: sparkOffers(
      magnetoSpark(by),
      magnetOffers(
        fit,
        (scene, state) =>
          figuresAt(scene.params, 'drive').slipDegrees -
          (state.key === 'run' ? (figuresAt(scene.params, 'impulse').lagDegrees ?? 0) : 0),
      ),
    ),
    firing: magnetoFiring(by),
    sparkWay: (cylinder) => path('plug', cylinder).filter((id) => id !== 'plugs'),
  }),
};
