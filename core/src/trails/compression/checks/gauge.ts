import { figuresAt } from '../../../machine/figures.ts';
import { leakDown } from '../../../engine/compressing.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import { eachOf } from '../../../machine/numbered.ts';
import { KEY_OFF } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { BORES, GASKET, VALVES } from '../ids.ts';
import { gaugeOf, leakOf, RINGS, waysOut, worstOf } from '../pressing.ts';
import { strokesOf, turnedOver } from './which.ts';

/** Share of a cylinder's loss past its rings that a spoon of oil leaves. */
const WETTED = 0.25;
/** A cylinder that rises by so much has its loss at the rings. */
const RISES_FROM = 1.12;

/** The gauge, cylinder by cylinder. */
export const compressionGauge: CheckMaker = (machine) =>
  strokesOf(machine)
    ? eachOf(machine, RINGS, (n, named) => ({
        ...turnedOver(machine),
        id: `compression-${n}`,
        beside: { what: 'Compression', n, shares: true },
        station: BORES,
        label: `Compression of ${machine.fit.cylinders === 1 ? 'the cylinder' : named('cylinder')}, dry`,
        touch: `Gauge in the ${machine.fit.spark ? 'plug' : 'heater plug or injector'} hole${machine.fit.cylinders === 1 ? '' : ` of ${n}`}; turn it over until the needle rises no more.`,
        watch: 'Four or five compressions, until it rises no more. Within a sixth of the best of the others.',
        instrument: 'compression gauge',
        probe: { kind: 'figure', value: (scene) => gaugeOf(scene, n) },
        minutes: 1,
      }))
    : [];

/** A tester's air into the lowest cylinder, and where it comes out again. */
export const leakDownChecks: CheckMaker = (machine) => {
  const strokes = strokesOf(machine);
  if (!strokes) return [];
  const lowest = machine.fit.cylinders === 1 ? 'the cylinder' : 'the lowest cylinder';
  const still = {
    set: `Piston of ${lowest} at the top of its compression, crankshaft held: the air turns it.`,
    state: KEY_OFF,
    opens: ['plugs out'],
    cautions: ['rotating parts'],
  } as const;
  const words = [
    'hardly anywhere',
    'oil filler',
    ...(strokes === 'four-stroke' ? ['exhaust pipe', 'intake'] : []),
    ...(machine.fit.cylinders > 1 ? ['next plug hole'] : []),
    ...(machine.fit.compression?.cooling === 'water' ? ['bubbles in the water'] : []),
    'around the joint',
  ];
  return [
    {
      ...still,
      id: 'compression-leakdown',
      does: ['air into a cylinder', 'turned by hand'],
      station: strokes === 'four-stroke' ? VALVES : BORES,
      label: `Leak-down of ${lowest}`,
      touch: 'Tester in the hole, air on; read what it loses.',
      watch: 'Under a tenth lost: tight. Up to a fifth: worn. More: listen where it escapes.',
      instrument: 'leak-down tester',
      probe: { kind: 'figure', value: (scene) => leakDown(leakOf(scene.params, worstOf(scene))) },
      minutes: 5,
    },
    looking(
      {
        ...still,
        id: 'compression-hiss',
        does: ['air into a cylinder', 'turned by hand'],
        station: strokes === 'four-stroke' ? VALVES : BORES,
        label: `Air into ${lowest}: where does it hiss out?`,
        touch: 'Air through an adapter in the hole; listen at oil filler, intake, exhaust and the next holes.',
        watch: 'Oil filler: rings. Exhaust or intake: that valve. Next hole or water: the gasket.',
        words,
        minutes: 4,
      },
      (scene) => {
        const own = waysOut(scene.params, worstOf(scene));
        const gasket = figuresAt(scene.params, GASKET);
        const at: Record<string, number> = {
          'oil filler': own.rings,
          'exhaust pipe': own.exhaust,
          intake: own.intake,
          'next plug hole': gasket.pair ? own.gasket : 0,
          'bubbles in the water': gasket.water ? own.gasket : 0,
          'around the joint': gasket.blows ? own.gasket : 0,
        };
        const whole = words.reduce((sum, w) => sum + (at[w] ?? 0), 0);
        // Heard from about a square millimetre and a half on; a word goes to the largest way out, mostly.
        const heard = logistic((whole / 1.5e-6 - 1) / 0.2);
        const weight = (w: string) => ((at[w] ?? 0) / Math.max(whole, 1e-12)) ** 2;
        const total = words.reduce((sum, w) => sum + weight(w), 0) || 1;
        const ways = words.length - 1;
        return Object.fromEntries(
          words.map((w) => [
            w,
            w === 'hardly anywhere' ? 0.02 + 0.92 * (1 - heard) : 0.06 / ways + 0.92 * heard * (weight(w) / total),
          ]),
        );
      },
    ),
    looking(
      {
        ...turnedOver(machine),
        id: 'compression-wet',
        station: BORES,
        label: `A spoonful of oil into ${lowest}: does compression rise?`,
        touch: 'A spoonful of engine oil through the hole, four turns, gauge again.',
        watch: 'Rises by a good bit: rings and bore. Stays: valve or gasket.',
        words: ['rises well', 'hardly rises'],
        minutes: 2,
      },
      (scene) => {
        const n = worstOf(scene);
        const rises = logistic((gaugeOf(scene, n, WETTED) / gaugeOf(scene, n) - RISES_FROM) / 0.03);
        return { 'rises well': 0.02 + 0.95 * rises, 'hardly rises': 0.98 - 0.95 * rises };
      },
    ),
  ];
};
