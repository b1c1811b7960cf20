import type { FiguresOf } from '../../machine/part.ts';
import type { CRANK_PARTS } from './parts/index.ts';

/** Figures of this trail’s parts, by part id. */
declare module '../../machine/figures.ts' {
  interface PartFigures {
    'hand-start': FiguresOf<typeof CRANK_PARTS.handStart>;
    'starter-cable': FiguresOf<typeof CRANK_PARTS.starterCable>;
    'starter-solenoid': FiguresOf<typeof CRANK_PARTS.solenoid>;
    'starter-motor': FiguresOf<typeof CRANK_PARTS.starterMotor>;
    'starter-drive': FiguresOf<typeof CRANK_PARTS.starterDrive>;
    engine: FiguresOf<typeof CRANK_PARTS.crankedEngine>;
    decompressor: FiguresOf<typeof CRANK_PARTS.decompressor>;
    'start-switch': FiguresOf<typeof CRANK_PARTS.startSwitch>;
    'start-wire': FiguresOf<typeof CRANK_PARTS.startWire>;
    'start-relay': FiguresOf<typeof CRANK_PARTS.startRelay>;
    'shared-feed': FiguresOf<typeof CRANK_PARTS.sharedFeed>;
    'preheat-feed': FiguresOf<typeof CRANK_PARTS.heatFeed>;
    preheating: FiguresOf<typeof CRANK_PARTS.heat>;
    [id: `interlock-${number}`]: FiguresOf<typeof CRANK_PARTS.startInterlock>;
  }
}
