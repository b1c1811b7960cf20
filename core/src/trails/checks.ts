import { exhaustSeen } from '../engine/exhaust.ts';
import { warmingUp } from '../engine/warmingUp.ts';
import { plugsOut } from '../engine/plugsOut.ts';
import { tryIt } from '../engine/tryIt.ts';
import { hasHeldPoints, type Check, type CheckMaker } from '../machine/check.ts';
import { withCautions } from '../machine/doings.ts';
import type { Machine } from '../machine/machine.ts';
import { AIR_CHECKS } from './air/checks/index.ts';
import { CHARGE_CHECKS } from './charge/checks/index.ts';
import { COMPRESSION_CHECKS } from './compression/checks/index.ts';
import { CRANK_CHECKS } from './crank/checks/index.ts';
import { FUEL_CHECKS } from './fuel/checks/index.ts';
import { STOP_CHECKS } from './stop/checks/index.ts';
import { TIMING_CHECKS } from './timing/checks/index.ts';
import { seenAt } from './shared/checks/seenAt.ts';
import { SPARK_CHECKS } from './spark/checks/index.ts';

/** The one place that lists the rooms that checks come from. */
const MAKERS: readonly CheckMaker[] = [
  ...SPARK_CHECKS,
  tryIt,
  plugsOut,
  ...CRANK_CHECKS,
  ...CHARGE_CHECKS,
  ...FUEL_CHECKS,
  ...TIMING_CHECKS,
  ...STOP_CHECKS,
  ...AIR_CHECKS,
  ...COMPRESSION_CHECKS,
  exhaustSeen,
  warmingUp,
  seenAt,
];

/** Whether a machine has all that a check touches: its station, its nodes, its parts, points to hold shut. */
function belongs(check: Check, machine: Machine): boolean {
  const { probe, state } = check;
  const has = (id: string) => machine.partById.has(id);
  const bench = probe.kind === 'ohms' && probe.bench !== undefined ? [probe.bench] : [];
  const parts = [...bench, ...(check.needs ?? []), ...(state.clipped ?? [])];
  if (!machine.stations.some((s) => s.id === check.station) || !parts.every(has)) return false;
  const held = state.key === 'on' && state.points === 'closed';
  if (held && !hasHeldPoints(machine)) return false;
  const nodes = new Set(['0', ...machine.parts.flatMap((p) => Object.values(p.nodes))]);
  if (probe.kind === 'across') return nodes.has(probe.live) && nodes.has(probe.earth);
  return probe.kind !== 'ohms' || (nodes.has(probe.red) && nodes.has(probe.black));
}

export const checksOf = (machine: Machine): Check[] =>
  MAKERS.flatMap((make) => make(machine))
    .filter((check) => belongs(check, machine))
    .map((check) => withCautions(check, machine));

export { runsHow, TRY_IT } from '../engine/tryIt.ts';
export { OPENING_MINUTES, CRANKING, KEY_ON_CLOSED, KEY_ON_OPEN } from '../machine/check.ts';
export type { CautionId, Check, Opening } from '../machine/check.ts';
