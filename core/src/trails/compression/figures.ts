import type { FiguresOf } from '../../machine/part.ts';
import type { COMPRESSION_PARTS } from './parts/index.ts';

/** Figures of this trail’s parts, by part id. */
declare module '../../machine/figures.ts' {
  interface PartFigures {
    'compression-bores': FiguresOf<typeof COMPRESSION_PARTS.bores>;
    [id: `compression-rings-${number}`]: FiguresOf<typeof COMPRESSION_PARTS.rings>;
    [id: `compression-exhaust-${number}`]: FiguresOf<typeof COMPRESSION_PARTS.exhaust>;
    [id: `compression-intake-${number}`]: FiguresOf<typeof COMPRESSION_PARTS.intake>;
    'compression-gasket': FiguresOf<typeof COMPRESSION_PARTS.gasket>;
    'compression-chambers': FiguresOf<typeof COMPRESSION_PARTS.chambers>;
    'compression-reeds': FiguresOf<typeof COMPRESSION_PARTS.reeds>;
    'compression-crankcase': FiguresOf<typeof COMPRESSION_PARTS.crankcase>;
    'compression-port': FiguresOf<typeof COMPRESSION_PARTS.port>;
  }
}
