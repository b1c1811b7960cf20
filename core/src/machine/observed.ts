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
  /** Where what moves by itself comes to stand: relays and plungers, by their part. */
  positions: { at: undefined; value: Readonly<Record<string, 'in' | 'out'>> };
  /** What is heard and seen with the key at start, as chances. */
  cranking: { at: undefined; value: Readonly<Record<CrankWord, number>> };
  /** Whether the starter goes on turning with the key let go, and by what: nothing, its own contacts, or what tells it to. */
  keepsCranking: { at: undefined; value: 'nothing' | 'contacts' | 'relay' | 'switch' };
  /** Chance that it is turned fast enough to speak of "cranks". */
  turns: { at: undefined; value: number };
  /** Volts at the battery's posts, amperes into it, and the share of its rated volts that the warning lamp has. */
  busVolts: { at: undefined; value: number };
  chargeAmps: { at: undefined; value: number };
  lampGlow: { at: undefined; value: number };
  /** Amperes that leave the battery with everything off. */
  drainAmps: { at: undefined; value: number };
  /** Fuel that burns over what the air asks for: 1 is right, less is weak, more is rich; nothing where none arrives. */
  richness: { at: undefined; value: number };
  /** Richness of a cylinder over that of its fellows, by its own carburettor: 1 where one feeds all, or each as the others. */
  ownMixture: { at: { readonly cylinder: number }; value: number };
  /** Chance that it floods: fuel is seen or smelt where air should be; that it drowns, its plugs wet. */
  floods: { at: undefined; value: number };
  drowns: { at: undefined; value: number };
  /** Share of what full load drinks that arrives; above 1 there is more than is asked. */
  pulls: { at: undefined; value: number };
  /** Minutes until it stalls for want of fuel, driven as usual, Infinity where it never does; chance that it goes again after a rest. */
  stall: { at: undefined; value: { readonly minutes: number; readonly again: number } };
  /** Chance that what stops the engine holds its fuel back though it is told to run; that it stops it when told so. */
  fuelCut: { at: undefined; value: number };
  stops: { at: undefined; value: number };
  /** Manifold pressure, pascal absolute, and speed of an idling engine; share of full load's air that gets through. */
  idles: { at: undefined; value: { readonly pascals: number; readonly rpm: number } };
  breathes: { at: undefined; value: number };
  /** Chance that a cylinder gets another's spark, on the wrong stroke. */
  offStroke: { at: { readonly cylinder: number }; value: number };
  /** Chance that a spark across this cylinder's plug lights the charge: over too small a gap its kernel goes out. */
  kindles: { at: { readonly cylinder: number }; value: number };
  /** Pressure of a cylinder as it is turned, over what it would reach if nothing leaked. */
  compression: { at: { readonly cylinder: number }; value: number };
  /** Chance that water gets into its cylinders and leaves as steam. */
  steams: { at: undefined; value: number };
  /** Chance that oil reaches a cylinder's plug. */
  oil: { at: { readonly cylinder: number }; value: number };
  /** Chance that its cylinders pull unlike one another at idle, each being sound; that it stumbles when it is opened up. */
  uneven: { at: undefined; value: number };
  hesitates: { at: undefined; value: number };
  /** Chance that its fuel has run back out of line and bowl by the time it is started again. */
  runsEmpty: { at: undefined; value: number };
  /** Chance that what holds its speed lets it swing up and down, its mixture being right. */
  hunts: { at: undefined; value: number };
  /** Chance that something in the cylinders glows on and lights the charge by itself. */
  glows: { at: undefined; value: number };
  /** Share of the heat that a cold diesel is given before and as it is turned. */
  heats: { at: undefined; value: number };
  /** Degrees of the crank by which the valves open and shut late. */
  valvesLate: { at: undefined; value: number };
  /** Speed of the crankshaft in the state that is asked about, rev/min. */
  rpm: { at: undefined; value: number };
}
export const CRANK_WORDS = [
  'turns well',
  'turns slowly',
  'clicks once',
  'chatters',
  'grinds',
  'spins free',
  'nothing',
] as const;
export type CrankWord = (typeof CRANK_WORDS)[number];
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
  keepsCranking: () => 'nothing',
  busVolts: (scene, state) => scene.machine.fit.volts * (state.key === 'run' ? 14.2 / 12 : 12.6 / 12),
  chargeAmps: (_scene, state) => (state.key === 'run' ? 5 : 0),
  lampGlow: (_scene, state) => (state.key === 'on' ? 1 : 0),
  drainAmps: () => 0.005,
  richness: () => 1,
  ownMixture: () => 1,
  floods: () => 0,
  drowns: () => 0,
  pulls: () => 3,
  idles: ({ machine: { fit } }) => ({ pascals: 40e3, rpm: fit.cylinders <= 2 ? 1200 : 850 }),
  breathes: () => 1,
  offStroke: () => 0,
  kindles: () => 1,
  compression: () => 0.97,
  steams: () => 0,
  oil: () => 0,
  valvesLate: () => 0,
  glows: () => 0,
  heats: () => 1,
  uneven: () => 0,
  hesitates: () => 0,
  runsEmpty: () => 0,
  hunts: () => 0,
  fuelCut: () => 0,
  stops: () => 1,
  stall: () => ({ minutes: Infinity, again: 1 }),
  positions: () => ({}),
  cranking: (scene, state) => wordShares(scene.see('turns', state)),
  rpm: (scene, state) => (state.key === 'run' ? 1500 : state.key === 'crank' ? scene.see('crankingRpm', state) : 0),
};

/** Of a starter that nobody has told: it turns as well as its volts allow, or slowly, or clicks. */
function wordShares(turns: number): Readonly<Record<CrankWord, number>> {
  const words = Object.fromEntries(CRANK_WORDS.map((w) => [w, 0])) as Record<CrankWord, number>;
  return { ...words, 'turns well': turns, 'turns slowly': 0.6 * (1 - turns), chatters: 0.4 * (1 - turns) };
}

const NUMBERS = Object.fromEntries(Object.keys(SOUND_ENGINE).map((key, i) => [key, i])) as Record<Observable, number>;
const PLACES: Readonly<Record<SparkPlace, number>> = { 'coil lead': 1, 'plug lead': 2, plug: 3 };
/** Before their numbers would meet: observables at a place, cylinders, places in a state. */
const OBSERVABLES_AT_MOST = 64;
const CYLINDERS_AT_MOST = 32;
const PLACES_AT_MOST = 4 * CYLINDERS_AT_MOST;

/** Names what is asked, by the number of the state that it is asked in: a number, for it is asked without end. */
export function sightId(key: Observable, state: number, at: Partial<SparkAt> | undefined): number | string {
  const place = at ? (at.cylinder ?? 0) + CYLINDERS_AT_MOST * (at.place ? PLACES[at.place] : 0) : 0;
  const id = (state * PLACES_AT_MOST + place) * OBSERVABLES_AT_MOST + NUMBERS[key];
  return at?.gapMetres === undefined ? id : `${id}|${at.gapMetres}`;
}
