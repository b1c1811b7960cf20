import { checksOf, type Check } from '../checks/index.ts';
import { buildLayout, type Layout } from '../layouts/index.ts';
import type { Band, FaultMode, PartInstance, PlateSpec, RepairSpec } from '../parts/index.ts';
import type { House } from '../schema/house.ts';
import type { MachineBody, PlateValue } from '../schema/machine.ts';

export interface ModelFault {
  /** `part.mode` */
  readonly id: string;
  readonly part: PartInstance;
  readonly mode: FaultMode;
  readonly weight: number;
  readonly repairId: string;
}

export interface ModelRepair extends RepairSpec {
  /** `part.repair` */
  readonly id: string;
  readonly part: PartInstance;
  readonly station: string;
}

export interface Plate extends PlateValue {
  /** `part.figure` */
  readonly id: string;
  readonly spec: PlateSpec;
  readonly part: PartInstance;
}

/** One machine as the core sees it: trail, figures, ways to fail, ways to mend, what can be checked. */
export interface Model {
  readonly layout: Layout;
  readonly plates: ReadonlyMap<string, Plate>;
  readonly faults: readonly ModelFault[];
  readonly repairs: ReadonlyMap<string, ModelRepair>;
  readonly checks: readonly Check[];
}

/** What is given for the first cylinder's lead, plug or repair holds for the others too, unless they have their own. */
const firstOf = (id: string): string => id.replace(/-\d+\./, '-1.');
const own = <V>(given: Readonly<Record<string, V>>, id: string): V | undefined => given[id] ?? given[firstOf(id)];

function plateOf(part: PartInstance, spec: PlateSpec, machine: MachineBody): Plate {
  const id = `${part.id}.${spec.id}`;
  const typical: Band = spec.typical(machine.fitOut);
  return { id, spec, part, ...(own(machine.plates, id) ?? { ...typical, source: 'typical', note: '' }) };
}

export function buildModel(machine: MachineBody, house: House): Model {
  const layout = buildLayout(machine.fitOut);
  const plates = new Map(
    layout.parts.flatMap((part) => part.kind.plates.map((spec) => plateOf(part, spec, machine))).map((p) => [p.id, p]),
  );
  const repairs = new Map(
    layout.parts.flatMap((part) =>
      part.kind.repairs.map((r): [string, ModelRepair] => {
        const id = `${part.id}.${r.id}`;
        return [id, { ...r, ...own(house.repairs, id), id, part, station: part.station }];
      }),
    ),
  );
  const faults = layout.parts.flatMap((part) =>
    part.kind.faults
      .filter((mode) => part.fails?.includes(mode.id) ?? true)
      .map((mode): ModelFault => ({
        id: `${part.id}.${mode.id}`,
        part,
        mode,
        weight: mode.weight * (part.weight ?? 1),
        repairId: `${part.id}.${mode.repair}`,
      })),
  );
  const owned = new Set<string>(house.owns);
  return { layout, plates, faults, repairs, checks: checksOf(layout).filter((c) => owned.has(c.instrument)) };
}
