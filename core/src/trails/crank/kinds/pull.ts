import type { TrailKind } from '../../../machine/trail.ts';
import { ENGINE, handOffers } from '../cranking.ts';
import { CRANK_PARTS as PARTS } from '../parts/index.ts';

/** No starter: a cord, a kick or a crank. */
export const pull: TrailKind = {
  trail: 'crank',
  kind: 'pull',
  label: 'Cord, kick or crank',
  build: (fit) => ({
    id: 'crank',
    kind: 'pull',
    stations: [
      { id: 'hand-start', label: 'Cord or lever', picture: 'spring' },
      { id: 'engine', label: 'Engine', picture: 'flywheel' },
    ],
    parts: [
      { id: 'hand-start', label: 'Hand start', station: 'hand-start', kind: PARTS.handStart, nodes: {}, apart: true },
      {
        id: ENGINE,
        label: 'Engine',
        station: 'engine',
        kind: PARTS.crankedEngine,
        nodes: {},
        apart: true,
        fails: ['locked', 'stiff'],
        weight: fit.marine ? 1.6 : 1,
      },
    ],
    nodeNames: {},
    offers: handOffers,
  }),
};
