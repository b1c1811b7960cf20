import { figuresAt, figuresIfAny, withFigures } from '../../machine/figures.ts';
import type { MachineParams } from '../../machine/known.ts';
import { idOf } from '../../machine/numbered.ts';
import { logistic } from '../../random/lcg.ts';
import type { Offers } from '../../machine/observed.ts';
import { capFails } from './parts/distributorCap.ts';
import { isSwapped } from './parts/leadOrder.ts';
import { PARTS, type PartInstance } from './parts/index.ts';
import type { Fit } from '../../schema/fit.ts';
import type { SparkPlace } from '../../machine/observed.ts';
import type { Station } from '../../machine/trail.ts';
import { wornSetPart } from './wornSet.ts';
import { endsOfSpark } from './trailEnds.ts';

/** From a single coil through cap and rotor to the plugs. */
export const DISTRIBUTOR_STATIONS: readonly Station[] = [
  { id: 'coil-lead', label: 'Coil lead', picture: 'lead', joint: true },
  { id: 'cap', label: 'Cap', picture: 'cap' },
  { id: 'rotor', label: 'Rotor', picture: 'rotor' },
  { id: 'plug-leads', label: 'Plug leads', picture: 'lead', joint: true },
  { id: 'plugs', label: 'Plugs', picture: 'plug' },
];

const SHAFT = 'distributor-shaft';

/** A shaft that has lost its drive holds still whatever it carries: put into points, sensor or pick-up before anyone measures. */
export function settleShaft(params: MachineParams): MachineParams {
  const { still } = figuresAt(params, SHAFT);
  if (still === undefined) return params;
  const [points, sensor, trigger] = [
    figuresIfAny(params, 'points'),
    figuresIfAny(params, 'sensor'),
    figuresIfAny(params, 'trigger'),
  ];
  let settled = params;
  if (points) settled = withFigures(settled, 'points', { ...points, still });
  if (sensor) settled = withFigures(settled, 'sensor', { ...sensor, still });
  if (trigger) settled = withFigures(settled, 'trigger', { ...trigger, peakVolts: 0 });
  return settled;
}

export function distributorParts(fit: Fit): PartInstance[] {
  return [
    // The high-tension side stands apart in the low-voltage network: an ohmmeter meets its parts on the bench.
    {
      id: 'coil-lead',
      label: 'Coil lead',
      station: 'coil-lead',
      apart: true,
      kind: PARTS.htLead,
      nodes: { a: 'ht-a', b: 'ht-b' },
    },
    {
      id: 'cap',
      label: 'Distributor cap',
      station: 'cap',
      apart: true,
      kind: PARTS.distributorCap,
      nodes: { a: 'ht-cap' },
      ...capFails(fit),
    },
    {
      id: 'lead-order',
      label: 'Plug leads',
      station: 'plug-leads',
      apart: true,
      kind: PARTS.leadOrder,
      nodes: {},
      ...(fit.cylinders < 2 ? { fails: [] } : {}),
    },
    { id: 'rotor', label: 'Rotor arm', station: 'rotor', apart: true, kind: PARTS.rotor, nodes: {} },
    {
      id: SHAFT,
      label: 'Distributor shaft',
      station: 'rotor',
      apart: true,
      kind: PARTS.distributorShaft,
      nodes: {},
    },
    wornSetPart,
    ...endsOfSpark(fit),
  ];
}

/** Share of the strokes on which a spark leaves its lead for the neighbour’s. Judgement. */
const CROSS_FIRES = 0.5;
/** Play of the shaft from which the idle shakes, metres: a tenth of a millimetre is six degrees of dwell. */
const ROCKS_FROM = 0.17e-3;

/** What a distributor tells besides its sparks: a cylinder whose lead is swapped has another's. */
export const distributorOffers: Offers = {
  offStroke: (scene, _state, { cylinder }) => {
    const { cylinders } = scene.machine.fit;
    const { swapped, crossed } = figuresAt(scene.params, 'lead-order');
    if (isSwapped(swapped, cylinder, cylinders)) return 1;
    return isSwapped(crossed ?? 0, cylinder, cylinders) ? CROSS_FIRES : 0;
  },
  // A shaft that rocks opens the points now early, now late.
  uneven: ({ params }) => 0.8 * logistic((figuresAt(params, SHAFT).playMetres - ROCKS_FROM) / 0.03e-3),
};

/** Parts that stand in the spark's way to a place, in order. */
export function distributorPath(place: SparkPlace, cylinder: number): string[] {
  const toLead = ['coil', 'coil-lead'];
  if (place === 'coil lead') return toLead;
  const toPlugLead = [...toLead, 'cap', 'rotor', idOf('lead', cylinder)];
  return place === 'plug lead' ? toPlugLead : [...toPlugLead, idOf('plug', cylinder), 'plugs'];
}

/** High tension of a cylinder, part by part. */
export const distributorWay = (cylinder: number): string[] => [
  'coil',
  'coil-lead',
  'cap',
  'rotor',
  idOf('lead', cylinder),
  idOf('plug', cylinder),
];
