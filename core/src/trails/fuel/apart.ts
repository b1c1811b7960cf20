import { figuresAt } from '../../machine/figures.ts';
import type { Known, MachineParams } from '../../machine/known.ts';
import { idOf } from '../../machine/numbered.ts';
import type { MachineState } from '../../machine/part.ts';
import { logistic } from '../../random/lcg.ts';
import type { Fit } from '../../schema/fit.ts';
import { howOf, overflows, through } from './how.ts';

export const carburettorsOf = ({ fuel, cylinders }: Fit): number => Math.min(fuel?.carburettors ?? 1, cylinders);

/** Which carburettor feeds a cylinder: they share the row evenly, in its order. */
export const feeds = (fit: Fit, cylinder: number): number =>
  Math.ceil((cylinder * carburettorsOf(fit)) / fit.cylinders);

/** How much richer an enricher that stays open makes a warm idle; held fast hardly half as much. */
const ENRICHES = { crank: 0, idle: 0.9, fast: 0.4 } as const;
/** An overflow drowns at a start, enriches an idle, and is drunk up fast: over what the level alone does. */
const SPILLS = { crank: 0.6, idle: 0.35, fast: 0.05 } as const;

/** A cylinder's mixture over what a carburettor like its fellows would give it. */
export function ownMixture({ machine: { fit }, params }: Known, state: MachineState, cylinder: number): number {
  const own = figuresAt(params, idOf('carburettor', feeds(fit, cylinder)));
  const how = howOf(state);
  const jets = through(how, 1 - own.idleBlocked, 1 - own.mainBlocked);
  const spilt = 1 + SPILLS[how] * overflows(own.high);
  return jets * (1 + own.high) * (1 - own.starved) * (1 + ENRICHES[how] * own.enriched) * spilt;
}

/** Chance that one of several spills over. */
export const oneFloods = (fit: Fit, params: MachineParams): number =>
  Math.max(
    ...Array.from({ length: carburettorsOf(fit) }, (_, k) =>
      overflows(figuresAt(params, idOf('carburettor', k + 1)).high),
    ),
  );

/** How far mixtures may lie apart before the idle shakes. */
const SHAKES_FROM = 0.2;
/** Chance that the idle shakes because one carburettor gives otherwise than its fellows. */
export function oneShakes(scene: Known, state: MachineState): number {
  const { cylinders } = scene.machine.fit;
  const each = Array.from({ length: cylinders }, (_, i) => ownMixture(scene, state, i + 1));
  return logistic((Math.max(...each) - Math.min(...each) - SHAKES_FROM) / 0.04);
}
