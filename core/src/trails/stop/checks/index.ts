import type { CheckMaker } from '../../../machine/check.ts';
import { cable } from './cable.ts';
import { lever } from './lever.ts';
import { solenoid } from './solenoid.ts';
import { vacuum } from './vacuumLine.ts';

export const STOP_CHECKS: readonly CheckMaker[] = [lever, cable, solenoid, vacuum];
