import type { FiguresOf } from '../../machine/part.ts';
import type { TIMING_PARTS } from './parts/index.ts';

/** Figures of this trail’s parts, by part id. */
declare module '../../machine/figures.ts' {
  interface PartFigures {
    'timing-mark': FiguresOf<typeof TIMING_PARTS.mark>;
    'timing-chain': FiguresOf<typeof TIMING_PARTS.chain>;
    'timing-body': FiguresOf<typeof TIMING_PARTS.body>;
    'timing-weights': FiguresOf<typeof TIMING_PARTS.weights>;
    'timing-pod': FiguresOf<typeof TIMING_PARTS.pod>;
    'timing-map': FiguresOf<typeof TIMING_PARTS.map>;
  }
}
