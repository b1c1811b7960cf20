import type { Scene } from '../machine/scene.ts';
import type { MachineState } from '../machine/part.ts';
import { FAST } from '../machine/state.ts';
import { squeezed } from './squeeze.ts';
import { logistic } from '../random/lcg.ts';

/** Richness under and over which a charge no longer burns: wider while a starter turns it through [1]. */
export const BURNS = { crank: { weak: 0.5, rich: 2.1 }, run: { weak: 0.66, rich: 1.62 } } as const;

/** Chance that a cylinder with a sound spark burns a mixture of this richness; 1 is right. */
export function burns(richness: number, state: Pick<MachineState, 'key'>): number {
  const { weak, rich } = BURNS[state.key === 'run' ? 'run' : 'crank'];
  const within = (r: number) => logistic((r - weak) / 0.045) * logistic((rich - r) / 0.09);
  return Math.min(1, within(richness) / within(1));
}

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
  return arrives * breathes * squeeze * burns(scene.see('richness', FAST), FAST) * inItsMoment(scene);
}

/** Whoever drives it comes back on foot when it stalls within so many minutes. */
const DRIVE_MINUTES = 25;
/** Chance that it stalls on an ordinary drive for want of fuel. */
export const stallsUnderway = (scene: Scene): number =>
  logistic((DRIVE_MINUTES - scene.see('stall', FAST).minutes) / 4);
/** Chance that it does, and goes again when it has stood. */
export const stallsAndGoes = (scene: Scene): number => stallsUnderway(scene) * scene.see('stall', FAST).again;
