import { figuresAt, figuresIfAny, withFigures } from '../../machine/figures.ts';
import { richerOf } from '../../engine/altitude.ts';
import type { Known, MachineParams } from '../../machine/known.ts';
import type { Offers } from '../../machine/observed.ts';
import type { MachineState } from '../../machine/part.ts';
import { IDLE } from '../../machine/state.ts';
import type { Fit } from '../../schema/fit.ts';
import { logistic } from '../../random/lcg.ts';
import { drinks, feedOf, flowOf, stallOf } from './feeding.ts';
import { carburettorsOf, oneFloods, oneShakes, ownMixture } from './apart.ts';
import { drownsIn, floodsIn } from './flooding.ts';
import { howOf, through, type How } from './how.ts';
import { CARBURETTOR as C, LINE, PUMP, TANK, TAP } from './ids.ts';

/** Share of fresh petrol that turns to vapour in a cold engine, and in a warm one [1]. */
const VAPOUR_COLD = 0.42;
/**
 * And of one that idles in its first minutes: behind a shut throttle more of it boils off than as it is turned; by
 * judgement, between the two.
 */
const VAPOUR_WARMING = 0.68;
/** What a shut choke draws over an open one, so that enough of it is vapour. */
const CHOKED = 1 / VAPOUR_COLD;

/** Of a cold start's fuel, what is missing while a line that has run back to the tank is filled again. Judgement. */
const RUN_BACK = 0.6;
/** With less than this of its squirt an engine stumbles as it is opened up. */
const STUMBLES_FROM = 0.55;

/** Share of its fuel that a bowl still gives with its vent shut: the more is drawn, the more it holds back. Judgement. */
const UNVENTED = { crank: 0.8, idle: 0.6, fast: 0.3 } as const;
/** A vent that is open by half is open enough. */
const VENTED_FROM = 0.5;
const breathed = (p: MachineParams, how: How): number => {
  const open = Math.min(1, figuresAt(p, C.bowlVent).openShare / VENTED_FROM);
  return UNVENTED[how] + (1 - UNVENTED[how]) * open;
};

/** Share of the idle passages that is open: by the jet, and by a solenoid that holds them shut. */
const idleOpen = (p: MachineParams): number =>
  (1 - figuresAt(p, C.idleJet).blocked) * (1 - (figuresIfAny(p, C.idleCutOff)?.shut ?? 0));

/** What fuel drawn through a tap’s diaphragm adds to the mixture, of what weeps through at idle. */
const WEEPS = { crank: 0.8, idle: 1, fast: 0.1 } as const;

/** How the mixture stands while the engine cranks cold, warms up, idles or runs fast, as if its bowls were full. 1 is right. */
function asMixed(p: MachineParams, how: How, cold: boolean): number {
  const { light, water } = figuresAt(p, TANK);
  const jets = through(how, idleOpen(p), 1 - figuresAt(p, C.mainJet).blocked);
  const { high, gone } = figuresAt(p, C.float);
  const level = (1 + high) * (1 - (gone ?? 0)) * breathed(p, how);
  const choke = figuresAt(p, C.choke);
  const dry = 1 - water;
  if (how === 'crank') {
    const vapour = VAPOUR_COLD * light * (1 + choke.closes * (CHOKED - 1));
    return vapour * jets * level * dry;
  }
  if (cold) {
    // Half off it makes up for what does not boil off yet; one that stays shut draws what it does at a start.
    const closed = choke.opens / VAPOUR_WARMING + (1 - choke.opens) * CHOKED;
    const draws = 1 + choke.closes * (closed - 1);
    return VAPOUR_WARMING * (0.5 + 0.5 * light) * draws * jets * level * dry;
  }
  const shut = 1 + 0.9 * (1 - choke.opens);
  // A warm engine boils off nearly all of it, but for what has gone out of a stale one.
  return shut * jets * level * dry * (0.8 + 0.2 * light);
}

/** How much richer what spills makes it: rich at a start and at idle, and hardly richer fast. */
const SPILT = { crank: 0.9, idle: 0.75, fast: 0.12 } as const;
/** Whoever smells that it floods starts it with the throttle open: what stood in it makes a start no richer than this. */
const OPENED = 1.8;
/** What is cranked through with the throttle open: no richer than that, or than it is mixed at a level that is right. */
const cleared = (p: MachineParams, mixed: number): number =>
  Math.max(OPENED, mixed / (1 + Math.max(0, figuresAt(p, C.float).high)));

/** With what of it arrives: a bowl that is drunk faster than it is filled runs dry. */
function richness(scene: Known, state: MachineState): number {
  const how = howOf(state);
  const p = scene.params;
  const feed = feedOf(p);
  const arrives = Math.min(1, flowOf(feed) / drinks(scene.machine.fit, how));
  const drowns = drownsIn(scene.machine.fit, p, feed, how);
  const drawn = WEEPS[how] * (figuresIfAny(p, TAP)?.weeps ?? 0);
  const stood = how === 'crank' && state.warmth === 'cold' ? 1 - RUN_BACK * (figuresIfAny(p, PUMP)?.drains ?? 0) : 1;
  const mixed = asMixed(p, how, state.warmth === 'cold') * richerOf(scene.machine.fit) * arrives * stood;
  const spilt = mixed * (1 + SPILT[how] * drowns + drawn);
  return how === 'crank' ? Math.min(spilt, cleared(p, mixed)) : spilt;
}

/** How much of the line has run back after a night: through the pump’s valves, or for the air that is let in. */
export const runBack = (params: MachineParams): number =>
  Math.max(figuresIfAny(params, PUMP)?.drains ?? 0, figuresIfAny(params, LINE)?.airShare ?? 0);

const fuelOffers: Offers = {
  richness,
  floods: ({ machine: { fit }, params }) => floodsIn(fit, params, feedOf(params)),
  drowns: ({ machine: { fit }, params }) => drownsIn(fit, params, feedOf(params), 'crank'),
  oil: ({ params }) => 0.9 * ((figuresAt(params, TANK).oil ?? 0) ? 1 : 0),
  hesitates: ({ params }) =>
    0.9 * logistic((STUMBLES_FROM - (figuresIfAny(params, C.accelerator)?.squirts ?? 1)) / 0.06),
  runsEmpty: ({ params }) => logistic((runBack(params) - 0.25) / 0.05),
  pulls: (scene) => flowOf(feedOf(scene.params)) / drinks(scene.machine.fit, 'full'),
  stall: (scene) => stallOf(scene.machine.fit, scene.params),
};

/** The same of several carburettors: each may differ from its fellows. */
const severalOffers: Offers = {
  ...fuelOffers,
  ownMixture: (scene, state, { cylinder }) => ownMixture(scene, state, cylinder),
  floods: ({ machine: { fit }, params }) =>
    1 - (1 - floodsIn(fit, params, feedOf(params))) * (1 - oneFloods(fit, params)),
  drowns: ({ machine: { fit }, params }) =>
    1 - (1 - drownsIn(fit, params, feedOf(params), 'crank')) * (1 - oneFloods(fit, params)),
  uneven: (scene) => oneShakes(scene, IDLE),
};
export const offersOf = (fit: Fit): Offers => (carburettorsOf(fit) > 1 ? severalOffers : fuelOffers);

/** Leak of a plug that fuel has wetted, ohms: kilo-ohms, and no ignition gets over them (SOURCES, fuel). */
const WETTED_OHMS = 40e3;
/** One whose idle drowns as far as this is wet again as soon as it is cleared; less is cleared with the throttle open. */
const WETS_FROM = 0.97;
/** A drowned engine wets its plugs: put into their figures before anyone measures. */
export function settleFuel(fit: Fit, params: MachineParams): MachineParams {
  const plugs = figuresIfAny(params, 'plugs');
  if (!plugs || drownsIn(fit, params, feedOf(params), 'idle') < WETS_FROM) return params;
  return withFigures(params, 'plugs', { ...plugs, shuntOhms: Math.min(plugs.shuntOhms, WETTED_OHMS) });
}
