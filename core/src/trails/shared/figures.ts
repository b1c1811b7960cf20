import type { FiguresOf } from '../../machine/part.ts';
import type { SHARED_PARTS } from './parts/index.ts';

/** Figures of parts that several trails have, by part id. */
declare module '../../machine/figures.ts' {
  interface PartFigures {
    joints: FiguresOf<typeof SHARED_PARTS.joints>;
    battery: FiguresOf<typeof SHARED_PARTS.battery>;
    'live-clamp': FiguresOf<typeof SHARED_PARTS.heavyJoint>;
    isolator: FiguresOf<typeof SHARED_PARTS.isolator>;
    feed: FiguresOf<typeof SHARED_PARTS.wire>;
    fuse: FiguresOf<typeof SHARED_PARTS.fuse>;
    switch: FiguresOf<typeof SHARED_PARTS.ignitionSwitch>;
    'warning-lamp': FiguresOf<typeof SHARED_PARTS.warningLamp>;
    strap: FiguresOf<typeof SHARED_PARTS.heavyJoint>;
    starter: FiguresOf<typeof SHARED_PARTS.starter>;
    body: FiguresOf<typeof SHARED_PARTS.bodyEarth>;
    key: FiguresOf<typeof SHARED_PARTS.ignitionSwitch>;
    suppressor: FiguresOf<typeof SHARED_PARTS.suppressor>;
    [id: `added-${number}`]: FiguresOf<typeof SHARED_PARTS.addedBox>;
  }
}
