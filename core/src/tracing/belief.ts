import type { Check } from '../checks/index.ts';
import type { MachineParams } from '../layouts/index.ts';
import type { Complaint, JobEvent, Reading } from '../schema/job.ts';
import { complaintLikelihood } from './complaint.ts';
import { Ensemble, MEMBERS, soundMembers, STRATA } from './ensemble.ts';
import { tell, type PlacedReading, type Story } from './events.ts';
import { pairs, SHARES, singles, SOUND_ID, type Hypothesis } from './hypotheses.ts';
import { likelihood, unclaimed } from './likelihood.ts';
import type { Model, ModelFault } from './model.ts';
import { shows } from './presence.ts';

/** A hypothesis weighed against everything that was read. */
export interface Weighed {
  readonly id: string;
  readonly faults: readonly ModelFault[];
  /** Faults that no repair has put right yet. */
  readonly remaining: readonly ModelFault[];
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
  private readonly ensembles = new Map<string, Ensemble>();
  private readonly logs = new WeakMap<Reading, Map<string, Float64Array>>();
  private readonly doubles = new Map<Complaint['pattern'], readonly Hypothesis[]>();
  private readonly checks: ReadonlyMap<string, Check>;

  constructor(model: Model) {
    this.model = model;
    this.sound = soundMembers(model);
    this.checks = new Map(model.checks.map((c) => [c.id, c]));
  }

  check(id: string): Check | undefined {
    return this.checks.get(id);
  }

  /** The members under these faults; the empty list is the sound machine. */
  ensemble(faults: readonly ModelFault[]): Ensemble {
    const key = faults.map((f) => f.id).join('+');
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

  private complaintOf(faults: readonly ModelFault[], complaint: Complaint): Float64Array {
    return this.ensemble(faults).figures(complaint.symptom, (scene) => complaintLikelihood(scene, complaint));
  }

  /** p(complaint | these faults), over the members. */
  complaintShare(faults: readonly ModelFault[], complaint: Complaint): number {
    const each = this.complaintOf(faults, complaint);
    return each.reduce((a, b) => a + b, 0) / each.length;
  }

  /** log p(reading | severity step) for each step of these faults. */
  readingLogs(faults: readonly ModelFault[], reading: Reading, check: Check, complaint: Complaint): Float64Array {
    const key = `${faults.map((f) => f.id).join('+')}|${complaint.pattern}`;
    let own = this.logs.get(reading);
    if (!own) this.logs.set(reading, (own = new Map()));
    let logs = own.get(key);
    if (!logs) own.set(key, (logs = this.computeLogs(faults, reading, check, complaint)));
    return logs;
  }

  private computeLogs(
    faults: readonly ModelFault[],
    reading: Reading,
    check: Check,
    complaint: Complaint,
  ): Float64Array {
    const s = faults.length === 0 ? 0 : shows(complaint, reading);
    const there = s > 0 ? this.ensemble(faults).predict(check) : undefined;
    const sound = s < 1 ? this.ensemble([]).predict(check) : undefined;
    const each = Float64Array.from({ length: MEMBERS }, (_, m) => {
      const withFault = there ? s * likelihood(check, there, reading.value, m).total : 0;
      const without = sound ? (1 - s) * likelihood(check, sound, reading.value, m).total : 0;
      return withFault + without;
    });
    return strataLogs(this.ensemble(faults), each);
  }

  private weigh(h: Hypothesis, story: Story, complaint: Complaint) {
    // A sound trail says nothing against the complaint: the trouble is then on another trail.
    const logs = h.faults.length
      ? strataLogs(this.ensemble(h.faults), this.complaintOf(h.faults, complaint))
      : new Float64Array(STRATA).fill(Math.log(OTHER_TRAIL));
    for (const placed of story.readings) {
      const check = this.checks.get(placed.reading.checkId);
      if (!check) continue;
      const add =
        check.whole && h.faults.length === 0
          ? new Float64Array(STRATA).fill(Math.log(unclaimed(check, placed.reading.value)))
          : this.readingLogs(seenBy(h.faults, placed), placed.reading, check, complaint);
      for (let m = 0; m < STRATA; m++) logs[m]! += add[m]!;
    }
    const top = Math.max(...logs);
    const strata = logs.map((l) => Math.exp(l - top));
    const sum = strata.reduce((a, b) => a + b, 0);
    return { h, log: Math.log(h.prior) + top + Math.log(sum / STRATA), strata: strata.map((w) => w / sum) };
  }

  weighAll(complaint: Complaint, events: readonly JobEvent[]): Belief {
    const story = tell(events);
    const first: Hypothesis[] = [{ id: SOUND_ID, faults: [], prior: SHARES.sound }, ...singles(this.model, complaint)];
    const weighed = first.map((h) => this.weigh(h, story, complaint));
    const single = weighed.filter((w) => w.h.faults.length === 1).sort((a, b) => b.log - a.log);
    const carried = this.carried(single, story);
    const doubles = carried.length
      ? pairs(this.model, complaint, carried, this.model.faults)
      : this.everyPair(complaint);
    const hopeful = this.hopeful(doubles, story, complaint, (single[0]?.log ?? -Infinity) - HOPELESS);
    const all = [...weighed, ...hopeful.map((h) => this.weigh(h, story, complaint))];
    const outsideLog = this.outsideLog(story);
    const top = Math.max(outsideLog, ...all.map((w) => w.log));
    const total = all.reduce((sum, w) => sum + Math.exp(w.log - top), Math.exp(outsideLog - top));
    return {
      story,
      outside: Math.exp(outsideLog - top) / total,
      weighed: all.map((w) => ({
        id: w.h.id,
        faults: w.h.faults,
        remaining: w.h.faults.filter((f) => !story.repaired.has(f.repairId)),
        mass: Math.exp(w.log - top) / total,
        strata: w.strata,
      })),
    };
  }

  /** Of the whole machine; only the pattern of a complaint weighs them anew. */
  private everyPair(complaint: Complaint): readonly Hypothesis[] {
    const { faults } = this.model;
    let known = this.doubles.get(complaint.pattern);
    if (!known) this.doubles.set(complaint.pattern, (known = pairs(this.model, complaint, faults, faults)));
    return known;
  }

  /**
   * The pairs worth simulating: as if the better of the two spoke for each reading, and for the complaint. Quick, since
   * only what each says alone is asked. Two that each stop a cylinder of a twin explain together what neither does
   * alone, so these are ranked apart, and only by what speaks for one of them. `from` is the least worth its time.
   */
  private hopeful(
    doubles: readonly Hypothesis[],
    story: Story,
    complaint: Complaint,
    from: number,
  ): readonly Hypothesis[] {
    const asked = story.readings.flatMap((placed) => {
      const check = this.checks.get(placed.reading.checkId);
      return check ? [{ placed, check }] : [];
    });
    const alone = new Map(
      this.model.faults.map((f) => [
        f,
        [
          Math.log(this.complaintShare([f], complaint)),
          ...asked.map(({ placed, check }) =>
            meanOf(this.readingLogs(seenBy([f], placed), placed.reading, check, complaint)),
          ),
        ],
      ]),
    );
    const best = (hopes: readonly Hypothesis[], least: number, most: number) =>
      hopes
        .map((h) => {
          const [one, other] = h.faults.map((f) => alone.get(f)!);
          const hope = one!.reduce((sum, log, k) => sum + Math.max(log, other![k]!, least), Math.log(h.prior));
          return { h, hope };
        })
        .filter(({ hope }) => hope > from)
        .sort((a, b) => b.hope - a.hope)
        .slice(0, most)
        .map(({ h }) => h);
    const twin = this.model.layout.fit.cylinders === 2;
    const oneEach = twin ? doubles.filter(({ faults: [a, b] }) => onEitherSide(a!, b!)) : [];
    return [
      ...new Set([...best(doubles, -Infinity, PAIRS_WEIGHED), ...best(oneEach, UNEXPLAINED, TWIN_PAIRS_WEIGHED)]),
    ];
  }

  /** Faults that a repair has put right and that really may have been there: another may stand behind them. */
  private carried(single: readonly { h: Hypothesis; log: number }[], story: Story): ModelFault[] {
    return [...story.repaired].flatMap((repairId) => {
      const own = single.filter((w) => w.h.faults[0]!.repairId === repairId);
      const best = Math.max(...own.map((w) => w.log));
      return own.filter((w) => Math.exp(w.log - best) > CARRIED).map((w) => w.h.faults[0]!);
    });
  }

  private outsideLog(story: Story): number {
    let log = Math.log(SHARES.outside) + Math.log(OTHER_TRAIL);
    for (const { reading } of story.readings) {
      const check = this.checks.get(reading.checkId);
      if (check) log += Math.log(unclaimed(check, reading.value));
    }
    return log;
  }
}

/** p(complaint) when the trail is sound: fuel, air, compression or timing then explain it. */
const OTHER_TRAIL = 0.25;

/** Mean over the members that speak for each step, as logarithms. */
function strataLogs(ensemble: Ensemble, each: Float64Array): Float64Array {
  return Float64Array.from(ensemble.strata, (share) => Math.log(share.reduce((sum, k, m) => sum + k * each[m]!, 0)));
}

const onEitherSide = ({ part: a }: ModelFault, { part: b }: ModelFault): boolean =>
  a.cylinder !== undefined && b.cylinder !== undefined && a.cylinder !== b.cylinder;

/** log of the mean over steps of severity. */
const meanOf = (logs: Float64Array): number => Math.log(logs.reduce((sum, l) => sum + Math.exp(l), 0) / logs.length);

const seenBy = (faults: readonly ModelFault[], placed: PlacedReading): ModelFault[] =>
  faults.filter((f) => !placed.repaired.has(f.repairId));
