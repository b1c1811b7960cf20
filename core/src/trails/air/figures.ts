import type { FiguresOf } from '../../machine/part.ts';
import type { AIR_PARTS } from './parts/index.ts';

/** Figures of this trail’s parts, by part id. */
declare module '../../machine/figures.ts' {
  interface PartFigures {
    'air-filter': FiguresOf<typeof AIR_PARTS.filter>;
    'air-stop': FiguresOf<typeof AIR_PARTS.stop>;
    'air-screw': FiguresOf<typeof AIR_PARTS.screw>;
    'air-gasket': FiguresOf<typeof AIR_PARTS.gasket>;
    'air-hose': FiguresOf<typeof AIR_PARTS.hose>;
    'air-exhaust': FiguresOf<typeof AIR_PARTS.exhaust>;
    'air-balance': FiguresOf<typeof AIR_PARTS.balance>;
    'air-breather': FiguresOf<typeof AIR_PARTS.breather>;
    'air-governor': FiguresOf<typeof AIR_PARTS.governor>;
    'air-purge': FiguresOf<typeof AIR_PARTS.purge>;
    'air-servo': FiguresOf<typeof AIR_PARTS.servo>;
  }
}
