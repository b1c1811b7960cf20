import type { TrailKind } from '../../../machine/trail.ts';
import { decompressing, decompressorParts, decompressorStations, settleDecompressor } from '../decompressing.ts';
import { handOffers } from '../cranking.ts';
import { ENGINE } from '../ids.ts';
import { CRANK_PARTS as PARTS } from '../parts/index.ts';

/** No starter: a cord, a kick or a crank. */
export const pull: TrailKind = {
  trail: 'crank',
  kind: 'pull',
  label: 'Recoil cord, kickstart or crank handle',
  build: (fit) => ({
    id: 'crank',
    kind: 'pull',
    stations: [
      { id: 'hand-start', label: 'Cord or lever', picture: 'spring' },
      { id: 'engine', label: 'Engine', picture: 'flywheel' },
      ...decompressorStations(fit),
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
      ...decompressorParts(fit),
    ],
    nodeNames: {},
    settle: (_found, params) => settleDecompressor(params),
    offers: { ...handOffers, ...decompressing(fit) },
  }),
};
