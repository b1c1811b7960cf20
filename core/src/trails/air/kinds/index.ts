import type { PartInstance } from '../../../machine/part.ts';
import type { TrailKind } from '../../../machine/trail.ts';
import { airOffers } from '../breathing.ts';
import { BALANCE, BREATHER, EXHAUST, FILTER, GASKET, GOVERNOR, HOSE, PURGE, SCREW, SERVO, STOP } from '../ids.ts';
import type { Fit } from '../../../schema/fit.ts';
import { AIR_PARTS as PARTS } from '../parts/index.ts';

/** Spells a place out for the spread. */
const place = (...p: Place): Place => p;
type Place = readonly [id: string, label: string, picture: string, kind: PartInstance['kind']];
const placesOf = ({ air, fuel }: Fit): readonly Place[] => [
  [FILTER, 'Air filter', 'filter', PARTS.filter],
  [STOP, 'Throttle’s stop', 'choke', PARTS.stop],
  [SCREW, 'Idle mixture', 'jet', PARTS.screw],
  ...((fuel?.carburettors ?? 1) > 1 ? [place(BALANCE, 'Linkage', 'switch', PARTS.balance)] : []),
  ...(air?.governor ? [place(GOVERNOR, 'Governor', 'spring', PARTS.governor)] : []),
  [GASKET, 'Intake joint', 'clamp', PARTS.gasket],
  [HOSE, 'Vacuum hoses', 'hose', PARTS.hose],
  ...(air?.breather ? [place(BREATHER, 'Crankcase valve', 'tap', PARTS.breather)] : []),
  ...(fuel?.sealed ? [place(PURGE, 'Purge valve', 'tap', PARTS.purge)] : []),
  ...(air?.servo ? [place(SERVO, 'Brake servo', 'tank', PARTS.servo)] : []),
  [EXHAUST, 'Exhaust', 'tank', PARTS.exhaust],
];

/** Petrol, four strokes, a throttle: what it breathes through, and what lets it idle. */
const throttled: TrailKind = {
  trail: 'air',
  kind: 'throttled',
  label: 'A throttle and its idle',
  build: (fit) => ({
    id: 'air',
    kind: 'throttled',
    stations: placesOf(fit).map(([id, label, picture]) => ({ id, label, picture })),
    parts: placesOf(fit).map(([id, label, , kind]) => ({ id, label, station: id, kind, nodes: {}, apart: true })),
    nodeNames: {},
    offers: airOffers,
  }),
};
export const AIR_TRAILS: readonly TrailKind[] = [throttled];
