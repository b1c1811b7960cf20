import { FAST, RUNNING } from '../machine/state.ts';
import { pullsWell, stallsUnderway } from './mixture.ts';
import { idlesWrong } from './idle.ts';
import { catchesLate, howItRuns, sparksMissing } from './howItRuns.ts';
import type { Scene } from '../machine/scene.ts';
import { CRANKING, type CheckMaker } from '../machine/check.ts';

export const TRY_IT = 'try-it';
const EVEN = 'runs even';
const MISSES = 'runs, but misses';
const HARD = 'hard to start';
const DEAD = 'does not fire';

/** Of engines that do not fire, those that cough often enough to be called hard to start. Judgement. */
const COUGHS = 0.08;

/** Chances of how an engine starts and runs: fires or not, from the voltage that is there against what is asked. */
export function runsHow(scene: Scene): Readonly<Record<string, number>> {
  const c = howItRuns(scene, CRANKING);
  const r = howItRuns(scene, RUNNING);
  const lifeless =
    0.6 * (1 - c.turns) +
    c.turns * (0.97 * (c.allDead + c.halted) + 0.03 * c.someDead + c.noneDead * (0.01 + 0.25 * c.weak));
  // One that coughs now and then is called either.
  const dead = (1 - COUGHS) * lifeless;
  const unwilling = 0.4 * (1 - c.turns) + c.turns * (0.7 * c.weak ** 2 * c.noneDead + 0.1 * c.someDead);
  const late = 0.4 * catchesLate(scene);
  const hard = COUGHS * lifeless + (1 - lifeless) * Math.max(unwilling, late);
  const fires = Math.max(0, 1 - dead - hard);
  const sparks = Math.max(
    0.95 * (r.someDead + r.allDead) + 0.3 * r.weak * r.noneDead,
    0.85 * sparksMissing(scene, FAST),
  );
  // Opened up once, it shows whether it pulls; a stall after minutes is mostly missed.
  const fuel =
    0.9 * (1 - pullsWell(scene) * (1 - 0.7 * scene.see('hesitates', RUNNING))) +
    0.4 * stallsUnderway(scene) +
    0.8 * idlesWrong(scene);
  const uneven = Math.min(0.97, sparks + (1 - Math.min(1, sparks)) * Math.min(0.95, fuel) + 0.01);
  return { [EVEN]: fires * (1 - uneven), [MISSES]: fires * uneven, [HARD]: hard, [DEAD]: dead };
}

/** After a repair, before anything is measured again: what the engine itself says. */
export const tryIt: CheckMaker = (machine) => [
  {
    id: TRY_IT,
    station: 'plugs',
    label: 'Try it: how does it start and run?',
    set: 'Everything back together, gearbox out of gear, out of doors or with the exhaust led away.',
    touch: 'Start it as its owner would; let it settle, then open it up once.',
    watch: 'Whether it fires, how soon, and whether it runs even.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: runsHow,
    },
    state: CRANKING,
    words: [EVEN, MISSES, HARD, DEAD],
    minutes: 2,
    opens: [],
    whole: true,
    cautions: ['fuel vapour', 'rotating parts', 'exhaust gas', ...(machine.fit.marine ? (['marine'] as const) : [])],
  },
];
