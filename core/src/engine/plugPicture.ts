import type { MachineState } from '../machine/part.ts';
import type { Scene } from '../machine/scene.ts';
import { CRANKING, FAST, IDLE, RUNNING } from '../machine/state.ts';
import { logistic } from '../random/lcg.ts';
import { howItRuns } from './howItRuns.ts';
import { richnessAt } from './ownMixture.ts';
import { unlitCylinders } from './squeeze.ts';

/** How plainly a cylinder that was turned or run without firing shows it on its plug. */
const SHOWS = 0.75;
/** Richness from which every plug is black; under which, fast, every one is white; degrees early that whiten them. */
const BLACK_FROM = 1.4;
const WHITE_UNDER = 0.78;
const EARLY_FROM = 12;

/**
 * What the engine has done to its plugs, apart from what is wrong with them: a cylinder that does not fire wets its
 * own, a rich mixture blacks all, a weak one or an early spark whitens them, oil stays on them. Chances; judgement.
 */
export interface PlugPicture {
  /** Wet or sooty by what happens to all cylinders at once. */
  readonly allWet: number;
  readonly allWhite: number;
  /** By what happens to one cylinder alone, of each. */
  readonly wet: readonly number[];
  readonly white: readonly number[];
  readonly oily: readonly number[];
  /** Of the wet or sooty ones: turned until fuel stood on all, not lit (each), black with soot by a rich mixture. */
  readonly drowned: number;
  readonly unlit: readonly number[];
  readonly black: number;
}

export function plugPicture(scene: Scene): PlugPicture {
  const { cylinders } = scene.machine.fit;
  const each = Array.from({ length: cylinders }, (_, i) => i + 1);
  const { allDead } = howItRuns(scene, CRANKING);
  const arrives = logistic((scene.see('richness', CRANKING) - 0.4) / 0.05);
  // One that never ran was cranked until its fuel stood on every plug.
  const drowned = SHOWS * allDead * arrives;
  const rich = Math.max(...[IDLE, FAST].map((s) => scene.see('richness', s)));
  const black = (1 - allDead) * 0.85 * logistic((rich - BLACK_FROM) / 0.06);
  const weak = logistic((WHITE_UNDER - scene.see('richness', FAST)) / 0.03);
  const early = logistic((scene.see('degreesOff', FAST) - EARLY_FROM) / 2);
  const unlit = unlitCylinders(scene, RUNNING);
  const apart = (i: number, state: MachineState) => scene.see('ownMixture', state, { cylinder: i }) !== 1;
  // Of one carburettor among several: unburnt or sooty where it is rich, white where it is weak.
  const drenched = (i: number) =>
    Math.max(
      ...[IDLE, FAST].map((s) => (apart(i, s) ? 0.85 * logistic((richnessAt(scene, s, i) - BLACK_FROM) / 0.06) : 0)),
    );
  const pale = (i: number) =>
    apart(i, FAST) ? logistic((WHITE_UNDER - richnessAt(scene, FAST, i)) / 0.03) * (1 - weak) : 0;
  return {
    allWet: 1 - (1 - drowned) * (1 - black),
    allWhite: (1 - allDead) * 0.6 * (1 - (1 - weak) * (1 - early)),
    wet: each.map((i) => (1 - allDead) * (1 - (1 - SHOWS * unlit[i - 1]!) * (1 - drenched(i)))),
    white: each.map((i) => (1 - allDead) * 0.6 * pale(i)),
    drowned,
    black,
    unlit: unlit.map((u) => (1 - allDead) * SHOWS * u),
    oily: each.map((i) => 0.8 * scene.see('oil', CRANKING, { cylinder: i })),
  };
}
