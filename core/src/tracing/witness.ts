import type { Check } from '../trails/checks.ts';
import { freeCheck, freeProbeId } from '../trails/freeProbe.ts';
import type { FreeProbe } from '../schema/freeProbe.ts';
import type { MachineParams } from '../machine/known.ts';
import type { Complaint, JobEvent, Reading } from '../schema/job.ts';
import { complaintKey, complaintLikelihood, eachSymptom } from '../engine/complaint.ts';
import { Ensemble, soundMembers } from './ensemble.ts';
import type { PlacedReading } from './events.ts';
import { CAREFUL, type Hands } from './likelihood.ts';
import { LogCache, type Sayings } from './logCache.ts';
import { logSum } from './logs.ts';
import { values } from './outside.ts';
import { Repeated } from './repeated.ts';
import type { Model, ModelFault } from './model.ts';
import { besideFellow, type Predicted } from './prediction.ts';
import { shows } from './presence.ts';
import { SoundBands } from './soundBand.ts';
import { wellWord } from './wellWord.ts';

/** Sets of faults whose members are kept; of more, those of several are made anew. */
const ENSEMBLES_KEPT = 600;

/** One of several alike that was read before another. */
interface Fellow {
  readonly reading: Reading;
  readonly check: Check;
  readonly read: number;
}

/** What sets of faults say of a complaint and of each reading, by the simulated members of one machine. */
export class Witness {
  readonly model: Model;
  private readonly sound: readonly MachineParams[];
  readonly ensembles = new Map<string, Ensemble>();
  private readonly logs = new LogCache();
  private readonly fellows = new WeakMap<PlacedReading, Fellow | null>();
  private soundBands: SoundBands | undefined;
  protected readonly checks: Map<string, Check>;

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

  /** What is simulated whatever is asked: the sound machine, and each fault alone. */
  get alone(): readonly (readonly ModelFault[])[] {
    return [[], ...this.model.faults.map((f) => [f])];
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

  /** How often each member of these faults brings a complaint; of two symptoms, both. */
  protected broughtBy(faults: readonly ModelFault[], complaint: Complaint): Float64Array {
    const [one, ...more] = eachSymptom(complaint).map((told) =>
      this.ensemble(faults).figures(complaintKey(told), (s) => complaintLikelihood(s, told)),
    );
    return more.reduce((both, other) => both.map((p, m) => p * other[m]!), one!);
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
  protected saidBy(
    faults: readonly ModelFault[],
    placed: PlacedReading,
    check: Check,
    complaint: Complaint,
    hands: Hands,
  ) {
    const there = shows(complaint, placed.reading);
    const fellow = this.fellowOf(placed, check);
    const against = fellow && shows(complaint, fellow.reading) === there ? fellow : undefined;
    const said = this.logs.of(placed, complaint, hands, against?.reading);
    const ensemble = this.ensemble(faults);
    const predict = (e: Ensemble) => (against ? this.beside(e, check, against, said) : e.predict(check));
    const sound = predict(ensemble.sound);
    const predicted = there > 0 ? predict(ensemble) : sound;
    let own = said.by.get(predicted);
    if (!own) {
      // What none of these faults changes reads as it would without them, whether they were there or away.
      const share = predicted === sound ? 0 : there;
      const each = this.chances({ predicted, sound, share }, placed, check, complaint, hands, said);
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
    { predicted, sound, share }: { predicted: Predicted; sound: Predicted; share: number },
    { reading, earlier }: PlacedReading,
    check: Check,
    complaint: Complaint,
    hands: Hands,
    said: Sayings,
  ): Float64Array {
    // Where a fault may have come or gone between them, a repeat is a reading of its own.
    const same = share === 0 || (share === 1 && earlier.every((r) => shows(complaint, r) === 1));
    const repeated = same
      ? (said.together ??= new Repeated(check, values(earlier), reading.value, hands, wellWord(this.model, check)))
      : (said.alone ??= new Repeated(check, [], reading.value, hands, wellWord(this.model, check)));
    const there = repeated.of(predicted);
    if (share === 0 || share === 1) return there;
    const away = repeated.of(sound);
    return there.map((p, m) => share * p + (1 - share) * away[m]!);
  }

  /** The first of its fellows that was read before it, nothing having been put right between. */
  private fellowOf(placed: PlacedReading, { beside }: Check): Fellow | undefined {
    if (!beside?.shares || placed.reading.value.kind !== 'number') return undefined;
    let known = this.fellows.get(placed);
    if (known === undefined) {
      known = null;
      for (const { reading } of placed.since.slice(0, placed.since.indexOf(placed))) {
        const check = this.checks.get(reading.checkId);
        if (check?.beside?.what !== beside.what || check.beside.n === beside.n) continue;
        if (reading.value.kind !== 'number') continue;
        known = { reading, check, read: reading.value.value };
        break;
      }
      this.fellows.set(placed, known);
    }
    return known ?? undefined;
  }

  private beside(ensemble: Ensemble, check: Check, fellow: Fellow, { beside }: Sayings): Predicted {
    const [own, other] = [ensemble.predict(check), ensemble.predict(fellow.check)];
    let byOther = beside.get(own);
    if (!byOther) beside.set(own, (byOther = new Map()));
    let known = byOther.get(other);
    if (!known) byOther.set(other, (known = besideFellow(check, own, other, fellow.read)));
    return known;
  }
}

/** Mean over the members that speak for each step, as logarithms. */
export function strataLogs(strata: Ensemble['strata'], each: Float64Array): Float64Array {
  return Float64Array.from(strata, (share) => Math.log(share.reduce((sum, k, m) => sum + k * each[m]!, 0)));
}

/** Names a set of faults; asked for so often that one of them alone is not put together. */
const nameOf = (faults: readonly ModelFault[]): string =>
  faults.length === 1 ? faults[0]!.id : faults.map((f) => f.id).join('+');
