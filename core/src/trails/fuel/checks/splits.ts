import { burns } from '../../../engine/burns.ts';
import { firesInTime } from '../../../engine/howItRuns.ts';
import { cylinderFires } from '../../../engine/squeeze.ts';
import { atSpeed } from '../../../engine/speeds.ts';
import { sparkWords } from '../../../instruments/sparkTester.ts';
import type { CheckMaker } from '../../../machine/check.ts';
import type { Scene } from '../../../machine/scene.ts';
import { CRANKING, FAST, IDLE } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { headPascals } from '../../../fluids/index.ts';
import { feedOf, starves, suffices, type Feed } from '../feeding.ts';
import { LINE, TANK } from '../ids.ts';
import { kindOf, look } from './feed.ts';

/** Chance that it fires as it is turned, if its mixture burned with this chance: sparks, moment, speed. */
function fires(scene: Scene, burning: number): number {
  const timed = firesInTime(scene) * burning;
  let none = 1;
  for (let i = 1; i <= scene.machine.fit.cylinders; i++)
    none *= 1 - (1 - sparkWords(scene.spark('plug', CRANKING, i)).none) * timed * cylinderFires(scene, CRANKING, i);
  return scene.see('turns', CRANKING) * (1 - none);
}
const burning = (scene: Scene): number => burns(scene.see('richness', CRANKING), CRANKING);
const missing = (scene: Scene): number => logistic((0.5 - scene.see('richness', CRANKING)) / 0.06);

/** What an intake half shut tells by the mixture behind it; a weak one picks up only while the engine runs at all. */
export function halfShut(rich: number, runs = 1): Record<string, number> {
  const weak = logistic((0.86 - rich) / 0.04) * runs;
  const drowned = logistic((rich - 1.35) / 0.06);
  return {
    'picks up': 0.02 + 0.94 * weak,
    'smokes and stops': 0.02 + 0.94 * drowned,
    'slows down': 0.96 - 0.94 * (weak + drowned),
  };
}

/** Height of a can held over the carburettor, metres; the hose from it lets any engine's fuel through. */
const CAN_METRES = 0.4;
const CAN_HOSE = 2e-5;
/** Its feed with a can over the carburettor in place of all that leads there. */
const fromCan = ({ after }: Feed): Feed => ({
  head: headPascals(CAN_METRES),
  pump: 0,
  pumpOhms: 0,
  before: [CAN_HOSE],
  after: after.slice(-1),
});

/** Whatever its pump, it is fed past tank, lines and pump: what then runs well was starved before the carburettor. */
export const fedByHand: CheckMaker = (machine) =>
  kindOf(machine)
    ? [
        look(
          machine,
          {
            id: 'fuel-hand-fed',
            does: ['opens fuel', 'runs'],
            station: LINE,
            label: 'Fed from a can held over the carburettor: does it run well?',
            set: 'Its own hose clamped off; a small can with a tap and a hose on the carburettor, hung well clear of coil and exhaust, somebody at its tap.',
            touch: 'Start it and load it as it failed; shut the can’s tap first, then stop it.',
            watch:
              'Well now: tank, vent, lines, filter or pump. As before: the carburettor, or no fuel trouble at all.',
            words: ['well from the can', 'no different'],
            needs: [TANK],
            minutes: 6,
            state: FAST,
            opens: ['fuel hose off'],
          },
          ({ params, machine: { fit } }) => {
            const helped = 0.02 + 0.93 * starves(fit, params) * suffices(fit, fromCan(feedOf(params)));
            return { 'well from the can': helped, 'no different': 1 - helped };
          },
        ),
      ]
    : [];

/** Cheap questions that part fuel from everything else. */
export const fuelOrNot: CheckMaker = (machine) =>
  kindOf(machine)
    ? [
        look(
          machine,
          {
            id: 'fuel-whiff',
            does: ['sprays fuel'],
            station: 'fuel-jets',
            label: 'A whiff in the intake: does it fire?',
            set: 'Air filter on or a rag at hand, everyone back; a few drops of fuel from a bottle or one short whiff, not more. The flame arrestor or filter goes back on before it is cranked.',
            touch: 'Into the intake, then crank.',
            watch: 'Fires for a moment and stops: it lacks fuel. Nothing: look at spark, timing and compression.',
            words: ['fires for a moment', 'nothing changes', 'it fired without'],
            minutes: 1.5,
            state: CRANKING,
            whole: true,
            cautions: [
              'starting fluid',
              'fuel vapour',
              'rotating parts',
              ...(machine.fit.marine ? (['marine'] as const) : []),
            ],
          },
          (scene) => {
            const without = fires(scene, burning(scene));
            // What was too weak burns now; what was drowned is drowned the more.
            const withIt = fires(scene, Math.max(burning(scene), missing(scene)));
            const helped = Math.max(0, withIt - without);
            return {
              'fires for a moment': 0.02 + 0.94 * helped,
              'nothing changes': 0.02 + 0.94 * Math.max(0, 1 - without - helped),
              'it fired without': 0.02 + 0.94 * without,
            };
          },
        ),
        look(
          machine,
          {
            id: 'fuel-plug',
            station: 'fuel-jets',
            label: 'One plug after cranking: dry or wet?',
            set: 'Choke as for a cold start; crank for ten seconds, then one plug out at once.',
            touch: 'Look at its tip, smell it.',
            watch: 'Damp and smelling: fuel arrives. Bone dry: it does not. Dripping: it is flooded.',
            words: ['bone dry', 'damp', 'dripping'],
            minutes: 3,
            state: CRANKING,
            opens: [],
            cautions: ['high tension', 'fuel vapour', 'rotating parts', 'hot coil'],
          },
          (scene) => {
            const rich = scene.see('richness', CRANKING);
            const dry = logistic((0.3 - rich) / 0.05);
            // What it drank too rich as it ran last stands on its plugs as well.
            const ran = 0.6 * (1 - dry) * logistic((scene.see('richness', IDLE) - 1.5) / 0.08);
            const dripping = Math.max(logistic((rich - 1.75) / 0.12), ran);
            return {
              'bone dry': 0.01 + 0.97 * dry,
              dripping: 0.01 + 0.97 * dripping,
              damp: 0.98 - 0.97 * (dry + dripping),
            };
          },
        ),
        look(
          machine,
          {
            id: 'fuel-clear',
            station: 'fuel-jets',
            label: 'Throttle and choke wide open, cranked for fifteen seconds',
            set: 'Choke open, throttle held wide open, feet clear: it may catch and run up.',
            touch: 'Crank for fifteen seconds, rest a minute, once more.',
            watch: 'It catches, smokes black and clears: it was flooded.',
            words: ['catches and clears', 'no different', 'it started without'],
            minutes: 3,
            state: CRANKING,
            whole: true,
            cautions: [
              'fuel vapour',
              'rotating parts',
              'exhaust gas',
              ...(machine.fit.marine ? (['marine'] as const) : []),
            ],
          },
          (scene) => {
            const without = fires(scene, burning(scene));
            const drowned = scene.see('drowns', CRANKING);
            const clears = (1 - without) * drowned * 0.85;
            return {
              'catches and clears': 0.01 + 0.97 * clears,
              'it started without': 0.01 + 0.97 * without,
              'no different': 0.98 - 0.97 * (clears + without),
            };
          },
        ),
        ...(['idle', 'fast'] as const).map((speed) => {
          const state = speed === 'idle' ? IDLE : FAST;
          return look(
            machine,
            {
              id: `fuel-choke-hand-${speed}`,
              station: 'fuel-jets',
              label:
                speed === 'idle' ? 'Idling: the intake half shut by hand' : 'At speed: the intake half shut by hand',
              set: `Engine warm, running ${atSpeed(machine.fit, state)}${speed === 'idle' ? ', or as near as it will' : ''}, filter off.`,
              touch: 'A board over half of the intake, or the choke drawn slowly; fingers and sleeves away from it.',
              watch: 'Picks up: it was too weak. Worse at once: it is right or too rich; smokes black: too rich.',
              words: ['picks up', 'slows down', 'smokes and stops'],
              minutes: 1.5,
              state,
              opens: ['air filter off'],
              cautions: ['rotating parts', 'exhaust gas', ...(machine.fit.marine ? (['marine'] as const) : [])],
            },
            (scene) => {
              const rich =
                scene.see('richness', state) * (speed === 'fast' ? Math.min(1, scene.see('pulls', state) * 3) : 1);
              return halfShut(rich);
            },
          );
        }),
      ]
    : [];
