import type { Check } from '../trails/checks.ts';
import { INSTRUMENTS, type Outcome } from '../instruments/index.ts';
import type { Footprint } from '../machine/footprint.ts';
import { Scene } from '../machine/scene.ts';
import { type MachineParams } from '../machine/known.ts';
import { drawEvenly, withFault } from './draw.ts';
import type { Model, ModelFault } from './model.ts';
import { alike, pickedUpBy, predictedOf, type Predicted } from './prediction.ts';

/**
 * How many machines stand for "this machine, with this fault": each has its own draw of the tolerances and its own
 * severity. The same draws serve every hypothesis, so differences between hypotheses are not differences of luck.
 */
export const MEMBERS = 8;
const EVERYONE: readonly number[] = Array.from({ length: MEMBERS }, (_, m) => m);
/** The slightest and the severest of a fault: where neither reads unlike the sound machine, none between does. */
const ENDS: readonly number[] = [0, MEMBERS - 1];
/** Words and complaints may come in the middle alone: one that starves by half stalls, worse it never starts. */
const ALONG: readonly number[] = [0, 3, 5, MEMBERS - 1];

export const soundMembers = (model: Model): MachineParams[] => drawEvenly(model, MEMBERS);

/** Severities that cover 0…1 evenly; of several faults each takes them in another order. */
const severity = (member: number, fault: number): number =>
  (((member * STRIDES[fault % STRIDES.length]! + 3 * fault) % MEMBERS) + 0.5) / MEMBERS;
/** How each fault of several walks through the members: no two alike. */
const STRIDES = [1, 5, 3, 7] as const;

/** Steps of severity that readings can tell apart; what a reading says of tolerances is not carried to the next. */
export const STRATA = 4;

/**
 * How far a member's word carries along the severities: of readings, whose tolerances scatter; and of the complaint,
 * where what is slight must not be complained of as what is bad.
 */
const NEARNESS = { reading: 0.13, complaint: 0.07 } as const;

/**
 * How much of each member speaks for each step of severity (rows sum to 1): the near ones most, so that a few members
 * stand for a continuum. Without severity, or with two faults, every member speaks for every step alike.
 */
const near = (width: number): readonly Float64Array[] =>
  Array.from({ length: STRATA }, (_, stratum) => {
    const centre = (stratum + 0.5) / STRATA;
    const raw = Float64Array.from({ length: MEMBERS }, (_v, m) =>
      Math.exp(-(((severity(m, 0) - centre) / width) ** 2)),
    );
    const sum = raw.reduce((a, b) => a + b, 0);
    return raw.map((v) => v / sum);
  });
const NEAR = near(NEARNESS.reading);
const COMPLAINED = near(NEARNESS.complaint);
const ALIKE: readonly Float64Array[] = Array.from({ length: STRATA }, () =>
  new Float64Array(MEMBERS).fill(1 / MEMBERS),
);

/** What a check reads on every member, and what of the machine that depends on. */
interface Observed<T> {
  readonly each: readonly T[];
  readonly footprint: Footprint;
}

/** The members under one set of faults, with what each check would read on them; computed when first asked. */
export class Ensemble {
  /** strata[s][m]: how much member m speaks for severity step s. */
  readonly strata: readonly Float64Array[];
  /** The same for what is complained of. */
  readonly complained: readonly Float64Array[];
  /** Of a single fault: which of the model's it is. */
  readonly place: number | undefined;
  /** Whether severity makes a difference at all. */
  readonly graded: boolean;
  /** What has been predicted so far; an answer shared with a simpler account is the same object. */
  readonly predicted = new Map<Check, Predicted>();
  readonly figured = new Map<string, Float64Array>();
  private readonly outcomes = new Map<unknown, Observed<unknown>>();
  private readonly made: (Scene | undefined)[] = [];
  private readonly seconds: (Scene | undefined)[] = [];
  private readonly model: Model;
  private readonly members: readonly MachineParams[];
  readonly faults: readonly ModelFault[];
  /** Of the sound machine; of two faults, of each alone. What they do not tell apart is theirs. */
  readonly simpler: readonly Ensemble[];

  constructor(
    model: Model,
    members: readonly MachineParams[],
    faults: readonly ModelFault[],
    simpler: readonly Ensemble[],
  ) {
    this.model = model;
    this.members = members;
    this.faults = faults;
    this.simpler = simpler;
    this.graded = faults.length === 1 && comesInDegrees(model, members[0]!, faults[0]!);
    this.strata = this.graded ? NEAR : ALIKE;
    this.complained = this.graded ? COMPLAINED : ALIKE;
    this.place = faults.length === 1 ? model.faults.indexOf(faults[0]!) : undefined;
  }

  /** A member's machine; made when something is asked of it. */
  scene(member: number): Scene {
    return (this.made[member] ??= this.make(member));
  }
  private make(member: number): Scene {
    return this.built(
      member,
      this.faults.map((_, k) => k),
      this.alone(member),
    );
  }
  /** `places` are those of its faults: which takes its severities in which order. */
  private built(member: number, places: readonly number[], alone: readonly Scene[] = []): Scene {
    const failed = this.faults.reduce(
      (p, f, k) => withFault(this.model, p, f, severity(member, places[k]!)),
      this.members[member]!,
    );
    const base = this.faults.length ? this.sound.scene(member) : undefined;
    return new Scene(this.model.machine, failed, base, undefined, alone);
  }
  /** Of two faults in two parts: the machines with each. The second comes in another severity than it has by itself. */
  private alone(member: number): Scene[] {
    const [a, b, third] = this.faults;
    if (!a || !b || third || a.part.id === b.part.id) return [];
    return [this.simpler[0]!.scene(member), this.simpler[1]!.second(member)];
  }
  /** A member with this fault as the second of two: in another severity than it has by itself. */
  private second(member: number): Scene {
    return (this.seconds[member] ??= this.built(member, [1]));
  }
  get sound(): Ensemble {
    return this.simpler[0]?.sound ?? this;
  }

  predict(check: Check): Predicted {
    let known = this.predicted.get(check);
    if (!known) {
      const instrument = INSTRUMENTS[check.instrument];
      const see = (scene: Scene): Outcome => instrument.observe(scene, check);
      known = this.shared((e) => e.predict(check));
      if (!known) {
        const seen = this.observe(check, see, (a, b) => alike(check, a, b), instrument.dimension === undefined);
        known =
          seen instanceof Ensemble
            ? seen.predict(check)
            : predictedOf(check, seen, this.graded, pickedUpBy(check, this.sound.seen(check)));
      }
      this.predicted.set(check, known);
    }
    return known;
  }

  /** A figure of every member, such as how likely it is to be complained of; `key` names it. */
  figures(key: string, of: (scene: Scene) => number): Float64Array {
    let known = this.figured.get(key);
    if (!known) {
      const own = () => this.observe(key, of, (a, b) => Math.abs(a - b) < FIGURE_NEAR, true);
      const found = this.shared((e) => e.figures(key, of)) ?? own();
      this.figured.set(key, (known = found instanceof Ensemble ? found.figures(key, of) : Float64Array.from(found)));
    }
    return known;
  }

  /** What a check reads of the sound machine, whatever fails. */
  dependsOn(check: Check): Footprint {
    return this.sound.ofSound(check).footprint;
  }
  /** What a check shows of each sound member. */
  private seen(check: Check): readonly Outcome[] {
    return this.sound.ofSound(check).each;
  }
  private ofSound(check: Check): Observed<Outcome> {
    return this.observed(check, (scene) => INSTRUMENTS[check.instrument].observe(scene, check));
  }

  /** Of two faults: what one of them alone says, where the other changes nothing. */
  private shared<T>(of: (ensemble: Ensemble) => T): T | undefined {
    if (this.faults.length < 2) return undefined;
    const sound = of(this.sound);
    const telling = this.simpler.map(of).filter((said) => said !== sound);
    return telling.length > 1 ? undefined : (telling[0] ?? sound);
  }

  /**
   * What is seen of every member. Where the fault is none of what it depends on, or neither end of its severity changes
   * it, the sound ensemble is given back instead. A fault without degrees may yet show in words where the tolerances
   * leave little margin (`soft`): there every member is asked.
   */
  private observe<T>(
    key: unknown,
    see: (scene: Scene) => T,
    near: (a: T, b: T) => boolean,
    soft: boolean,
  ): readonly T[] | Ensemble {
    if (this.faults.length > 1) return EVERYONE.map((m) => see(this.scene(m)));
    if (this.faults.length === 0) return this.observed(key, see).each;
    const without = this.sound;
    const { each, footprint } = without.observed(key, see);
    if (!ENDS.some((m) => this.scene(m).touches(footprint))) return without;
    const asked = soft ? (this.graded ? ALONG : EVERYONE) : ENDS;
    const seen = new Map(asked.map((m) => [m, see(this.scene(m))]));
    if (asked.every((m) => near(seen.get(m)!, each[m]!))) return without;
    return EVERYONE.map((m) => seen.get(m) ?? see(this.scene(m)));
  }
  /** Of the sound machine: kept, for every fault is held against it. */
  private observed<T>(key: unknown, see: (scene: Scene) => T): Observed<T> {
    let known = this.outcomes.get(key) as Observed<T> | undefined;
    if (!known) {
      const { scene, footprint } = this.scene(0).watched();
      const first = see(scene);
      const each = EVERYONE.map((m) => (m === 0 ? first : see(this.scene(m))));
      this.outcomes.set(key, (known = { each, footprint }));
    }
    return known;
  }
}

/** Two chances nearer than this are the same complaint. */
const FIGURE_NEAR = 1e-4;

/** Whether the fault comes in degrees at all. */
function comesInDegrees(model: Model, sound: MachineParams, { mode, part }: ModelFault): boolean {
  const at = (degree: number) => JSON.stringify(mode.apply(sound[part.id]!, degree, model.machine.fit));
  return at(0.1) !== at(0.9);
}

/** Weight of each member, from the weight of each step of severity. Sum 1. */
export function memberWeights(ensemble: Ensemble, steps: Float64Array): Float64Array {
  return Float64Array.from({ length: MEMBERS }, (_, m) =>
    steps.reduce((sum, w, s) => sum + w * ensemble.strata[s]![m]!, 0),
  );
}
