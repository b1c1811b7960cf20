import type { FiguresOf } from '../../machine/part.ts';
import type { STOP_PARTS } from './parts/index.ts';

/** Figures of this trail’s parts, by part id. */
declare module '../../machine/figures.ts' {
  interface PartFigures {
    'stop-source': FiguresOf<typeof STOP_PARTS.source>;
    'stop-check': FiguresOf<typeof STOP_PARTS.reservoir>;
    'stop-valve': FiguresOf<typeof STOP_PARTS.valve>;
    'stop-line': FiguresOf<typeof STOP_PARTS.line>;
    'stop-actuator': FiguresOf<typeof STOP_PARTS.actuator>;
    'stop-rack': FiguresOf<typeof STOP_PARTS.rack>;
    'stop-solenoid': FiguresOf<typeof STOP_PARTS.solenoidToRun>;
    'stop-feed': FiguresOf<typeof STOP_PARTS.feed>;
    'stop-cable': FiguresOf<typeof STOP_PARTS.cable>;
  }
}
