import { figuresAt, withFigures } from '../../../machine/figures.ts';
import type { PartInstance } from '../../../machine/part.ts';
import type { MachineParams } from '../../../machine/known.ts';
import type { Station, TrailKind } from '../../../machine/trail.ts';
import type { Fit } from '../../../schema/fit.ts';
import { timingOffers } from '../advance.ts';
import { BODY, BOX, CHAIN, MARK, POD, WEIGHTS } from '../ids.ts';
import { TIMING_PARTS as PARTS } from '../parts/index.ts';

type Kind = NonNullable<Fit['timing']>['kind'];

interface Place {
  readonly station: Station;
  readonly kind: PartInstance['kind'];
}
const place = (id: string, label: string, picture: string, kind: PartInstance['kind']): Place => ({
  station: { id, label, picture },
  kind,
});
const ALWAYS: readonly Place[] = [
  place(MARK, 'Mark on the pulley', 'disc', PARTS.mark),
  place(CHAIN, 'Chain or belt', 'gear', PARTS.chain),
  place(BODY, 'Distributor body', 'cap', PARTS.body),
];
const MORE: Readonly<Record<Kind, readonly Place[]>> = {
  'by-hand': [],
  weights: [place(WEIGHTS, 'Weights and springs', 'spring', PARTS.weights)],
  'weights-vacuum': [
    place(WEIGHTS, 'Weights and springs', 'spring', PARTS.weights),
    place(POD, 'Vacuum advance', 'hose', PARTS.pod),
  ],
  map: [place(BOX, 'Ignition computer', 'pack', PARTS.map)],
};

/** An engine that was set by a mark that lies is out by as much: put into the body's figures before anyone measures. */
function settleTiming(p: MachineParams): MachineParams {
  const slipped = figuresAt(p, MARK).slippedDegrees;
  if (slipped === 0) return p;
  const body = figuresAt(p, BODY);
  return withFigures(p, BODY, { ...body, turnedDegrees: body.turnedDegrees - slipped });
}

const kind = (name: Kind, label: string): TrailKind => ({
  trail: 'timing',
  kind: name,
  label,
  build: () => {
    const places = [...ALWAYS, ...MORE[name]];
    return {
      id: 'timing',
      kind: name,
      stations: places.map((p) => p.station),
      parts: places.map((p) => ({
        id: p.station.id,
        label: p.station.label,
        station: p.station.id,
        kind: p.kind,
        nodes: {},
        apart: true,
      })),
      nodeNames: {},
      offers: timingOffers,
      settle: (_found, params) => settleTiming(params),
    };
  },
});

export const TIMING_TRAILS: readonly TrailKind[] = [
  kind('by-hand', 'By a lever, or not at all'),
  kind('weights', 'Weights and springs'),
  kind('weights-vacuum', 'Weights and vacuum advance'),
  kind('map', 'An electronic map'),
];
