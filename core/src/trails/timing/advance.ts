import type { MachineParams } from '../../machine/known.ts';
import type { Offers } from '../../machine/observed.ts';
import type { MachineState } from '../../machine/part.ts';
import { BODY, BOX, CHAIN, MARK, POD, WEIGHTS } from './ids.ts';

/** Degrees of the crank before top centre at which a state's spark comes. */
export interface Moment {
  /** What body, chain and mark leave of the figure that was set. */
  readonly base: number;
  readonly mechanical: number;
  readonly vacuum: number;
}

/** How fast the weights have swung out: nothing at idle, all of it fast (REFERENCE, timing). */
const swung = (state: MachineState): number => (state.key === 'run' && state.speed === 'fast' ? 1 : 0);
/** A tap over the throttle's edge sees nothing while it is shut; fast without a load it sees nearly all. */
const sucked = (state: MachineState, ported: boolean): number =>
  state.key !== 'run' ? 0 : state.speed === 'fast' ? 0.9 : ported ? 0 : 1;

/** The spark's moment with these figures; `hose` off takes what the pod gives away. */
export function momentOf(p: MachineParams, state: MachineState, hose: 'on' | 'off' = 'on'): Moment {
  const body = p[BODY]!;
  const weights = p[WEIGHTS];
  const pod = p[POD];
  const box = p[BOX];
  const base = body['baseDegrees']! + body['turnedDegrees']! + (p[CHAIN]?.['lateDegrees'] ?? 0) * -1;
  if (box)
    return {
      base: base + (box['shiftDegrees'] ?? 0),
      mechanical: box['works']! * box['maxDegrees']! * swung(state),
      vacuum: 0,
    };
  const share = weights ? Math.max(swung(state), weights['slack'] ?? 0) * (1 - (weights['seized'] ?? 0)) : 0;
  return {
    base,
    mechanical: weights ? weights['maxDegrees']! * share : 0,
    vacuum: pod && hose === 'on' ? pod['maxDegrees']! * sucked(state, true) * pod['holds']! : 0,
  };
}
export const totalOf = ({ base, mechanical, vacuum }: Moment): number => base + mechanical + vacuum;

/** What a light shows on the pulley: a mark that has slipped shifts it. */
export const shownBy = (p: MachineParams, state: MachineState, hose: 'on' | 'off'): number =>
  totalOf(momentOf(p, state, hose)) + p[MARK]!['slippedDegrees']!;

/** The figures as they should be, of the same machine. */
const asMeant = (p: MachineParams): MachineParams => ({
  ...p,
  [BODY]: { ...p[BODY]!, turnedDegrees: 0 },
  ...(p[CHAIN] ? { [CHAIN]: { lateDegrees: 0 } } : {}),
  ...(p[WEIGHTS] ? { [WEIGHTS]: { maxDegrees: p[WEIGHTS]['maxDegrees']! } } : {}),
  ...(p[POD] ? { [POD]: { maxDegrees: p[POD]['maxDegrees']!, holds: 1 } } : {}),
  ...(p[BOX] ? { [BOX]: { maxDegrees: p[BOX]['maxDegrees']!, works: 1 } } : {}),
});

export const timingOffers: Offers = {
  valvesLate: ({ params }) => params[CHAIN]?.['lateDegrees'] ?? 0,
  degreesOff: (scene, state) =>
    totalOf(momentOf(scene.params, state)) - totalOf(momentOf(asMeant(scene.params), state)),
};
