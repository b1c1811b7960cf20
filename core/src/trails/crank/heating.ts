import { figuresAt } from '../../machine/figures.ts';
import type { Known } from '../../machine/known.ts';
import type { Offers } from '../../machine/observed.ts';
import type { MachineState } from '../../machine/part.ts';
import { CRANKING, KEY_ON_OPEN } from '../../machine/state.ts';

export const PREHEATING = 'preheating';
export const PREHEAT_FEED = 'preheat-feed';
/** The terminal from which all of it is fed. */
export const HEAT_NODE = 'heat-in';

/** Key at heat, engine still: its relay is in. */
export const HEATING = { ...KEY_ON_OPEN, at: { [PREHEAT_FEED]: 'in' } } as const;

/** Volts over all of it. */
export function heatVolts(scene: Known, state: MachineState): number {
  const { nodes } = scene.machine.partById.get(PREHEATING)!;
  const at = scene.solve(state);
  return Math.abs(at.volts(nodes['a']!) - at.volts(nodes['b']!));
}

/** Share of the nominal volts that all its heat asks for while the engine is turned: a battery then gives no more. */
const WHOLE_AT = 0.66;

/** Share of its heat that a cold engine gets as it is turned: with the square of the volts, by those that are alive. */
const heats: Offers['heats'] = (scene) => {
  const { alive = 1 } = figuresAt(scene.params, PREHEATING);
  return alive * Math.min(1, (heatVolts(scene, CRANKING) / (WHOLE_AT * scene.machine.fit.volts)) ** 2);
};
export const heatingOffers: Offers = { heats };
