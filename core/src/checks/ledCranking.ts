import type { CheckMaker } from './check.ts';
import { lampOnPoints } from './lampOnPoints.ts';

export const ledCranking: CheckMaker = (layout) => [
  lampOnPoints(layout, 'LED lamp', 'led-cranking', `LED lamp on ${layout.nodeNames['coil-']}, cranking`),
];
