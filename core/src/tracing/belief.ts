import type { Check } from '../trails/checks.ts';
import { freeCheck, freeProbeId } from '../trails/freeProbe.ts';
import type { FreeProbe } from '../schema/freeProbe.ts';
import type { MachineParams } from '../machine/known.ts';
import type { Complaint, JobEvent } from '../schema/job.ts';
import type { TrailName } from '../schema/symptoms.ts';
import { complaintElsewhere, complaintKey, complaintLikelihood } from '../engine/complaint.ts';
import { Ensemble, MEMBERS, soundMembers, STRATA } from './ensemble.ts';
import { evidenceOf } from './settingEvidence.ts';
import { tell, type PlacedReading, type Story } from './events.ts';
import { hopefulPairs, type Alone } from './hopeful.ts';
import { elsewhere, pairLog, pairOf, singles, type Hypothesis } from './hypotheses.ts';
import { CAREFUL, HANDS, type Hands } from './likelihood.ts';
import { LogCache } from './logCache.ts';
import { logSum, meanLog } from './logs.ts';
import { outsideLog, values } from './outside.ts';
import { repeated, unclaimedAgain } from './repeated.ts';
import type { Model, ModelFault } from './model.ts';
import { shows } from './presence.ts';
import { SoundBands } from './soundBand.ts';

/** A hypothesis weighed against everything that was read. */
export interface Weighed {
  readonly id: string;
  readonly faults: readonly ModelFault[];
  /** Faults that no repair has put right yet. */
  readonly remaining: readonly ModelFault[];
  /** The trail that it lies on, where that one has not been told. */
  readonly elsewhere: TrailName | undefined;
  readonly mass: number;
  /** Weight of each step of severity within the hypothesis, sum 1. */
  readonly strata: Float64Array;
}

export interface Belief {
  readonly weighed: readonly Weighed[];
  readonly outside: number;
  readonly story: Story;
}

/** How many pairs are simulated. */
const PAIRS_WEIGHED = 24;
/** So far behind the leading single fault, a natural logarithm, a pair is left out even if all that speaks for it does. */
const HOPELESS = 7;
/** And of a twin, with a fault on either side. */
const TWIN_PAIRS_WEIGHED = 40;
/** What neither explains costs a pair no more than this, a natural logarithm. */
const UNEXPLAINED = Math.log(0.3);
/** A repaired fault below this share of its repair's belief is not carried on into pairs. */
const CARRIED = 0.02;
const ENSEMBLES_KEPT = 600;

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

  private complaintOf(faults: readonly ModelFault[], complaint: Complaint): Float64Array {
    return this.ensemble(faults).figures(complaintKey(complaint), (scene) => complaintLikelihood(scene, complaint));
  }

  /** p(complaint | these faults), over the members. */
  complaintShare(faults: readonly ModelFault[], complaint: Complaint): number {
    const each = this.complaintOf(faults, complaint);
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
    const own = this.logs.of(placed, complaint, hands);
    const key = nameOf(faults);
    let logs = own.get(key);
    if (!logs) own.set(key, (logs = this.computeLogs(faults, placed, check, complaint, hands)));
    return logs;
  }

  /** log p(reading | these faults, as severe as they are where they bring this complaint). */
  broughtLog(faults: readonly ModelFault[], placed: PlacedReading, check: Check, complaint: Complaint): number {
    const reads = this.readingLogs(faults, placed, check, complaint);
    // Without degrees every step reads alike, however often each brings the complaint.
    if (!this.ensemble(faults).graded) return reads[0]!;
    const brings = strataLogs(this.ensemble(faults).complained, this.complaintOf(faults, complaint));
    return logSum([...brings].map((l, s) => l + reads[s]!)) - logSum([...brings]);
  }

  private computeLogs(
    faults: readonly ModelFault[],
    { reading, earlier }: PlacedReading,
    check: Check,
    complaint: Complaint,
    hands: Hands,
  ): Float64Array {
    const s = faults.length === 0 ? 0 : shows(complaint, reading);
    const there = s > 0 ? this.ensemble(faults).predict(check) : undefined;
    const sound = s < 1 ? this.ensemble([]).predict(check) : undefined;
    // Where a fault may have come or gone between them, a repeat is a reading of its own.
    const same = s === 0 || (s === 1 && earlier.every((r) => shows(complaint, r) === 1));
    const before = same ? earlier.map((r) => r.value) : [];
    const each = Float64Array.from({ length: MEMBERS }, (_, m) => {
      const withFault = there ? s * repeated(check, there, before, reading.value, m, hands) : 0;
      const without = sound ? (1 - s) * repeated(check, sound, before, reading.value, m, hands) : 0;
      return withFault + without;
    });
    return strataLogs(this.ensemble(faults).strata, each);
  }

  /** log p(readings, complaint | severity step) of a hypothesis, whoever took them: summed over the kinds of hands. */
  private weigh(h: Hypothesis, story: Story, complaint: Complaint) {
    const complained = h.elsewhere
      ? new Float64Array(STRATA).fill(Math.log(complaintElsewhere(complaint, h.elsewhere)))
      : strataLogs(this.ensemble(h.faults).complained, this.complaintOf(h.faults, complaint));
    const each = HANDS.map((hands) => {
      const logs = complained.map((l) => l + Math.log(hands.share));
      for (const placed of story.readings) {
        const check = this.checks.get(placed.reading.checkId);
        if (!check) continue;
        const add = this.readingOf(h, placed, check, complaint, hands);
        for (let s = 0; s < STRATA; s++) logs[s]! += add[s]!;
      }
      return logs;
    });
    const logs = Float64Array.from({ length: STRATA }, (_, s) => logSum(each.map((l) => l[s]!)));
    const top = Math.max(...logs);
    const strata = logs.map((l) => Math.exp(l - top));
    const sum = strata.reduce((a, b) => a + b, 0);
    return { h, log: Math.log(h.prior) + top + Math.log(sum / STRATA), strata: strata.map((w) => w / sum) };
  }

  private readingOf(h: Hypothesis, placed: PlacedReading, check: Check, complaint: Complaint, hands: Hands) {
    if (!check.whole || h.faults.length > 0)
      return this.readingLogs(seenBy(h.faults, placed), placed, check, complaint, hands);
    const any = unclaimedAgain(check, values(placed.earlier), placed.reading.value, hands);
    return new Float64Array(STRATA).fill(Math.log(any));
  }

  weighAll(complaint: Complaint, events: readonly JobEvent[]): Belief {
    this.learnAll(events);
    const story = tell(evidenceOf(this.model, events));
    const first: Hypothesis[] = [...elsewhere(this.model), ...singles(this.model, complaint)];
    const weighed = first.map((h) => this.weigh(h, story, complaint));
    const single = weighed.filter((w) => w.h.faults.length === 1).sort((a, b) => b.log - a.log);
    const carried = this.carried(single, story);
    const hopeful = this.hopeful(carried, story, complaint, (single[0]?.log ?? -Infinity) - HOPELESS);
    const all = [...weighed, ...hopeful.map((h) => this.weigh(h, story, complaint))];
    const unknown = outsideLog(story, complaint, this.complainedLog(first, complaint), (id) => this.checks.get(id));
    const top = Math.max(unknown, ...all.map((w) => w.log));
    const total = all.reduce((sum, w) => sum + Math.exp(w.log - top), Math.exp(unknown - top));
    return {
      story,
      outside: Math.exp(unknown - top) / total,
      weighed: all.map((w) => ({
        id: w.h.id,
        faults: w.h.faults,
        remaining: w.h.faults.filter((f) => !story.repaired.has(f.repairId)),
        elsewhere: w.h.elsewhere,
        mass: Math.exp(w.log - top) / total,
        strata: w.strata,
      })),
    };
  }

  /**
   * The pairs worth simulating, behind what was `carried` over from a repair if anything was. Two that each stop a
   * cylinder of a twin explain together what neither does alone, so these are ranked apart, and only by what speaks for
   * one of them. `from` is the least worth its time.
   */
  private hopeful(carried: readonly ModelFault[], story: Story, complaint: Complaint, from: number): Hypothesis[] {
    const asked = story.readings.flatMap((placed) => {
      const check = this.checks.get(placed.reading.checkId);
      return check ? [{ placed, check }] : [];
    });
    const { faults } = this.model;
    const alone = (fault: ModelFault): Alone => ({
      fault,
      logPrior: pairLog(this.model, complaint, fault),
      says: Float64Array.from([
        Math.log(this.complaintShare([fault], complaint)),
        ...asked.map(({ placed, check }) =>
          meanLog(this.readingLogs(seenBy([fault], placed), placed, check, complaint)),
        ),
      ]),
    });
    const second = faults.map(alone);
    const first = carried.length ? second.filter((a) => carried.includes(a.fault)) : second;
    const among = { first, second, from };
    const pairs = hopefulPairs({ ...among, goTogether: () => true, least: -Infinity, most: PAIRS_WEIGHED });
    const twin =
      this.model.machine.fit.cylinders === 2
        ? hopefulPairs({ ...among, goTogether: onEitherSide, least: UNEXPLAINED, most: TWIN_PAIRS_WEIGHED })
        : [];
    const made = [...pairs, ...twin].map(([a, b]) => pairOf(this.model, complaint, a, b));
    return [...new Map(made.map((h) => [h.id, h])).values()];
  }

  /** Faults that a repair has put right and that really may have been there: another may stand behind them. */
  private carried(single: readonly { h: Hypothesis; log: number }[], story: Story): ModelFault[] {
    return [...story.repaired].flatMap((repairId) => {
      const own = single.filter((w) => w.h.faults[0]!.repairId === repairId);
      const best = Math.max(...own.map((w) => w.log));
      return own.filter((w) => Math.exp(w.log - best) > CARRIED).map((w) => w.h.faults[0]!);
    });
  }

  /** log p(complaint) by all that the trails know; kept for the complaint that was asked last, as a job asks the same. */
  private complainedLog(first: readonly Hypothesis[], complaint: Complaint): number {
    const of = JSON.stringify(complaint);
    if (this.complained?.of !== of) {
      const nothingRead = tell([]);
      this.complained = { of, log: logSum(first.map((h) => this.weigh(h, nothingRead, complaint).log)) };
    }
    return this.complained.log;
  }
}

/** Mean over the members that speak for each step, as logarithms. */
function strataLogs(strata: Ensemble['strata'], each: Float64Array): Float64Array {
  return Float64Array.from(strata, (share) => Math.log(share.reduce((sum, k, m) => sum + k * each[m]!, 0)));
}

/** Names a set of faults; asked for so often that one of them alone is not put together. */
const nameOf = (faults: readonly ModelFault[]): string =>
  faults.length === 1 ? faults[0]!.id : faults.map((f) => f.id).join('+');

const onEitherSide = ({ part: a }: ModelFault, { part: b }: ModelFault): boolean =>
  a.cylinder !== undefined && b.cylinder !== undefined && a.cylinder !== b.cylinder;

const seenBy = (faults: readonly ModelFault[], placed: PlacedReading): ModelFault[] =>
  faults.filter((f) => !placed.repaired.has(f.repairId));
