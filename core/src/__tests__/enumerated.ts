import { complaintElsewhere } from '../engine/complaint.ts';
import type { Complaint, JobEvent } from '../schema/job.ts';
import { Weigher } from '../tracing/belief.ts';
import { blameOf } from '../tracing/blame.ts';
import { seenBy, tell, type Story } from '../tracing/events.ts';
import { besideElsewhere, elsewhere, NOTHING_WRONG, setOf, singles, type Hypothesis } from '../tracing/hypotheses.ts';
import { HANDS, type Hands } from '../tracing/likelihood.ts';
import type { ModelFault } from '../tracing/model.ts';
import { goTogether } from '../tracing/onePart.ts';
import { outsideLog, values } from '../tracing/outside.ts';
import { unclaimedAgain } from '../tracing/repeated.ts';
import { wellWord } from '../tracing/wellWord.ts';

const mean = (of: readonly number[]) => of.reduce((a, b) => a + b, 0) / of.length;

/**
 * A second method for what the accounts of several faults come to: every set of up to three faults is weighed as the
 * definition says, by plain sums over its members, and none is grown, bounded or left out.
 */
export class Enumerated extends Weigher {
  /** p(one reading | each member) with these hands. */
  private members(
    faults: readonly ModelFault[],
    story: Story,
    k: number,
    complaint: Complaint,
    hands: Hands,
  ): number[] {
    const placed = story.weighed[k]!;
    const there = seenBy(faults, placed);
    return [...this.saidBy(there, placed, this.check(placed.reading.checkId)!, complaint, hands).each];
  }
  /** How likely an account makes all that was said and read; words are of one member, figures of any. */
  likelihood({ faults, elsewhere: trail }: Hypothesis, story: Story, complaint: Complaint, any: number): number {
    const { complained, strata } = this.ensemble(faults);
    const readings = story.weighed.map((_, k) => k);
    const shown = readings.some((k) => {
      const of = (there: readonly ModelFault[]) => mean(this.members(there, story, k, complaint, HANDS[0]!));
      return of(faults) > 20 * of([]);
    });
    const loosely = shown ? Math.max(0, ...faults.map((f) => 0.2 * complaintElsewhere(complaint, f.trail))) : 0;
    const brought = [...this.broughtBy(faults, complaint)].map((p) => Math.max(p, loosely));
    let sum = 0;
    for (const hands of HANDS)
      complained.forEach((ofComplaint, s) => {
        let words = trail ? brought.map(() => complaintElsewhere(complaint, trail)) : brought;
        if (faults.length === 0 && !trail) words = brought.map(() => any);
        let figures = 1;
        for (const k of readings) {
          const { reading, earlier } = story.weighed[k]!;
          const check = this.check(reading.checkId)!;
          const each = this.members(faults, story, k, complaint, hands);
          if (check.whole && trail) figures *= unclaimedAgain(check, values(earlier), reading.value, hands);
          else if (reading.value.kind === 'word') words = words.map((p, m) => p * each[m]!);
          else figures *= each.reduce((total, p, m) => total + strata[s]![m]! * p, 0);
        }
        const told = words.reduce((total, p, m) => total + ofComplaint[m]! * p, 0);
        sum += (hands.share * figures * told) / complained.length;
      });
    return sum;
  }

  /** Belief that each repair is what brings the complaint, and that none of all this is. */
  shares(complaint: Complaint, events: readonly JobEvent[]) {
    const { model } = this;
    const story = tell(events);
    const ones = [...elsewhere(model), ...singles(model, complaint)];
    const any = ones.reduce((sum, h) => sum + h.prior * this.likelihood(h, tell([]), complaint, 0), 0);
    const sets: ModelFault[][] = [];
    const all = model.faults;
    all.forEach((a, i) =>
      all.slice(i + 1).forEach((b, j) => {
        if (!goTogether(model, a, b)) return;
        sets.push([a, b]);
        for (const c of all.slice(i + j + 2))
          if (goTogether(model, a, c) && goTogether(model, b, c)) sets.push([a, b, c]);
      }),
    );
    const accounts = [
      ...ones,
      NOTHING_WRONG,
      ...sets.map((faults) => setOf(model, complaint, faults)),
      ...ones.flatMap((h) =>
        h.elsewhere
          ? [...all.map((f) => [f]), ...sets].map((faults) => besideElsewhere(model, complaint, h.elsewhere!, faults))
          : [],
      ),
    ];
    const known = this.likelihood(NOTHING_WRONG, tell([]), complaint, any);
    const unknown = Math.exp(
      outsideLog(
        story,
        complaint,
        Math.log(known),
        (id) => this.check(id),
        (placed, _check, hands) => mean(this.members([], story, story.weighed.indexOf(placed), complaint, hands)),
        (check) => wellWord(model, check),
      ),
    );
    const weights = accounts.map((h) => h.prior * this.likelihood(h, story, complaint, any));
    const total = weights.reduce((a, b) => a + b, unknown);
    const shares = new Map<string, number>([['outside', unknown / total]]);
    accounts.forEach((h, k) => {
      const brings = (f: ModelFault, told: Complaint) => this.complaintShare([f], told);
      const blame = blameOf(h.faults, h.elsewhere, complaint, brings);
      for (const id of new Set(h.faults.map((f) => f.repairId))) {
        const most = Math.max(...blame.filter((_, i) => h.faults[i]!.repairId === id));
        shares.set(id, (shares.get(id) ?? 0) + (most * weights[k]!) / total);
      }
    });
    return shares;
  }
}
