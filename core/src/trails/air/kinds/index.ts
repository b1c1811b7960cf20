import type { PartInstance } from '../../../machine/part.ts';
import type { TrailKind } from '../../../machine/trail.ts';
import { airOffers } from '../breathing.ts';
import { EXHAUST, FILTER, GASKET, HOSE, SCREW, STOP } from '../ids.ts';
import { AIR_PARTS as PARTS } from '../parts/index.ts';

type Place = readonly [id: string, label: string, picture: string, kind: PartInstance['kind']];
const PLACES: readonly Place[] = [
  [FILTER, 'Air filter', 'filter', PARTS.filter],
  [STOP, 'Throttle’s stop', 'choke', PARTS.stop],
  [SCREW, 'Idle mixture', 'jet', PARTS.screw],
  [GASKET, 'Joint of the intake', 'clamp', PARTS.gasket],
  [HOSE, 'Vacuum hoses', 'hose', PARTS.hose],
  [EXHAUST, 'Exhaust', 'tank', PARTS.exhaust],
];

/** Petrol, four strokes, a throttle: what it breathes through, and what lets it idle. */
export const throttled: TrailKind = {
  trail: 'air',
  kind: 'throttled',
  label: 'A throttle and its idle',
  build: () => ({
    id: 'air',
    kind: 'throttled',
    stations: PLACES.map(([id, label, picture]) => ({ id, label, picture })),
    parts: PLACES.map(([id, label, , kind]) => ({ id, label, station: id, kind, nodes: {}, apart: true })),
    nodeNames: {},
    offers: airOffers,
  }),
};
export const AIR_TRAILS: readonly TrailKind[] = [throttled];
