import type { Check } from '../trails/checks.ts';
import type { House } from '../schema/house.ts';
import type { Complaint } from '../schema/job.ts';
import type { Belief, Weighed, Weigher } from './belief.ts';
import type { PlacedReading } from './events.ts';
import { CAREFUL, hitting, shownOf, unclaimed } from './likelihood.ts';
import { meanLog } from './logs.ts';
import { touchedShare } from './outside.ts';
import type { ModelFault, ModelRepair } from './model.ts';
import { costOf } from './repairCost.ts';
import { memberWeights } from './ensemble.ts';
import { wellWord } from './wellWord.ts';

/** How far one reading moved one suspect: powers of ten, above zero for, below against. */
export interface Evidence {
  readonly readingId: string;
  readonly checkId: string;
  readonly decades: number;
}

export interface Suspect {
  readonly fault: ModelFault;
  readonly repair: ModelRepair;
  /** Share of belief, alone or in a pair. */
  readonly share: number;
  readonly cost: number;
  readonly evidence: readonly Evidence[];
}

const sharesBy = (belief: Belief, of: (w: Weighed, i: number) => number): Map<ModelFault, number> => {
  const shares = new Map<ModelFault, number>();
  for (const w of belief.weighed) w.remaining.forEach((f, i) => shares.set(f, (shares.get(f) ?? 0) + of(w, i)));
  return shares;
};
/** Belief in each fault that is still there as what accounts for the complaint, alone or in company. */
export const faultShares = (belief: Belief): Map<ModelFault, number> =>
  sharesBy(belief, (w, i) => w.mass * w.blame[i]!);
/** Belief that each fault is there at all. */
export const presentShares = (belief: Belief): Map<ModelFault, number> => sharesBy(belief, (w) => w.mass);

/** The likeliest way of failing that a repair mends. */
export const guiltyOf = (repair: ModelRepair, belief: Belief): ModelFault | undefined =>
  [...faultShares(belief)].filter(([f]) => f.repairId === repair.id).sort((a, b) => b[1] - a[1])[0]?.[0];

/** Smaller than a third of a decade nobody would call evidence. */
const WORTH_SAYING = 0.3;

const mean = (logs: Float64Array): number => logs.reduce((sum, l) => sum + Math.exp(l), 0) / logs.length;

/** What one reading said of each fault alone, and of all of them by their weight. */
interface Said {
  readonly placed: PlacedReading;
  readonly check: Check;
  readonly of: (fault: ModelFault) => number;
  readonly all: number;
  readonly weight: number;
}

/** Asked for each suspect in turn: the sums over all faults are made once a belief. */
const sums = new WeakMap<Belief, readonly Said[]>();
function saidOf(weigher: Weigher, belief: Belief, complaint: Complaint): readonly Said[] {
  let known = sums.get(belief);
  if (!known) {
    const singles = belief.weighed.flatMap((w) => (w.faults.length === 1 ? w.faults[0]! : []));
    known = belief.story.weighed.flatMap((placed): Said[] => {
      const check = weigher.check(placed.reading.checkId);
      if (!check) return [];
      const of = (fault: ModelFault) => {
        const seen = placed.repaired.has(fault.repairId) ? [] : [fault];
        return mean(weigher.readingLogs(seen, placed, check, complaint));
      };
      // Compared with what else was thought possible, not with what is left now.
      const all = singles.reduce((sum, f) => sum + f.weight * of(f), 0);
      return [{ placed, check, of, all, weight: singles.reduce((sum, f) => sum + f.weight, 0) }];
    });
    sums.set(belief, known);
  }
  return known;
}

export function evidenceFor(weigher: Weigher, belief: Belief, complaint: Complaint, fault: ModelFault): Evidence[] {
  return saidOf(weigher, belief, complaint)
    .map(({ placed, check, of, all, weight }): Evidence => {
      const own = of(fault);
      const others = (all - fault.weight * own) / (weight - fault.weight);
      return { readingId: placed.reading.id, checkId: check.id, decades: Math.log10(own / others) };
    })
    .filter((e) => Math.abs(e.decades) > WORTH_SAYING)
    .sort((a, b) => Math.abs(b.decades) - Math.abs(a.decades));
}

export function rankSuspects(
  weigher: Weigher,
  belief: Belief,
  complaint: Complaint,
  house: House,
  most: number,
): Suspect[] {
  return [...faultShares(belief)]
    .sort((a, b) => b[1] - a[1])
    .slice(0, most)
    .map(([fault, share]) => {
      const repair = weigher.model.repairs.get(fault.repairId)!;
      return {
        fault,
        repair,
        share,
        cost: costOf(repair, house),
        evidence: evidenceFor(weigher, belief, complaint, fault),
      };
    });
}

export interface Stray {
  readonly readingId: string;
  readonly chance: number;
}

/** From this chance of having missed its mark a reading is at odds with the rest. */
export const AT_ODDS_FROM = 0.5;

/** Chance of each reading having missed its mark (wrong terminal, wrong range), averaged over the belief. */
export function strayReadings(weigher: Weigher, belief: Belief, complaint: Complaint): Stray[] {
  const believed = belief.weighed.filter((w) => w.mass >= 1e-4);
  return belief.story.weighed.flatMap((placed) => {
    const { reading, repaired } = placed;
    const check = weigher.check(reading.checkId);
    if (!check) return [];
    const sound = Math.exp(meanLog(weigher.readingLogs([], placed, check, complaint)));
    const well = wellWord(weigher.model, check);
    const shown = shownOf(check, reading.value, CAREFUL, well);
    const share = touchedShare(check);
    const touched = share * unclaimed(check, reading.value, well);
    // What nobody knows has changed the reading, or has left it as it is.
    let chance = (belief.outside * touched) / (touched + (1 - share) * sound);
    for (const w of believed) {
      const seen = w.faults.filter((f) => !repaired.has(f.repairId));
      const ensemble = weigher.ensemble(seen);
      const predicted = ensemble.predict(check);
      const weights = memberWeights(ensemble, w.strata);
      let [total, straying] = [0, 0];
      weights.forEach((weight, m) => {
        total += weight * (hitting(shown, predicted, m) + shown.straying);
        straying += weight * shown.straying;
      });
      // A fault that was away when the reading was taken explains it too.
      const logs = weigher.readingLogs(seen, placed, check, complaint);
      const whole = Math.max(
        total,
        logs.reduce((sum, l, s) => sum + w.strata[s]! * Math.exp(l), 0),
      );
      chance += w.mass * Math.min(1, straying / whole);
    }
    return [{ readingId: reading.id, chance }];
  });
}
