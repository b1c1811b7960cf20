import { looking, type CheckMaker } from '../machine/check.ts';
import type { MachineState } from '../machine/part.ts';
import type { Scene } from '../machine/scene.ts';
import { firstSeen } from '../machine/seen.ts';
import { CRANKING, IDLE, RUNNING, WARMING } from '../machine/state.ts';
import { logistic } from '../random/lcg.ts';
import { exhaustPlace, smokeOf } from './exhaust.ts';
import { starts } from './howItRuns.ts';
import { HUNTS_UNDER } from './idle.ts';
import { burnsAll } from './ownMixture.ts';
import { unheated, unlitCylinders } from './squeeze.ts';

/** How sharply an engine that is still cold feels that it is too weak. */
const FEELS = 0.03;
/** So plainly is a stumble felt when it is opened up for want of a squirt: it goes as the engine warms, mostly. */
const HESITATES = 0.5;

/** How plainly that a diesel was not heated, white and uneven for the first minutes; one plug of four is felt already. */
const UNHEATED = 0.8;
const FELT_BY_ONE = 3;

/** Chance that it stumbles, spits back or stalls while it is cold, the choke half off as for warming up. */
function stumblesCold(scene: Scene): number {
  const white = UNHEATED * Math.min(1, FELT_BY_ONE * unheated(scene));
  return Math.max(uneasy(scene, WARMING), HESITATES * scene.see('hesitates', WARMING), white);
}
/** Chance that it idles unevenly, or not at all, for its mixture. */
const uneasy = (scene: Scene, state: MachineState): number =>
  Math.max(1 - burnsAll(scene, state), 0.9 * logistic((HUNTS_UNDER - scene.see('richness', state)) / FEELS));

/** From this richness on, as it is turned, patience and a pumped pedal get it going; how often, by judgement. */
const COAXED_FROM = 0.3;
const COAXED = 0.6;
/** Chance that it is got going at all, at once or after a while of cranking. */
function gotGoing(scene: Scene): number {
  const atOnce = starts(scene);
  const lit = 1 - unlitCylinders(scene, CRANKING).reduce((p, unlit) => p * unlit, 1);
  const enough = logistic((scene.see('richness', CRANKING) - COAXED_FROM) / 0.04);
  return atOnce + (1 - atOnce) * COAXED * lit * enough * scene.see('turns', CRANKING);
}

/** Chance that it runs badly for the first minutes, and well after them. */
export const badUntilWarm = (scene: Scene): number => gotGoing(scene) * stumblesCold(scene) * (1 - uneasy(scene, IDLE));

/** From a cold start until it is warm: what is too weak gives way as it warms, what is too rich comes with it. */
export const warmingUp: CheckMaker = (machine) => {
  const station = exhaustPlace(machine);
  const { spark, fuel, crank } = machine.fit;
  if (!station || !(spark ? fuel : crank?.kind === 'glow')) return [];
  const marine = machine.fit.marine ? (['marine'] as const) : [];
  return [
    looking(
      {
        id: 'warm-up',
        station,
        label: 'From a cold start until it is warm: how does it run?',
        set: `Engine cold, stood overnight if it can. ${spark ? 'Choke' : 'Heat'} as its owner does; out of doors, gearbox out of gear.`,
        touch: `Start it${spark ? ', take the choke off as it warms' : ''}, open it up a little each minute. Five minutes.`,
        watch: spark
          ? 'Stumbles and then clears: too weak while cold. Clean and then sooty or lumpy: too rich once warm.'
          : 'White and uneven, then it clears: not all of its cylinders were heated.',
        words: ['even throughout', 'stumbles until warm', 'worse as it warms', 'uneven throughout', 'will not run'],
        state: RUNNING,
        minutes: 6,
        opens: [],
        whole: true,
        cautions: ['exhaust gas', 'rotating parts', ...marine],
      },
      (scene) => {
        const runs = gotGoing(scene);
        const cold = stumblesCold(scene);
        const warm = Math.max(uneasy(scene, IDLE), 0.9 * scene.see('uneven', IDLE));
        const { black } = smokeOf(scene);
        return firstSeen(
          [
            ['will not run', 0.985 * (1 - runs) + 0.005],
            ['stumbles until warm', 0.94 * cold * (1 - warm) + 0.01],
            ['worse as it warms', 0.94 * (1 - cold) * Math.max(black, warm * (1 - scene.see('uneven', IDLE))) + 0.01],
            ['uneven throughout', 0.94 * warm + 0.01],
          ],
          'even throughout',
        );
      },
    ),
  ];
};
