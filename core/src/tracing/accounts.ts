import { eachSymptom } from '../engine/complaint.ts';
import type { Complaint } from '../schema/job.ts';
import type { Weigher } from './belief.ts';
import { byCheck, seenBy, type Asked, type Story } from './events.ts';
import { GENERATIONS, grow, HOPELESS, type Base, type Grown } from './growing.ts';
import { hopefulPairs, type Alone, type Wanted } from './hopeful.ts';
import { halfOfPairLogs, setOf, type Hypothesis } from './hypotheses.ts';
import { meanLog } from './logs.ts';
import type { ModelFault } from './model.ts';

/** How many pairs behind a repair, and of a twin with a fault on either side, are simulated. */
const PAIRS_WEIGHED = 24;
const TWIN_PAIRS_WEIGHED = 40;
/**
 * What an account says of the readings is asked before what it says of the complaint, which costs most: not worth that
 * where it fell so far behind, as logarithms, and this much more for words that only one machine can say together.
 */
const SLACK = 1.5;
/** What neither explains costs a twin's pair no more than this, a natural logarithm. */
const UNEXPLAINED = Math.log(0.3);
/** A repaired fault below this share of its repair's belief is not carried on into pairs. */
const CARRIED = 0.02;

const onEitherSide = ({ part: a }: ModelFault, { part: b }: ModelFault): boolean =>
  a.cylinder !== undefined && b.cylinder !== undefined && a.cylinder !== b.cylinder;

/** Faults that a repair has put right and that really may have been there: another may stand behind them. */
function carriedOver(single: readonly Base[], story: Story): ModelFault[] {
  return [...story.repaired].flatMap((repairId) => {
    const own = single.filter((w) => w.h.faults[0]!.repairId === repairId);
    const best = Math.max(...own.map((w) => w.log));
    return own.filter((w) => Math.exp(w.log - best) > CARRIED).map((w) => w.h.faults[0]!);
  });
}

/** What faults say of each symptom and then of each check, all its readings together, as natural logarithms. */
function sayings(weigher: Weigher, story: Story, complaint: Complaint) {
  const symptoms = eachSymptom(complaint);
  const asked = byCheck(story, (id) => weigher.check(id));
  const ofCheck = (faults: readonly ModelFault[], { check, all }: Asked): number => {
    const each = all.map((p) => weigher.readingLogs(seenBy(faults, p), p, check, complaint));
    return meanLog(each[0]!.map((_, step) => each.reduce((sum, logs) => sum + logs[step]!, 0)));
  };
  return {
    all: (faults: readonly ModelFault[]): Float64Array =>
      Float64Array.from([
        ...symptoms.map((told) => Math.log(weigher.complaintShare(faults, told))),
        ...asked.map((one) => ofCheck(faults, one)),
      ]),
    /** What is left of an account's hope once its readings are asked, one after the other as long as it is above this. */
    hopeLeft: ({ h, hope, rows }: Grown, from: number): number => {
      let left = hope;
      for (let k = 0; k < asked.length && left >= from; k++)
        left += ofCheck(h.faults, asked[k]!) - rows[symptoms.length + k]!;
      return left;
    },
  };
}

/**
 * Accounts of more than one fault that are worth simulating, each weighed as it is made: those that grow from what a
 * simpler one leaves unexplained, up to four faults; behind a repair, whatever what was repaired may have hidden; on a
 * twin, pairs that stop a cylinder each, for together they explain what neither does alone.
 */
export function furtherAccounts<T extends Base>(
  weigher: Weigher,
  story: Story,
  complaint: Complaint,
  first: readonly T[],
  weigh: (h: Hypothesis) => T,
): T[] {
  const { model } = weigher;
  const says = sayings(weigher, story, complaint);
  const alone = new Map(model.faults.map((f) => [f, says.all([f])]));
  const single = first.filter((w) => w.h.faults.length === 1).sort((a, b) => b.log - a.log);
  const made = new Map<string, T>();
  const add = (all: readonly Hypothesis[]): T[] =>
    all
      .filter((h) => !made.has(h.id))
      .map((h) => {
        const weighed = weigh(h);
        made.set(h.id, weighed);
        return weighed;
      });

  const carried = carriedOver(single, story);
  const pairs = (more: Pick<Wanted, 'goTogether' | 'least' | 'most'>): void => {
    const priors = halfOfPairLogs(model, complaint);
    const second = [...alone].map(([fault, says]): Alone => ({ fault, logPrior: priors.get(fault)!, says }));
    const first = carried.length ? second.filter((a) => carried.includes(a.fault)) : second;
    const from = (single[0]?.log ?? -Infinity) - HOPELESS;
    add(hopefulPairs({ first, second, from, ...more }).map((pair) => setOf(model, complaint, pair)));
  };
  if (carried.length) pairs({ goTogether: () => true, least: -Infinity, most: PAIRS_WEIGHED });
  if (model.machine.fit.cylinders === 2)
    pairs({ goTogether: onEitherSide, least: UNEXPLAINED, most: TWIN_PAIRS_WEIGHED });

  let top = Math.max(...first.map((w) => w.log), ...[...made.values()].map((w) => w.log));
  const worthIt = (grown: Grown): T[] => {
    const from = top - HOPELESS;
    if (grown.hope < from || says.hopeLeft(grown, from - SLACK) < from - SLACK) return [];
    const own = add([grown.h]);
    top = Math.max(top, ...own.map((w) => w.log));
    return own;
  };
  let bases: readonly T[] = first;
  for (let generation = 0; generation < GENERATIONS && bases.length > 0; generation++) {
    const known = [...made.values()].filter((w) => w.h.faults.length === generation + 2);
    bases = [...known, ...grow(model, complaint, bases, generation, alone, says.all).flatMap(worthIt)];
  }
  return [...made.values()];
}
