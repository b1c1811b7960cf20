import { starterCable } from './cable.ts';
import { sharedFeed, startInterlock, startJump, startSwitch, startWire } from './control.ts';
import { handStart } from './hand.ts';
import { decompressor } from './decompressor.ts';
import { loadTester } from './loadTester.ts';
import { heat, heatFeed } from './heating.ts';
import { crankedEngine, starterDrive, starterMotor } from './motor.ts';
import { solenoid, startRelay } from './solenoid.ts';

/** The kinds of part that the crank trail is built of, besides what trails share. */
export const CRANK_PARTS = {
  crankedEngine,
  decompressor,
  loadTester,
  handStart,
  heat,
  heatFeed,
  sharedFeed,
  solenoid,
  startInterlock,
  startJump,
  startRelay,
  startSwitch,
  startWire,
  starterCable,
  starterDrive,
  starterMotor,
} as const;
