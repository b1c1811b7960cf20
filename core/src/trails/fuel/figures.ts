import type { FiguresOf } from '../../machine/part.ts';
import type { FUEL_PARTS } from './parts/index.ts';

/** Figures of this trail’s parts, by part id. */
declare module '../../machine/figures.ts' {
  interface PartFigures {
    [id: `carburettor-${number}`]: FiguresOf<typeof FUEL_PARTS.ownCarburettor>;
    'fuel-tank': FiguresOf<typeof FUEL_PARTS.tank>;
    'fuel-vent': FiguresOf<typeof FUEL_PARTS.vapourLine>;
    'fuel-strainer': FiguresOf<typeof FUEL_PARTS.strainer>;
    'fuel-bowl-vent': FiguresOf<typeof FUEL_PARTS.bowlVent>;
    'fuel-tap': FiguresOf<typeof FUEL_PARTS.tap> & Partial<FiguresOf<typeof FUEL_PARTS.vacuumTap>>;
    'fuel-line': FiguresOf<typeof FUEL_PARTS.line>;
    'fuel-filter': FiguresOf<typeof FUEL_PARTS.filter>;
    'fuel-needle': FiguresOf<typeof FUEL_PARTS.needle>;
    'fuel-float': FiguresOf<typeof FUEL_PARTS.float>;
    'fuel-idle-jet': FiguresOf<typeof FUEL_PARTS.idleJet>;
    'fuel-idle-cut-off': FiguresOf<typeof FUEL_PARTS.idleCutOff>;
    'fuel-main-jet': FiguresOf<typeof FUEL_PARTS.mainJet>;
    'fuel-choke': FiguresOf<typeof FUEL_PARTS.choke>;
    'fuel-pump': FiguresOf<typeof FUEL_PARTS.mechanicalPump>;
    'fuel-bulb': FiguresOf<typeof FUEL_PARTS.bulb>;
    'fuel-accelerator': FiguresOf<typeof FUEL_PARTS.accelerator>;
  }
}
