import { figuresIfAny } from '../../machine/figures.ts';
import { missesEdges } from './parts/sensor.ts';
import { BRIDGED_OHMS } from './parts/highTension.ts';
import type { Known, MachineParams } from '../../machine/known.ts';
import { idOf } from '../../machine/numbered.ts';
import type { Offers, Spark, SparkPlace } from '../../machine/observed.ts';
import type { MachineState } from '../../machine/part.ts';
import { logistic } from '../../random/lcg.ts';
import { figuresOf, plugGapIn } from './sparkPath.ts';

/** How a kind of spark trail tells what reaches a place. */
export type SparkOf = (
  scene: Known,
  place: SparkPlace,
  state: MachineState,
  cylinder: number,
  gapMetres?: number,
) => Spark;

/**
 * Gap under which a flame's kernel loses its heat to the electrodes before it grows, metres: at idle, where the charge is
 * thin, and as it is cranked. Quenching goes as one over the pressure; judgement after [1].
 */
const QUENCHED_UNDER = { run: 0.33e-3, crank: 0.18e-3 } as const;
const QUENCH_SOFT = 0.02e-3;

/** Chance that a firing comes at all: what the trigger misses is not lit. */
const triggered = (scene: Known): number => 1 - missesEdges(figuresIfAny(scene.params, 'sensor') ?? {});

/** Chance that what the plug's gap lets be lit grows into a flame. */
function kindles(scene: Known, state: MachineState, cylinder: number): number {
  const gap = plugGapIn(scene, cylinder, state);
  if (gap === undefined) return 1;
  const least = state.key === 'run' ? QUENCHED_UNDER.run : QUENCHED_UNDER.crank;
  const { shuntOhms } = figuresOf(scene, idOf('plug', cylinder), state);
  return shuntOhms < BRIDGED_OHMS ? 1 : logistic((gap - least) / QUENCH_SOFT);
}

/** Share of engines that knock or go on by plugs that glow. */
const GLOWS = 0.6;

/** How far the hottest plug is above what the book names, of the set or alone. */
const hottest = (params: MachineParams, cylinders: number): number =>
  Math.max(
    figuresIfAny(params, 'plugs')?.tooHot ?? 0,
    ...Array.from({ length: cylinders }, (_, i) => figuresIfAny(params, idOf('plug', i + 1))?.tooHot ?? 0),
  );

/** What a spark trail tells: its sparks, and what else its kind knows. */
export const sparkOffers = (spark: SparkOf, more: Offers = {}): Offers => ({
  spark: (scene, state, { place, cylinder, gapMetres }) => spark(scene, place, state, cylinder, gapMetres),
  kindles: (scene, state, { cylinder }) => triggered(scene) * kindles(scene, state, cylinder),
  glows: ({ params, machine }) => GLOWS * hottest(params, machine.fit.cylinders),
  ...more,
});
