import type { Check } from '../trails/checks.ts';
import { freeCheck, freeProbeId } from '../trails/freeProbe.ts';
import type { FreeProbe } from '../schema/freeProbe.ts';
import type { MachineParams } from '../machine/known.ts';
import type { Complaint, JobEvent } from '../schema/job.ts';
import type { TrailName } from '../schema/symptoms.ts';
import { complaintElsewhere, complaintKey, complaintLikelihood } from '../engine/complaint.ts';
import { Ensemble, soundMembers, STRATA } from './ensemble.ts';
import { evidenceOf } from './settingEvidence.ts';
import { seenBy, tell, type PlacedReading, type Story } from './events.ts';
import { blameOf } from './blame.ts';
import { cured } from './cured.ts';
import { furtherAccounts } from './accounts.ts';
import { elsewhere, NOTHING_WRONG, singles, type Hypothesis } from './hypotheses.ts';
import { CAREFUL, HANDS, type Hands } from './likelihood.ts';
import { LogCache, type Sayings } from './logCache.ts';
import { logSum, meanLog } from './logs.ts';
import { outsideLog, values } from './outside.ts';
import { Repeated, unclaimedAgain } from './repeated.ts';
import type { Model, ModelFault } from './model.ts';
import type { Predicted } from './prediction.ts';
import { shows } from './presence.ts';
import { SoundBands } from './soundBand.ts';

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
const ENSEMBLES_KEPT = 600;

/** An account held against what was told. */
interface Tried {
  readonly h: Hypothesis;
  readonly complained: Float64Array;
  readonly log: number;
  readonly strata: Float64Array;
}

/** Weighs hypotheses for one machine; keeps the simulated members between calls. */
export class Weigher {
  readonly model: Model;
  private readonly sound: readonly MachineParams[];
  readonly ensembles = new Map<string, Ensemble>();
  private readonly logs = new LogCache();
  private soundBands: SoundBands | undefined;
  private readonly checks: Map<string, Check>;
  private complained: { readonly of: string; readonly log: number } | undefined;

  constructor(model: Model) {
    this.model = model;
    this.sound = soundMembers(model);
    this.checks = new Map([...model.checks, ...model.beyond].map((c) => [c.id, c]));
  }

  /** A check that nobody listed, known from now on; undefined where the machine has not got what it names. */
  learn(probe: FreeProbe): Check | undefined {
    const known = this.checks.get(freeProbeId(probe));
    if (known) return known;
    const made = freeCheck(this.model.machine, [...this.model.checks, ...this.model.beyond], probe);
    if (made) this.checks.set(made.id, made);
    return made;
  }
  learnAll(events: readonly JobEvent[]): void {
    for (const e of events) if (e.type === 'reading' && e.reading.probe) this.learn(e.reading.probe);
  }

  /** Where each check reads on a machine on its plates. */
  get bands(): SoundBands {
    return (this.soundBands ??= new SoundBands(this.model));
  }

  check(id: string): Check | undefined {
    return this.checks.get(id);
  }

  /** The members under these faults; the empty list is the sound machine. */
  ensemble(faults: readonly ModelFault[]): Ensemble {
    const key = nameOf(faults);
    const known = this.ensembles.get(key);
    if (known) return known;
    // Singles are asked for always; only pairs come and go.
    if (this.ensembles.size > ENSEMBLES_KEPT)
      for (const k of this.ensembles.keys()) if (k.includes('+')) this.ensembles.delete(k);
    const simpler =
      faults.length > 1 ? faults.map((f) => this.ensemble([f])) : faults.length ? [this.ensemble([])] : [];
    const made = new Ensemble(this.model, this.sound, faults, simpler);
    this.ensembles.set(key, made);
    return made;
  }

  /** Simulates what every job on this machine asks: each check that is proposed, under each fault alone. */
  simulate(): void {
    for (const faults of [[], ...this.model.faults.map((f) => [f])])
      for (const check of this.model.checks) this.ensemble(faults).predict(check);
  }

  private broughtBy(faults: readonly ModelFault[], complaint: Complaint): Float64Array {
    return this.ensemble(faults).figures(complaintKey(complaint), (s) => complaintLikelihood(s, complaint));
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

  /** p(complaint | these faults), over the members. */
  complaintShare(faults: readonly ModelFault[], complaint: Complaint): number {
    const each = this.broughtBy(faults, complaint);
    return each.reduce((a, b) => a + b, 0) / each.length;
  }

  /** log p(reading | severity step) for each step of these faults. */
  readingLogs(
    faults: readonly ModelFault[],
    placed: PlacedReading,
    check: Check,
    complaint: Complaint,
    hands: Hands = CAREFUL,
  ): Float64Array {
    const { strata } = this.ensemble(faults);
    const known = this.saidBy(faults, placed, check, complaint, hands);
    let logs = known.logs.get(strata);
    if (!logs) known.logs.set(strata, (logs = strataLogs(strata, known.each)));
    return logs;
  }

  /** What a reading says of each member of these faults; kept by what is predicted. */
  private saidBy(
    faults: readonly ModelFault[],
    placed: PlacedReading,
    check: Check,
    complaint: Complaint,
    hands: Hands,
  ) {
    const said = this.logs.of(placed, complaint, hands);
    const ensemble = this.ensemble(faults);
    const sound = ensemble.sound.predict(check);
    const there = shows(complaint, placed.reading);
    const predicted = there > 0 ? ensemble.predict(check) : sound;
    let own = said.by.get(predicted);
    if (!own) {
      // What none of these faults changes reads as it would without them, whether they were there or away.
      const share = predicted === sound ? 0 : there;
      const each = this.chances(predicted, share, placed, check, complaint, hands, said);
      said.by.set(predicted, (own = { each, logs: new Map() }));
    }
    return own;
  }

  /** log p(reading | these faults, as severe as they are where they bring this complaint). */
  broughtLog(faults: readonly ModelFault[], placed: PlacedReading, check: Check, complaint: Complaint): number {
    const reads = this.readingLogs(faults, placed, check, complaint);
    // Without degrees every step reads alike, however often each brings the complaint.
    if (!this.ensemble(faults).graded) return reads[0]!;
    const brings = strataLogs(this.ensemble(faults).complained, this.broughtBy(faults, complaint));
    return logSum([...brings].map((l, s) => l + reads[s]!)) - logSum([...brings]);
  }

  /** p(reading | each member) of what is predicted, where that shows in so large a share of readings, the sound machine in the rest. */
  private chances(
    predicted: Predicted,
    share: number,
    { reading, earlier }: PlacedReading,
    check: Check,
    complaint: Complaint,
    hands: Hands,
    said: Sayings,
  ): Float64Array {
    // Where a fault may have come or gone between them, a repeat is a reading of its own.
    const same = share === 0 || (share === 1 && earlier.every((r) => shows(complaint, r) === 1));
    const repeated = same
      ? (said.together ??= new Repeated(check, values(earlier), reading.value, hands))
      : (said.alone ??= new Repeated(check, [], reading.value, hands));
    const there = repeated.of(predicted);
    if (share === 0 || share === 1) return there;
    const sound = repeated.of(this.ensemble([]).predict(check));
    return there.map((p, m) => share * p + (1 - share) * sound[m]!);
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

/** Mean over the members that speak for each step, as logarithms. */
function strataLogs(strata: Ensemble['strata'], each: Float64Array): Float64Array {
  return Float64Array.from(strata, (share) => Math.log(share.reduce((sum, k, m) => sum + k * each[m]!, 0)));
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

/** Names a set of faults; asked for so often that one of them alone is not put together. */
const nameOf = (faults: readonly ModelFault[]): string =>
  faults.length === 1 ? faults[0]!.id : faults.map((f) => f.id).join('+');
