import type { Scene } from '../machine/scene.ts';
import { IDLE } from '../machine/state.ts';
import { logistic } from '../random/lcg.ts';
import { idleRpm } from './speeds.ts';
import { burns } from './burns.ts';

/** A third faster or slower than it was set is noticed; a logarithm. */
const OFF_FROM = 0.3;
/** Weaker than this it burns unevenly: it hunts. */
export const HUNTS_UNDER = 0.85;

/** Chance that a mixture so weak makes it hunt. */
export const huntsWeak = (rich: number): number => logistic((HUNTS_UNDER - rich) / 0.02);

/** Chance that its idle is too fast, too slow or hunts, while it idles at all. */
export function idlesWrong(scene: Scene): number {
  const { rpm } = scene.see('idles', IDLE);
  const rich = scene.see('richness', IDLE);
  const burning = burns(rich, IDLE);
  const off = logistic((Math.abs(Math.log(Math.max(rpm, 1) / idleRpm(scene.machine.fit))) - OFF_FROM) / 0.04);
  const hunts = huntsWeak(rich);
  return burning * Math.max(rpm > 0 ? off : 0, hunts, 0.9 * scene.see('uneven', IDLE), 0.9 * scene.see('hunts', IDLE));
}
