import { figuresAt, figuresIfAny, hasFigures, type PartFigures } from '../../machine/figures.ts';
import type { MachineParams } from '../../machine/known.ts';
import type { Offers } from '../../machine/observed.ts';
import type { MachineState } from '../../machine/part.ts';
import { FAST, IDLE } from '../../machine/state.ts';
import { BODY, BOX, CHAIN, MARK, POD, WEIGHTS } from './ids.ts';

/** Degrees of the crank before top centre at which a state's spark comes. */
export interface Moment {
  /** What body, chain and mark leave of the figure that was set. */
  readonly base: number;
  readonly mechanical: number;
  readonly vacuum: number;
}

/** How fast the weights have swung out: nothing at idle, all of it fast (SOURCES, timing). */
const swung = (state: MachineState): number => (state.key === 'run' && state.speed === 'fast' ? 1 : 0);
/** A tap over the throttle's edge sees nothing while it is shut; fast without a load it sees nearly all. */
const sucked = (state: MachineState, ported: boolean): number =>
  state.key !== 'run' ? 0 : state.speed === 'fast' ? 0.9 : ported ? 0 : 1;

/** All that the weights give, a worn stop's more with it. */
type Weights = PartFigures['timing-weights'];
const atStop = (weights: Weights): number => weights.maxDegrees + (weights.overDegrees ?? 0);

/** Of the weights' whole swing at a speed: straight from where the springs give way to the stop. 0…1. */
export const swungAt = (weights: Pick<Weights, 'startRpm' | 'fullRpm'>, rpm: number): number =>
  Math.min(1, Math.max(0, (rpm - weights.startRpm) / Math.max(1, weights.fullRpm - weights.startRpm)));

/**
 * The spark's moment with these figures; `hose` off takes what the pod gives away, `ported` says whether its tap lies over
 * the throttle's edge.
 */
export function momentOf(p: MachineParams, state: MachineState, hose: 'on' | 'off' = 'on', ported = true): Moment {
  const body = figuresAt(p, BODY);
  const weights = figuresIfAny(p, WEIGHTS);
  const pod = figuresIfAny(p, POD);
  const box = figuresIfAny(p, BOX);
  const base = body.baseDegrees + body.turnedDegrees + (figuresIfAny(p, CHAIN)?.lateDegrees ?? 0) * -1;
  if (box)
    return {
      base,
      mechanical: box.works * box.maxDegrees * swung(state),
      vacuum: 0,
    };
  const share = weights ? Math.max(swung(state), weights.slack ?? 0) * (1 - (weights.seized ?? 0)) : 0;
  return {
    base,
    mechanical: weights ? atStop(weights) * share : 0,
    vacuum: pod && hose === 'on' ? pod.maxDegrees * sucked(state, ported) * pod.holds : 0,
  };
}
/**
 * Degrees before top that a light shows with the engine held at a speed, unloaded, hose off or on; of an engine without
 * weights the map's or the set figure. Rev/min.
 */
export function shownAt(p: MachineParams, rpm: number, hose: 'on' | 'off'): number {
  const still = momentOf(p, IDLE, 'off');
  const weights = figuresIfAny(p, WEIGHTS);
  const box = figuresIfAny(p, BOX);
  const share = weights ? Math.max(swungAt(weights, rpm), weights.slack ?? 0) * (1 - (weights.seized ?? 0)) : 0;
  const mechanical = weights
    ? atStop(weights) * share
    : box
      ? box.works * box.maxDegrees * Math.min(1, Math.max(0, (rpm - MAP_FROM) / (MAP_FULL - MAP_FROM)))
      : 0;
  // Over the throttle's edge the tap sees nothing at idle, and nearly all once it is held fast without a load.
  const open = Math.min(1, Math.max(0, (rpm - TAP_FROM) / (TAP_FULL - TAP_FROM)));
  const pod = figuresIfAny(p, POD);
  const vacuum = pod && hose === 'on' ? pod.maxDegrees * sucked(FAST, true) * open * pod.holds : 0;
  return still.base + mechanical + vacuum + figuresAt(p, MARK).slippedDegrees;
}
/** Between which speeds a map moves up, and a ported tap comes under vacuum; usual figures, by judgement. Rev/min. */
const [MAP_FROM, MAP_FULL] = [900, 3000];
const [TAP_FROM, TAP_FULL] = [900, 1600];

export const totalOf = ({ base, mechanical, vacuum }: Moment): number => base + mechanical + vacuum;

/** What a light shows on the pulley: a mark that has slipped shifts it. */
export const shownBy = (p: MachineParams, state: MachineState, hose: 'on' | 'off'): number =>
  totalOf(momentOf(p, state, hose)) + figuresAt(p, MARK).slippedDegrees;

/** The figures as they should be, of the same machine. */
const asMeant = (p: MachineParams): MachineParams => ({
  ...p,
  [BODY]: { ...figuresAt(p, BODY), turnedDegrees: 0 },
  ...(hasFigures(p, CHAIN) ? { [CHAIN]: { lateDegrees: 0 } } : {}),
  ...(hasFigures(p, WEIGHTS) ? { [WEIGHTS]: { maxDegrees: figuresAt(p, WEIGHTS).maxDegrees } } : {}),
  ...(hasFigures(p, POD) ? { [POD]: { maxDegrees: figuresAt(p, POD).maxDegrees, holds: 1 } } : {}),
  ...(hasFigures(p, BOX) ? { [BOX]: { maxDegrees: figuresAt(p, BOX).maxDegrees, works: 1 } } : {}),
});

export const timingOffers: Offers = {
  valvesLate: ({ params }) => figuresIfAny(params, CHAIN)?.lateDegrees ?? 0,
  degreesOff: (scene, state) =>
    totalOf(momentOf(scene.params, state)) - totalOf(momentOf(asMeant(scene.params), state)),
};
