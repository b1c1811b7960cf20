import { looking, type CheckMaker } from '../machine/check.ts';
import type { Machine } from '../machine/machine.ts';
import type { Scene } from '../machine/scene.ts';
import { firstSeen } from '../machine/seen.ts';
import { CRANKING, FAST, IDLE, RUNNING } from '../machine/state.ts';
import { logistic } from '../random/lcg.ts';
import { howItRuns, starts } from './howItRuns.ts';
import { richnessAt } from './ownMixture.ts';

/** Richness from which what leaves is black: soot, over the limit of what air there is burns [1]. */
const BLACK_FROM = 1.35;
/** How plainly each is seen or smelt; by judgement. */
const SEEN = { black: 0.9, blue: 0.85, steam: 0.85, petrol: 0.85 };
/** Richness as it is turned from which there is something to smell. */
const SMELT_FROM = 0.35;

/** What leaves the exhaust of a warm engine: soot, oil, steam. Chances, each for itself. */
export function smokeOf(scene: Scene): { black: number; blue: number; steam: number } {
  const cylinders = Array.from({ length: scene.machine.fit.cylinders }, (_, i) => i + 1);
  const richest = Math.max(...cylinders.flatMap((c) => [IDLE, FAST].map((s) => richnessAt(scene, s, c))));
  const oil = Math.max(...cylinders.map((c) => scene.see('oil', CRANKING, { cylinder: c })));
  return {
    black: SEEN.black * logistic((richest - BLACK_FROM) / 0.06),
    blue: SEEN.blue * oil,
    steam: SEEN.steam * scene.see('steams', RUNNING),
  };
}

/** Chance that what was cranked out smells of petrol where nothing fires: it arrives, and is not lit. */
const smellsOf = (scene: Scene): number =>
  SEEN.petrol * logistic((scene.see('richness', CRANKING) - SMELT_FROM) / 0.05);

/** Where the engine's breath is looked at: at its exhaust where one is told, else where what it breathes comes from. */
export const exhaustPlace = ({ stations }: Machine) =>
  ['air-exhaust', 'compression-port', 'compression-bores', 'fuel-jets', 'engine'].find((id) =>
    stations.some((s) => s.id === id),
  );

/** Smoke and smell: what the engine makes of all that goes in. */
export const exhaustSeen: CheckMaker = (machine) => {
  const station = exhaustPlace(machine);
  if (!station || !machine.fit.spark || !machine.fit.fuel) return [];
  const oiled = machine.fit.fuel.mixed === true;
  // What is cooled by air has no water to lose; of one that was not told nobody knows.
  const watered = machine.fit.compression?.cooling !== 'air';
  const marine = machine.fit.marine ? (['marine'] as const) : [];
  return [
    looking(
      {
        id: 'exhaust-nose',
        station,
        words: ['of petrol', 'of nothing', 'it fires'],
        look: true,
        label: 'Smell at the exhaust after ten seconds of cranking',
        set: 'Choke as for a cold start, gearbox out of gear; ten seconds on the starter or ten pulls.',
        touch: 'A hand waves it to the nose from an arm’s length; do not lean over it.',
        watch: 'Sharp, of petrol: it arrives and is not lit. Of nothing: it does not arrive.',
        state: CRANKING,
        // Ten seconds of cranking cost the battery a rest; a look at key, tap or fuse costs nothing.
        minutes: 1.6,
        opens: [],
        whole: true,
        cautions: ['fuel vapour', 'rotating parts', 'exhaust gas', ...marine],
      },
      (scene) => {
        const fires = starts(scene);
        const smelt = (1 - fires) * smellsOf(scene);
        return {
          'it fires': 0.01 + 0.97 * fires,
          'of petrol': 0.02 + 0.95 * smelt,
          'of nothing': 0.97 - 0.97 * fires - 0.95 * smelt,
        };
      },
    ),
    looking(
      {
        id: 'exhaust-smoke',
        station,
        label: 'Smoke at the exhaust, warm',
        set: 'Engine warm, out of doors; at its idle, then opened up twice.',
        touch: 'Nothing: look against something dark, then against the sky. From one side.',
        watch: oiled
          ? 'A blue haze is its oil. Black and sooty: too rich. Thick blue: too much oil. White that hangs and smells sweet: water.'
          : 'Hardly any. Black: too rich. Blue: oil. White that hangs and smells sweet: water in a cylinder.',
        words: ['as usual', 'black', 'thick blue', ...(watered ? ['white that hangs'] : []), 'will not run'],
        state: RUNNING,
        minutes: 1,
        opens: [],
        whole: true,
        cautions: ['exhaust gas', 'rotating parts', ...marine],
      },
      (scene) => {
        const { black, blue, steam } = smokeOf(scene);
        const { allDead } = howItRuns(scene, RUNNING);
        return firstSeen(
          [
            ['will not run', 0.97 * allDead + 0.005],
            ...(watered ? [['white that hangs', steam + 0.01] as const] : []),
            ['thick blue', Math.min(0.97, blue + 0.01)],
            ['black', black + 0.01],
          ],
          'as usual',
        );
      },
    ),
  ];
};
