import type { Scene } from '../machine/scene.ts';
import type { House } from '../schema/house.ts';
import type { MachineBody } from '../schema/machine.ts';
import { middleScene } from '../tracing/middle.ts';
import type { TracerCache } from '../tracing/tracerCache.ts';
import { bestExciter, excitingOf, type Exciting } from '../trails/charge/advice/exciting.ts';
import { rewiredNetlist } from '../trails/charge/advice/rewiredCircuit.ts';
import { bestWay, wiredWays, type Wired } from '../trails/charge/advice/rewiring.ts';
import { compareAlternators, type UsedAlternator } from '../trails/charge/advice/usedAlternators.ts';
import { compareStarters, type UsedStarter } from '../trails/crank/advice/usedStarters.ts';
import type { Compared } from '../trails/shared/usedPart.ts';

const sceneOf = (tracers: TracerCache, machine: MachineBody, house: House): Scene =>
  middleScene(tracers.for(machine, house).model);

/** What to fit to this machine where the usual part is no longer made. */
export interface Advice {
  readonly ways: readonly Wired[];
  readonly bestWay: string | undefined;
  /** Nothing where its field needs no exciting. */
  readonly exciting: readonly Exciting[] | undefined;
  /** Which of them to fit. */
  readonly bestExciting: number | undefined;
  /** Which used parts can be compared for it. */
  readonly compares: { readonly alternators: boolean; readonly starters: boolean };
}

export function adviceView(tracers: TracerCache, machine: MachineBody, house: House): Advice {
  const scene = sceneOf(tracers, machine, house);
  const { fit } = scene.machine;
  const ways = wiredWays(scene);
  const exciting = excitingOf(scene);
  const best = exciting && bestExciter(exciting, fit);
  return {
    ways,
    bestWay: bestWay(ways)?.way.id,
    exciting,
    bestExciting: best && exciting!.indexOf(best),
    compares: {
      alternators: fit.charge?.kind === 'alternator' || fit.charge?.kind === 'alternator-apart',
      starters: fit.crank !== undefined && fit.crank.kind !== 'pull',
    },
  };
}

/** A way of wiring as a netlist, its battery at rest. Throws a RangeError for a way that this machine has not. */
export function wayNetlist(tracers: TracerCache, machine: MachineBody, house: House, wayId: string): string {
  const scene = sceneOf(tracers, machine, house);
  const wired = wiredWays(scene).find((w) => w.way.id === wayId);
  if (!wired) throw new RangeError(`This machine is not wired as "${wayId}".`);
  return rewiredNetlist(scene, wired, (12.8 * scene.machine.fit.volts) / 12);
}

export const comparedAlternators = (
  tracers: TracerCache,
  machine: MachineBody,
  house: House,
  of: readonly UsedAlternator[],
): readonly Compared[] => compareAlternators(sceneOf(tracers, machine, house), of, house.ratePerHour);
export const comparedStarters = (
  tracers: TracerCache,
  machine: MachineBody,
  house: House,
  of: readonly UsedStarter[],
): readonly Compared[] => compareStarters(sceneOf(tracers, machine, house), of, house.ratePerHour);
