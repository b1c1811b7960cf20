import type { Complaint } from '../schema/job.ts';
import type { Belief, Weigher } from './belief.ts';
import { meanLog } from './logs.ts';
import type { ModelFault } from './model.ts';
import { faultShares } from './suspects.ts';

/** Something that a reading showed to be wrong, whatever was complained of. */
export interface Found {
  readonly fault: ModelFault;
  readonly readingId: string;
  /** Share of belief that it is what explains the complaint. */
  readonly explains: number;
}

/** A reading that a fault makes so many times likelier than a sound machine does has shown it. */
const SHOWN = Math.log(20);
/** A fault that explains the reading no more than so many times worse is a rival. */
const RIVAL = Math.log(6);

/**
 * What is seen is a fact: faults that a reading shows by itself, all that could read so being mended by the same repair.
 * Whether they explain the complaint is another question; what was put right since is left out.
 */
export function foundBy(weigher: Weigher, belief: Belief, complaint: Complaint): Found[] {
  const { readings, repaired } = belief.story;
  const shares = faultShares(belief);
  const found = new Map<string, Found>();
  for (const placed of readings) {
    const check = weigher.check(placed.reading.checkId);
    if (!check || check.whole || placed.reading.faultPresent === 'no') continue;
    const log = (faults: readonly ModelFault[]) => meanLog(weigher.readingLogs(faults, placed, check, complaint));
    const sound = weigher.ensemble([]).predict(check);
    const without = log([]);
    const told = weigher.model.faults
      .filter((f) => !placed.repaired.has(f.repairId) && weigher.ensemble([f]).predict(check) !== sound)
      .map((fault) => ({ fault, log: log([fault]) }))
      .sort((a, b) => b.log - a.log);
    const [best] = told;
    if (!best || best.log - without < SHOWN) continue;
    const rivals = told.filter((t) => best.log - t.log < RIVAL);
    const { repairId } = best.fault;
    if (repaired.has(repairId) || rivals.some((t) => t.fault.repairId !== repairId)) continue;
    const explains = rivals.reduce((sum, t) => sum + (shares.get(t.fault) ?? 0), 0);
    found.set(repairId, { fault: best.fault, readingId: placed.reading.id, explains });
  }
  return [...found.values()];
}
