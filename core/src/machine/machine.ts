import type { NodeName } from '../network/index.ts';
import type { TrailId } from '../schema/fitOut.ts';
import type { Fit } from '../schema/fit.ts';
import type { AsFound, MachineParams } from './known.ts';
import type { Offers } from './observed.ts';
import type { PartInstance } from './part.ts';
import type { Station, Trail } from './trail.ts';

/** One machine: the trails of a fit-out on one site. */
export interface Machine {
  readonly fit: Fit;
  readonly trails: readonly Trail[];
  /** Each once, in the order of the trails. */
  readonly stations: readonly Station[];
  readonly parts: readonly PartInstance[];
  readonly partById: ReadonlyMap<string, PartInstance>;
  /** The trail that a part belongs to, by the part's id; of what trails share, the first that claimed it. */
  readonly trailOf: ReadonlyMap<string, TrailId>;
  readonly nodeNames: Readonly<Record<NodeName, string>>;
  readonly offers: Offers;
  readonly settle: (params: MachineParams, found: AsFound) => MachineParams;
  /** The same machine before anything has followed from a fault. */
  readonly unsettled: Machine;
  /** Throws where no trail of the machine fires. */
  readonly firing: NonNullable<Trail['firing']>;
  readonly onShare: Trail['onShare'];
}

/** Puts trails together. Throws where two of them claim the same part. */
export function assemble(fit: Fit, trails: readonly Trail[]): Machine {
  const stations = new Map<string, Station>();
  const partById = new Map<string, PartInstance>();
  const trailOf = new Map<string, TrailId>();
  for (const trail of trails) {
    for (const station of trail.stations) if (!stations.has(station.id)) stations.set(station.id, station);
    for (const part of trail.parts) {
      if (partById.has(part.id)) throw new RangeError(`Two trails claim the part "${part.id}"`);
      partById.set(part.id, part);
      trailOf.set(part.id, ownerOf(part, trail, trails));
    }
  }
  const plain: Omit<Machine, 'settle' | 'unsettled'> = {
    fit,
    trails,
    stations: [...stations.values()],
    parts: [...partById.values()],
    partById,
    trailOf,
    nodeNames: Object.assign({}, ...trails.map((t) => t.nodeNames)) as Machine['nodeNames'],
    offers: offersOf(trails),
    firing: trails.find((t) => t.firing)?.firing ?? fireless,
    onShare: trails.find((t) => t.onShare)?.onShare,
  };
  const unsettled: Machine = {
    ...plain,
    settle: (params) => params,
    get unsettled(): Machine {
      return unsettled;
    },
  };
  return { ...plain, unsettled, settle: (params, found) => trails.reduce((p, t) => t.settle?.(found, p) ?? p, params) };
}

/** The first trail that offers an observable is the one that is asked. */
function offersOf(trails: readonly Trail[]): Offers {
  const first = trails.reduceRight<Offers>((offers, trail) => ({ ...offers, ...trail.offers }), {});
  const of = <K extends 'degreesOff' | 'richness' | 'breathes'>(key: K) => trails.flatMap((t) => t.offers[key] ?? []);
  const [shifts, mixes, airs] = [of('degreesOff'), of('richness'), of('breathes')];
  return {
    ...first,
    // What turns the magnets and what turns the distributor shift the same spark: they add.
    ...(shifts.length > 1
      ? { degreesOff: (scene, state, at) => shifts.reduce((sum, tell) => sum + tell(scene, state, at), 0) }
      : {}),
    // Fuel that is missing and air that is too much weaken the same mixture: they multiply.
    ...(mixes.length > 1
      ? { richness: (scene, state, at) => mixes.reduce((product, tell) => product * tell(scene, state, at), 1) }
      : {}),
    ...(airs.length > 1
      ? { breathes: (scene, state, at) => airs.reduce((product, tell) => product * tell(scene, state, at), 1) }
      : {}),
  };
}

const fireless: Machine['firing'] = () => {
  throw new RangeError('This machine has no spark trail');
};

/** What trails share belongs to the one that suffers first when it fails. */
const SUFFERS: readonly TrailId[] = ['crank', 'charge', 'spark'];
const ownerOf = (part: PartInstance, builtBy: Trail, trails: readonly Trail[]): TrailId =>
  SUFFERS.find((id) => trails.some((t) => t.id === id && t.stations.some((s) => s.id === part.station))) ?? builtBy.id;
