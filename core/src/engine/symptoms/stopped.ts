import type { Scene } from '../../machine/scene.ts';
import { JUST_OFF, KEY_OFF } from '../../machine/state.ts';
import { howItRuns } from '../howItRuns.ts';
import type { Symptom } from './symptom.ts';

/** What a spark is stopped by: the feed's switch, or one that earths it. */
const STOPPED_BY = ['switch', 'stop-switch'] as const;
/** Chance that sparks go on with the key turned off: a switch that stays on, a feed from behind, a stop line that does not earth. */
const sparksGoOn = (scene: Scene): number =>
  STOPPED_BY.some((id) => scene.machine.partById.has(id)) ? 1 - howItRuns(scene, JUST_OFF).allDead : 0;

/** Of engines in which something glows, those that are brought in because they go on. */
const RUNS_ON = 0.6;
/** Key off, or the knob pulled, and it goes on. */
export const willNotStop: Symptom = {
  id: 'will-not-stop',
  likelihood: (scene) =>
    0.002 + 0.95 * Math.max(1 - scene.see('stops', KEY_OFF), sparksGoOn(scene), RUNS_ON * scene.see('glows', KEY_OFF)),
  elsewhere: { stop: 0.6, spark: 0.03, fuel: 0.01, charge: 0.01, timing: 0.01 },
};
