import { figuresIfAny, type PartFigures, type PartId } from '../../machine/figures.ts';
import { idOf } from '../../machine/numbered.ts';
import { burnJoules, chargeAtSpark, requiredVolts } from '../../ignition/index.ts';
import { figuresIn, OPEN_OHMS, type HighTension, type MachineState } from './parts/index.ts';
import { plug, plugSet } from './parts/highTension.ts';
import type { Known } from '../../machine/known.ts';
import type { Spark, SparkPlace } from '../../machine/observed.ts';

/** What stands in a spark's way, summed: ohms, volts of gaps, shunts in parallel, the lowest place to flash over. */
export interface SparkPath {
  readonly seriesOhms: number;
  readonly gapVolts: number;
  readonly shuntOhms: number;
  readonly flashVolts: number;
}

/** Whether a good plug stands in for a cylinder's own: what ails the whole set does not ail that one. */
const plugExchanged = (state: MachineState, cylinder: number): boolean =>
  state.clipped?.includes(idOf('plug', cylinder)) ?? false;

/** What the gap of a cylinder's plug is in this state, metres; undefined where the machine has no plugs. */
export function plugGapIn(scene: Known, cylinder: number, state: MachineState): number | undefined {
  const part = scene.machine.partById.get(idOf('plug', cylinder));
  if (!part) return undefined;
  const { gapMetres } = figuresOf(scene, idOf('plug', cylinder), state);
  const set = plugExchanged(state, cylinder) ? undefined : figuresIfAny(scene.params, 'plugs');
  return gapMetres + (set?.extraGap ?? 0);
}

/** The path through these parts, in order; a part that a helper has bypassed does not count. */
export function sparkPath(scene: Known, ids: readonly string[], state: MachineState): SparkPath {
  const kindOf = (id: string) => scene.machine.partById.get(id)!.kind;
  const exchanged = ids.some((id) => state.clipped?.includes(id) && kindOf(id) === plug);
  const cylinder = ids.map((id) => scene.machine.partById.get(id)!.cylinder).find((c) => c !== undefined);
  const steps: HighTension[] = ids
    .filter((id) => !state.clipped?.includes(id) && !(exchanged && kindOf(id) === plugSet))
    .map((id) => kindOf(id).highTension!(scene.params[id]!, scene.machine.fit, cylinder));
  return {
    seriesOhms: steps.reduce((sum, s) => sum + (s.seriesOhms ?? 0), 0),
    gapVolts: steps.reduce((sum, s) => sum + (s.gapVolts ?? 0), 0),
    shuntOhms: 1 / steps.reduce((sum, s) => sum + 1 / (s.shuntOhms ?? OPEN_OHMS), 0),
    flashVolts: Math.min(...steps.map((s) => s.flashVolts ?? Infinity)),
  };
}

/** Any ignition coil's id, and its figures. */
export type CoilId = 'coil' | `coil-${number}`;
export type CoilFigures = PartFigures[CoilId];

/** A broken winding is a gap to jump, counted with the gaps; what remains of it resists like a sound one. */
export const windingOhms = (coil: Pick<CoilFigures, 'secondaryOhms'>): number => Math.min(coil.secondaryOhms, 20e3);

/** A part's figures as a check in this state finds it. */
export function figuresOf<Id extends PartId>(scene: Known, id: Id, state: MachineState): PartFigures[Id] {
  const part = scene.machine.partById.get(id)!;
  return figuresIn(part, scene.params[id]!, state, scene.machine.fit) as PartFigures[Id];
}

/** Of a coil of the cylinder's own: to its lead, or on to its plug. */
export const ownCoilPath = (place: SparkPlace, cylinder: number): string[] => [
  idOf('coil', cylinder),
  idOf('lead', cylinder),
  ...(place === 'plug' ? [idOf('plug', cylinder), 'plugs'] : []),
];

/** Of a coil of the cylinder's own: its high tension, part by part. */
export const ownWay = (cylinder: number): string[] => [
  idOf('coil', cylinder),
  idOf('lead', cylinder),
  idOf('plug', cylinder),
];

/**
 * Manifold pressure at which a cylinder is filled, bar: near the air's own as it is cranked or opened up, where a weak
 * spark misses first; far below it at idle, where the same spark still jumps (SOURCES, high tension). Judgement.
 */
const OPEN_BAR = 0.95;
const IDLE_BAR = 0.5;

/** Volts a place asks of the coil, before the gaps on the way there. */
export function askedVolts(
  scene: Known,
  state: MachineState,
  place: SparkPlace,
  cylinder: number,
  gapMetres?: number,
): number {
  if (place !== 'plug') return requiredVolts(1, 300, gapMetres ?? 6e-3);
  const gap = plugGapIn(scene, cylinder, state)!;
  const idles = state.key === 'run' && state.speed !== 'fast' && state.rpm === undefined;
  const drawn = idles ? IDLE_BAR : OPEN_BAR;
  const { bar, kelvin } = chargeAtSpark(scene.machine.fit.compressionRatio, drawn, 300);
  return requiredVolts(bar, kelvin, gap);
}

/** The plug's gap in a firing: it strikes at what is asked, or where the path flashes over; the winding's ohms stand in the circuit already. */
export const plugOf = (path: SparkPath, requiredVolts: number, secondaryOhms: number) => ({
  strikeVolts: Math.min(requiredVolts, path.flashVolts),
  seriesOhms: Math.max(1, path.seriesOhms - secondaryOhms),
});

/** What is raised against what is asked, and what is left to burn. `storedJoules` is what reaches the secondary. */
export function sparkOf(
  path: SparkPath,
  raisedVolts: number,
  requiredVolts: number,
  storedJoules: number,
  secondaryFarads: number,
): Spark {
  const required = requiredVolts + path.gapVolts;
  return {
    availableVolts: Math.min(raisedVolts, path.flashVolts),
    requiredVolts: required,
    joules: burnJoules(storedJoules, secondaryFarads, required, path.seriesOhms),
  };
}
