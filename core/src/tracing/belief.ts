import type { Check } from '../trails/checks.ts';
import type { Complaint, JobEvent } from '../schema/job.ts';
import type { TrailName } from '../schema/symptoms.ts';
import { complaintElsewhere, everyComplaint } from '../engine/complaint.ts';
import { STRATA, type Ensemble } from './ensemble.ts';
import { evidenceOf } from './settingEvidence.ts';
import { seenBy, tell, type PlacedReading, type Story } from './events.ts';
import { blameOf } from './blame.ts';
import { cured } from './cured.ts';
import { furtherAccounts } from './accounts.ts';
import { elsewhere, NOTHING_WRONG, singles, type Hypothesis } from './hypotheses.ts';
import { HANDS, type Hands } from './likelihood.ts';
import { logSum, meanLog } from './logs.ts';
import { outsideLog, values } from './outside.ts';
import { unclaimedAgain } from './repeated.ts';
import type { ModelFault } from './model.ts';
import { strataLogs, Witness } from './witness.ts';
import { wellWord } from './wellWord.ts';

/** A hypothesis weighed against everything that was read. */
export interface Weighed {
  readonly id: string;
  readonly faults: readonly ModelFault[];
  /** Faults that no repair has put right yet. */
  readonly remaining: readonly ModelFault[];
  /** How far each of those accounts for the complaint, 0…1; what is only there besides has next to none. */
  readonly blame: readonly number[];
  /** The trail that it lies on, where that one has not been told. */
  readonly elsewhere: TrailName | undefined;
  readonly mass: number;
  /** Whether it brings the complaint any more often than a sound machine does. */
  readonly brings: boolean;
  /** Weight of each step of severity within the hypothesis, sum 1. */
  readonly strata: Float64Array;
}

export interface Belief {
  readonly weighed: readonly Weighed[];
  readonly outside: number;
  readonly story: Story;
}

/**
 * Owners' words are loose and no model is whole: what a reading has shown to be wrong on a trail brings its complaints at
 * least so often, of how often that trail brings them; shown is what reads so many times likelier with it. Judgement.
 */
const LOOSELY = { share: 0.2, shown: Math.log(20) } as const;
/** So many times oftener than on a sound machine: the complaint is this account’s. */
const OFTENER = 3;

/** An account held against what was told. */
interface Tried {
  readonly h: Hypothesis;
  readonly complained: Float64Array;
  readonly log: number;
  readonly strata: Float64Array;
}

/** Weighs hypotheses for one machine; what is simulated of it is kept between calls. */
export class Weigher extends Witness {
  private complained: { readonly of: string; readonly log: number } | undefined;

  /** Simulates what any first trace of this machine asks: every complaint, and each check that is proposed, under each fault alone. */
  simulate(): void {
    for (const complaint of everyComplaint()) this.weighAll(complaint, []);
    for (const faults of this.alone) for (const check of this.model.checks) this.ensemble(faults).predict(check);
  }

  /** How often each member of these faults comes with this complaint: because it brings it, or, once shown, in loose words. */
  private complaintOf(faults: readonly ModelFault[], complaint: Complaint, story: Story): Float64Array {
    const each = this.broughtBy(faults, complaint);
    const loosely = Math.max(0, ...faults.map((f) => LOOSELY.share * complaintElsewhere(complaint, f.trail)));
    const more = loosely > 0 && each.some((p) => p < loosely) && this.shown(faults, story, complaint);
    return more ? each.map((p) => Math.max(p, loosely)) : each;
  }
  /** Whether some reading is far likelier with these faults than on a sound machine. */
  private shown(faults: readonly ModelFault[], story: Story, complaint: Complaint): boolean {
    return story.weighed.some((placed) => {
      const check = this.checks.get(placed.reading.checkId);
      if (!check) return false;
      const logOf = (there: readonly ModelFault[]) => meanLog(this.readingLogs(there, placed, check, complaint));
      return logOf(seenBy(faults, placed)) - logOf([]) > LOOSELY.shown;
    });
  }

  /** log p(readings, complaint | severity step) of a hypothesis, whoever took them: summed over the kinds of hands. */
  private weigh(h: Hypothesis, story: Story, complaint: Complaint): Tried {
    const own = h.elsewhere || h === NOTHING_WRONG ? undefined : this.ensemble(h.faults);
    const brought = own && this.complaintOf(h.faults, complaint, story);
    const complained = brought ? strataLogs(own.complained, brought) : this.complainedElsewhere(h, complaint);
    const each = HANDS.map((hands) => {
      const logs = complained.map((l) => l + Math.log(hands.share));
      const add = (more: Float64Array) => more.forEach((l, s) => (logs[s]! += l));
      const seen = new Map<Ensemble, Float64Array>();
      for (const placed of story.weighed) {
        const check = this.checks.get(placed.reading.checkId);
        if (!check) continue;
        const faults = seenBy(h.faults, placed);
        if (placed.reading.value.kind === 'word' && !(check.whole && h.elsewhere))
          together(seen, this.ensemble(faults), this.saidBy(faults, placed, check, complaint, hands).each);
        else add(this.readingOf(h, placed, check, complaint, hands));
      }
      for (const [ensemble, words] of seen)
        if (brought && ensemble === own) {
          // What is complained of is a word too: the same machine has to say both.
          const both = strataLogs(
            own.complained,
            brought.map((p, m) => p * words[m]!),
          );
          add(both.map((l, s) => l - complained[s]!));
        } else add(strataLogs(ensemble.strata, words));
      return logs;
    });
    const logs = Float64Array.from({ length: STRATA }, (_, s) => logSum(each.map((l) => l[s]!)));
    const top = Math.max(...logs);
    const strata = logs.map((l) => Math.exp(l - top));
    const sum = strata.reduce((a, b) => a + b, 0);
    return { h, complained, log: Math.log(h.prior) + top + Math.log(sum / STRATA), strata: strata.map((w) => w / sum) };
  }

  /** log p(complaint) where no fault that is known brings it; of nothing, it is as common as of all that is wrong. */
  private complainedElsewhere({ elsewhere: trail }: Hypothesis, complaint: Complaint): Float64Array {
    const log = trail ? Math.log(complaintElsewhere(complaint, trail)) : this.complainedLog(complaint);
    return new Float64Array(STRATA).fill(log);
  }

  private readingOf(h: Hypothesis, placed: PlacedReading, check: Check, complaint: Complaint, hands: Hands) {
    if (!check.whole || !h.elsewhere)
      return this.readingLogs(seenBy(h.faults, placed), placed, check, complaint, hands);
    const any = unclaimedAgain(check, values(placed.earlier), placed.reading.value, hands);
    return new Float64Array(STRATA).fill(Math.log(any));
  }

  /** Accounts of one thing wrong: a fault, or something on a trail that nobody told. */
  private knownAccounts(complaint: Complaint): Hypothesis[] {
    return [...elsewhere(this.model), ...singles(this.model, complaint)];
  }

  weighAll(complaint: Complaint, events: readonly JobEvent[]): Belief {
    this.learnAll(events);
    const story = tell(evidenceOf(this.model, events));
    const weighed = this.knownAccounts(complaint).map((h) => this.weigh(h, story, complaint));
    const all = [
      ...weighed,
      // What comes and goes reads as sound while it is away: that tells nothing of there being nothing.
      ...(complaint.pattern === 'constant' ? [this.weigh(NOTHING_WRONG, story, complaint)] : []),
      ...furtherAccounts(this, story, complaint, weighed, (h) => this.weigh(h, story, complaint)),
    ];
    const bySound = this.complaintShare([], complaint);
    const gone = cured(complaint, story);
    const brings = (fault: ModelFault, told: Complaint) => this.complaintShare([fault], told);
    const unknown = outsideLog(
      story,
      complaint,
      this.complainedLog(complaint),
      (id) => this.checks.get(id),
      (placed, check, hands) => Math.exp(meanLog(this.readingLogs([], placed, check, complaint, hands))),
      (check) => wellWord(this.model, check),
    );
    const top = Math.max(unknown, ...all.map((w) => w.log));
    const total = all.reduce((sum, w) => sum + Math.exp(w.log - top), Math.exp(unknown - top));
    return {
      story,
      outside: Math.exp(unknown - top) / total,
      weighed: all.map((w) => {
        const remaining = w.h.faults.filter((f) => !story.repaired.has(f.repairId));
        return {
          id: w.h.id,
          faults: w.h.faults,
          remaining,
          blame:
            gone && remaining.length < w.h.faults.length
              ? remaining.map(() => 0)
              : blameOf(remaining, w.h.elsewhere, complaint, brings),
          elsewhere: w.h.elsewhere,
          mass: Math.exp(w.log - top) / total,
          brings: w.h !== NOTHING_WRONG && this.bringing(w, complaint) > OFTENER * bySound,
          strata: w.strata,
        };
      }),
    };
  }

  /** p(complaint | an account), as severe as its readings leave it, loose words left out. */
  private bringing({ h, complained, strata }: Tried, complaint: Complaint): number {
    const own = h.elsewhere
      ? complained
      : strataLogs(this.ensemble(h.faults).complained, this.broughtBy(h.faults, complaint));
    return strata.reduce((sum, share, s) => sum + share * Math.exp(own[s]!), 0);
  }

  /** log p(complaint) by all that the trails know; kept for the complaint that was asked last, as a job asks the same. */
  private complainedLog(complaint: Complaint): number {
    const of = JSON.stringify(complaint);
    if (this.complained?.of !== of) {
      const nothingRead = tell([]);
      this.complained = {
        of,
        log: logSum(this.knownAccounts(complaint).map((h) => this.weigh(h, nothingRead, complaint).log)),
      };
    }
    return this.complained.log;
  }
}

/**
 * Words are of one machine: a part that gives no spark with its own condenser and a good one with another has not done
 * both by two of its degrees. Figures scatter with tolerances, and each lies within its own kernel.
 */
function together(seen: Map<Ensemble, Float64Array>, ensemble: Ensemble, each: Float64Array): void {
  const before = seen.get(ensemble);
  seen.set(
    ensemble,
    each.map((p, m) => p * (before?.[m] ?? 1)),
  );
}
