import type { CheckMaker } from '../../../machine/check.ts';
import { lampOnPoints } from './lampOnPoints.ts';

export const lampCranking: CheckMaker = (machine) => [
  lampOnPoints(machine, 'test lamp', 'lamp-cranking', `Test lamp on ${machine.nodeNames['coil-']}, cranking`),
];
