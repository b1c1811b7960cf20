import { figuresAt } from '../../machine/figures.ts';
import { idOf } from '../../machine/numbered.ts';
import type { Offers } from '../../machine/observed.ts';
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
    wornSetPart,
    ...endsOfSpark(fit),
  ];
}

/** What a distributor tells besides its sparks: a cylinder whose lead is swapped has another's. */
export const distributorOffers: Offers = {
  offStroke: (scene, _state, { cylinder }) =>
    Number(isSwapped(figuresAt(scene.params, 'lead-order').swapped, cylinder, scene.machine.fit.cylinders)),
};

/** Parts that stand in the spark's way to a place, in order. */
export function distributorPath(place: SparkPlace, cylinder: number): string[] {
  const toLead = ['coil', 'coil-lead'];
  if (place === 'coil lead') return toLead;
  const toPlugLead = [...toLead, 'cap', 'rotor', idOf('lead', cylinder)];
  return place === 'plug lead' ? toPlugLead : [...toPlugLead, idOf('plug', cylinder), 'plugs'];
}
