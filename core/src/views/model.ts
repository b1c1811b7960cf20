import { middleScene } from '../tracing/middle.ts';
import { drowns } from '../engine/clearing.ts';
import { balanceOf } from '../trails/charge/balance.ts';
import { formatBand } from '../quantity/index.ts';
import type { House } from '../schema/house.ts';
import type { MachineBody } from '../schema/machine.ts';
import type { Plate } from '../tracing/model.ts';
import { ruler, type Landing } from '../tracing/ruler.ts';
import { plateProblems, unsolved } from '../tracing/solvable.ts';
import type { Tracer } from '../tracing/trace.ts';
import type { TracerCache } from '../tracing/tracerCache.ts';
import { probingOf } from '../trails/freeProbe.ts';
import { platesView } from './plates.ts';
import { checkView, repairsView } from './views.ts';

/** What to change on a machine that cannot be computed. */
export const unsolvedWords = (plate: Plate): string =>
  `${plate.part.label}: ${plate.spec.label.toLowerCase()} is given as ${formatBand(plate.low, plate.high, plate.spec.dimension)}. ` +
  `This machine is computed with ${formatBand(plate.range.low, plate.range.high, plate.spec.dimension)}: change the figure on the machine’s page.`;

/**
 * A machine without its jobs: stations, figures, repairs, checks with what each should read. One that cannot be
 * computed still shows its figures, and `unsolved` names those to change; it then has no checks.
 */
export function modelView(tracers: TracerCache, machine: MachineBody, house: House) {
  const wrong = unsolvedOf(tracers, machine, house);
  const { model } = tracers.for(machine, house);
  return {
    unsolved: wrong.map((plate) => ({ figure: plate.id, words: unsolvedWords(plate) })),
    stations: model.machine.stations,
    trails: model.machine.trails.map((t) => ({ id: t.id, kind: t.kind, stations: t.stations })),
    /** Whether anything on it has a memory of minutes. */
    slow: model.machine.trails.some((t) => t.slowly),
    /** Whether fuel can stand in its cylinders. */
    drowns: drowns(model.machine.fit),
    plates: platesView(model),
    repairs: repairsView(model),
    checks: wrong.length
      ? []
      : [...model.checks, ...model.beyond].map((check) => ({
          check: checkView(check),
          /** Whether the shop has what it takes. */
          owned: house.owns.includes(check.instrument),
        })),
    /** Where leads can be put besides. */
    probing: wrong.length ? null : probingOf(model.machine, [...model.checks, ...model.beyond]),
    balance: wrong.length ? null : (balanceOf(middleScene(model)) ?? null),
    faults: model.faults.map((f) => ({
      id: f.id,
      part: f.part.label,
      how: f.mode.label,
      repairId: f.repairId,
      trail: f.trail,
    })),
  };
}
export type ModelView = ReturnType<typeof modelView>;

/** What these checks read when all is well, by check id; those that this machine has. */
export function wellsView(tracer: Tracer, checkIds: readonly string[]): Readonly<Record<string, Landing>> {
  const checks = checkIds.flatMap((id) => tracer.weigher.check(id) ?? []);
  return Object.fromEntries(checks.map((check) => [check.id, ruler(tracer.weigher, check, []).well]));
}

/** Quick where all is well: only what the tracer will be asked anyway is solved. */
function unsolvedOf(tracers: TracerCache, machine: MachineBody, house: House): readonly Plate[] {
  const { weigher } = tracers.for(machine, house);
  try {
    if (plateProblems(machine, weigher.model).length === 0) {
      for (const check of weigher.model.checks) weigher.ensemble([]).predict(check);
      return [];
    }
  } catch {
    // Which figure it is, is found out below.
  }
  return unsolved(machine, house);
}
