import type { MachineState } from './part.ts';
import type { Known } from './known.ts';

/** Where a spark is looked for. */
export type SparkPlace = 'coil lead' | 'plug lead' | 'plug';

/** What the coil can raise at a place, against what is asked there. Volts and joules. */
export interface Spark {
  readonly availableVolts: number;
  readonly requiredVolts: number;
  readonly joules: number;
}

/** Where a spark is looked for: at the plug as it stands, or across a tester's gap. */
export interface SparkAt {
  readonly place: SparkPlace;
  readonly cylinder: number;
  readonly gapMetres?: number;
}

/**
 * What can be seen of a machine from one trail to another: one line an observable. A trail that knows offers it; where
 * none does, the sound engine's own is taken.
 */
export interface Observables {
  spark: { at: SparkAt; value: Spark };
  /** Degrees of the crank by which the sparks come at the wrong moment. */
  degreesOff: { at: undefined; value: number };
  /** Speed of the crankshaft while the starter (or the hand) turns it, rev/min. */
  crankingRpm: { at: undefined; value: number };
  /** Chance that it is turned fast enough to speak of "cranks". */
  turns: { at: undefined; value: number };
  /** Speed of the crankshaft in the state that is asked about, rev/min. */
  rpm: { at: undefined; value: number };
}
export type Observable = keyof Observables;
export type AtOf<K extends Observable> = Observables[K]['at'];
export type ValueOf<K extends Observable> = Observables[K]['value'];

/** How a trail tells an observable. Pure: from the figures and the solved network alone. */
export type Offer<K extends Observable> = (scene: Known, state: MachineState, at: AtOf<K>) => ValueOf<K>;
export type Offers = { readonly [K in Observable]?: Offer<K> };

/** What a sound engine does where no trail of this machine says anything. */
export const SOUND_ENGINE: { readonly [K in Observable]: Offer<K> } = {
  spark: () => ({ availableVolts: 30e3, requiredVolts: 9e3, joules: 30e-3 }),
  degreesOff: () => 0,
  crankingRpm: () => 180,
  turns: () => 1,
  rpm: (scene, state) => (state.key === 'run' ? 1500 : state.key === 'crank' ? scene.see('crankingRpm', state) : 0),
};
