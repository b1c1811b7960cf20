import { checksOf, type Check } from '../trails/checks.ts';
import { buildMachine } from '../trails/index.ts';
import { type Machine } from '../machine/machine.ts';
import {
  rangeOf,
  type Band,
  type FaultMode,
  type PartInstance,
  type PlateSpec,
  type RepairSpec,
} from '../machine/part.ts';
import type { Fit } from '../schema/fit.ts';
import { trailShares } from '../engine/trailShares.ts';
import type { TrailId } from '../schema/fitOut.ts';
import type { TrailName } from '../schema/symptoms.ts';
import type { House } from '../schema/house.ts';
import type { MachineBody, PlateValue } from '../schema/machine.ts';
import { doingsOfRepair } from '../machine/doings.ts';
import { cautionsOf } from '../machine/hazards.ts';
import type { CautionId } from '../schema/cautions.ts';
import { beginsAtPlate } from './onset.ts';

export interface ModelFault {
  /** `part.mode` */
  readonly id: string;
  readonly part: PartInstance;
  readonly mode: FaultMode;
  readonly weight: number;
  /** Of its own part, or of the one that it is mended with. */
  readonly repairId: string;
  readonly trail: TrailId;
}

export interface ModelRepair extends RepairSpec {
  /** `part.repair` */
  readonly id: string;
  readonly part: PartInstance;
  readonly station: string;
  /** Its price is that of the first one's part unless it has its own: nobody prices each plug apart. */
  readonly follows: string | undefined;
  /** Of all that it does. */
  readonly cautions: readonly CautionId[];
}

export interface Plate extends PlateValue {
  /** `part.figure` */
  readonly id: string;
  readonly spec: PlateSpec;
  readonly part: PartInstance;
  /** Between which ends the machine can be computed. */
  readonly range: Band;
}

/** One machine as the core sees it: trail, figures, ways to fail, ways to mend, what can be checked. */
export interface Model {
  readonly machine: Machine;
  readonly plates: ReadonlyMap<string, Plate>;
  readonly faults: readonly ModelFault[];
  readonly repairs: ReadonlyMap<string, ModelRepair>;
  /** Those that the shop's instruments allow: they are proposed. */
  readonly checks: readonly Check[];
  /** Elective ones, and those for which an instrument is missing: never proposed, but a reading that somebody took is taken in. */
  readonly beyond: readonly Check[];
  /** How often each trail lets an engine down, told here or not; sum 1. */
  readonly trailShares: Readonly<Record<TrailName, number>>;
  /** Of faults, by the pattern of the complaint and what was done before it; made when asked. */
  readonly priors: Map<string, ReadonlyMap<ModelFault, number>>;
}

/**
 * What is given for the first cylinder's lead, plug or repair holds for the others too: the part of the same kind, at
 * the same place among its cylinder's, of cylinder 1. Things that an owner added are each their own.
 */
export function followedBy(part: PartInstance, parts: readonly PartInstance[]): string | undefined {
  if (part.like !== undefined || (part.cylinder ?? 1) === 1) return part.like;
  const of = (cylinder: number) => parts.filter((p) => p.kind === part.kind && p.cylinder === cylinder);
  return of(1)[of(part.cylinder!).indexOf(part)]?.id;
}

const given = <V>(all: Readonly<Record<string, V>>, id: string): V | undefined =>
  Object.hasOwn(all, id) ? all[id] : undefined;

function plateOf(
  part: PartInstance,
  followed: string | undefined,
  spec: PlateSpec,
  machine: MachineBody,
  fit: Fit,
): Plate {
  const id = `${part.id}.${spec.id}`;
  const typical: Band = spec.typical(fit);
  const own = given(machine.plates, id) ?? given(machine.plates, `${followed}.${spec.id}`);
  return {
    id,
    spec,
    part,
    range: rangeOf(spec, fit),
    ...(own ?? { ...typical, source: 'typical', note: '' }),
  };
}

const repairIdOf = (part: PartInstance, repair: string): string => `${part.mendedWith?.[repair] ?? part.id}.${repair}`;

const middleOf = ({ low, high }: Band): number => (low + high) / 2;

export function buildModel(machine: MachineBody, house: House): Model {
  const built = buildMachine(machine.fitOut);
  const followed = new Map(built.parts.map((part) => [part, followedBy(part, built.parts)]));
  const plates = new Map(
    built.parts
      .flatMap((part) => part.kind.plates.map((spec) => plateOf(part, followed.get(part), spec, machine, built.fit)))
      .map((p) => [p.id, p]),
  );
  const repairs = new Map(
    built.parts.flatMap((part) =>
      part.kind.repairs.flatMap((r): [string, ModelRepair][] => {
        const id = `${part.id}.${r.id}`;
        if (repairIdOf(part, r.id) !== id) return [];
        const first = followed.get(part);
        const follows = first === undefined ? undefined : `${first}.${r.id}`;
        const cost = given(house.repairs, id) ?? (follows === undefined ? undefined : given(house.repairs, follows));
        const cautions = cautionsOf(built.fit, doingsOfRepair(r, part, built));
        return [[id, { ...r, ...cost, id, part, station: part.station, follows, cautions }]];
      }),
    ),
  );
  const faults = built.parts.flatMap((part) => {
    const plateOf = (figure: string) => plates.get(`${part.id}.${figure}`);
    const sound = Object.fromEntries(part.kind.plates.map(({ id }) => [id, middleOf(plateOf(id)!)]));
    return part.kind.faults
      .filter((mode) => part.fails?.includes(mode.id) ?? true)
      .map((whole): ModelFault => {
        const mode = beginsAtPlate(whole, plateOf, built.fit, sound);
        return {
          id: `${part.id}.${mode.id}`,
          part,
          mode,
          weight: mode.weight * (part.weight ?? 1),
          repairId: repairIdOf(part, mode.repair),
          trail: built.trailOf.get(part.id)!,
        };
      });
  });
  // A multimeter that reads volts reads amperes, on a socket of its own.
  const owned = new Set<string>(house.owns.flatMap((i) => (i === 'voltmeter' ? [i, 'ammeter'] : [i])));
  const all = checksOf(built);
  const proposed = (c: Check) => owned.has(c.instrument) && !c.elective;
  return {
    machine: built,
    plates,
    faults,
    repairs,
    checks: all.filter(proposed),
    beyond: all.filter((c) => !proposed(c)),
    trailShares: trailShares(house),
    priors: new Map(),
  };
}
