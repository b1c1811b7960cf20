import type { NodeName } from '../network/index.ts';
import type { TrailId } from '../schema/fitOut.ts';
import type { Fit } from '../schema/fit.ts';
import type { AsFound, MachineParams } from './known.ts';
import type { Offer, Offers } from './observed.ts';
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

/** How several trails' word on the same thing becomes one. */
const TOGETHER = {
  // What turns the magnets and what turns the distributor shift the same spark.
  degreesOff: (said) => said.reduce((a, b) => a + b, 0),
  // Fuel that is missing and air that is too much weaken the same mixture; each narrow place takes its share.
  richness: (said) => said.reduce((a, b) => a * b, 1),
  breathes: (said) => said.reduce((a, b) => a * b, 1),
  // Oil comes from below or with the fuel.
  oil: (said) => 1 - said.reduce((none, p) => none * (1 - p), 1),
  // Carbon, or plugs that are too hot.
  glows: (said) => 1 - said.reduce((none, p) => none * (1 - p), 1),
  // Throttles apart, or one carburettor unlike the others.
  uneven: (said) => 1 - said.reduce((none, p) => none * (1 - p), 1),
} as const satisfies Partial<Record<keyof Offers, (said: readonly number[]) => number>>;
type Combined = keyof typeof TOGETHER;

/** The first trail that offers an observable is the one that is asked, but for those that several tell together. */
function offersOf(trails: readonly Trail[]): Offers {
  const first = trails.reduceRight<Offers>((offers, trail) => ({ ...offers, ...trail.offers }), {});
  const joined = <K extends Combined>(key: K): Offers => {
    const told = trails.flatMap((t) => t.offers[key] ?? []) as Offer<K>[];
    if (told.length < 2) return {};
    const all: Offer<Combined> = (scene, state, at) =>
      TOGETHER[key](told.map((tell) => tell(scene, state, at as never)));
    return { [key]: all };
  };
  return Object.assign({ ...first }, ...(Object.keys(TOGETHER) as Combined[]).map(joined)) as Offers;
}

const fireless: Machine['firing'] = () => {
  throw new RangeError('This machine has no spark trail');
};

/** What trails share belongs to the one that suffers first when it fails. */
const SUFFERS: readonly TrailId[] = ['crank', 'charge', 'spark'];
const ownerOf = (part: PartInstance, builtBy: Trail, trails: readonly Trail[]): TrailId =>
  SUFFERS.find((id) => trails.some((t) => t.id === id && t.stations.some((s) => s.id === part.station))) ?? builtBy.id;
