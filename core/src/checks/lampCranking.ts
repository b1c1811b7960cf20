import type { CheckMaker } from './check.ts';
import { lampOnPoints } from './lampOnPoints.ts';

export const lampCranking: CheckMaker = (layout) => [
  lampOnPoints(layout, 'test lamp', 'lamp-cranking', `Test lamp on ${layout.nodeNames['coil-']}, cranking`),
];
