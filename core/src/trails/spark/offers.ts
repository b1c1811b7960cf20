import type { Known } from '../../machine/known.ts';
import type { Offers, Spark, SparkPlace } from '../../machine/observed.ts';
import type { MachineState } from '../../machine/part.ts';

/** How a kind of spark trail tells what reaches a place. */
export type SparkOf = (
  scene: Known,
  place: SparkPlace,
  state: MachineState,
  cylinder: number,
  gapMetres?: number,
) => Spark;

/** What a spark trail tells: its sparks, and what else its kind knows. */
export const sparkOffers = (spark: SparkOf, more: Offers = {}): Offers => ({
  spark: (scene, state, { place, cylinder, gapMetres }) => spark(scene, place, state, cylinder, gapMetres),
  ...more,
});
