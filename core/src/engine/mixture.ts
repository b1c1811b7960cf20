import type { Scene } from '../machine/scene.ts';
import { FAST } from '../machine/state.ts';
import { burnsAll } from './ownMixture.ts';
import { squeezed } from './squeeze.ts';
import { logistic } from '../random/lcg.ts';

/** Under this share of what full load drinks, it is felt on a hill. */
const FELT_UNDER = 0.9;
/** Share of full load's air under which it is felt. */
const BREATHES_FROM = 0.8;
/** Share of its cylinders' work under which it is felt. */
const SQUEEZED_FROM = 0.88;
/** Degrees by which a spark may be late, fast, before its strength goes. */
const LATE_FROM = 9;
const inItsMoment = (scene: Scene): number =>
  logistic((LATE_FROM - Math.abs(scene.see('degreesOff', FAST))) / 1.6) / logistic(LATE_FROM / 1.6);

/** Chance that it pulls as it should, as far as mixture and moment go. */
export function pullsWell(scene: Scene): number {
  const arrives = logistic((scene.see('pulls', FAST) - FELT_UNDER) / 0.05);
  const enough = (air: number) => logistic((air - BREATHES_FROM) / 0.05);
  const breathes = enough(scene.see('breathes', FAST)) / enough(1);
  const squeeze = logistic((squeezed(scene) - SQUEEZED_FROM) / 0.02) / logistic((1 - SQUEEZED_FROM) / 0.02);
  return arrives * breathes * squeeze * burnsAll(scene, FAST) * inItsMoment(scene);
}

/** Whoever drives it comes back on foot when it stalls within so many minutes. */
const DRIVE_MINUTES = 25;
/** Chance that what stalls after so many minutes does so on an ordinary drive. */
export const withinADrive = (minutes: number): number => logistic((DRIVE_MINUTES - minutes) / 4);
/** Chance that it stalls on an ordinary drive: for want of fuel, or because a piston nips up. */
export const stallsUnderway = (scene: Scene): number => withinADrive(scene.see('stall', FAST).minutes);
/** Chance that it does, and goes again when it has stood. */
export const stallsAndGoes = (scene: Scene): number => stallsUnderway(scene) * scene.see('stall', FAST).again;
