import type { CheckMaker } from '../../../machine/check.ts';
import { lampOnPoints } from './lampOnPoints.ts';

export const ledCranking: CheckMaker = (machine) => [
  lampOnPoints(machine, 'LED lamp', 'led-cranking', `LED lamp on ${machine.nodeNames['coil-']}, cranking`),
];
