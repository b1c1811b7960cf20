import type { Check } from '../checks/index.ts';
import { INSTRUMENTS, toRuler } from '../instruments/index.ts';
import { Scene, type MachineParams } from '../layouts/index.ts';
import { normalCdf, seededRandom } from '../random/lcg.ts';
import { drawSound, withFault } from './draw.ts';
import type { Model, ModelFault } from './model.ts';

/**
 * How many machines stand for "this machine, with this fault": each has its own draw of the tolerances and its own
 * severity. The same draws serve every hypothesis, so differences between hypotheses are not differences of luck.
 */
export const MEMBERS = 8;
/** Kernel widths on the ruler: a fault of any severity is a continuum, of which the members are samples. */
const WIDEST_KERNEL = 0.35;
const NEIGHBOUR_SHARE = 0.5;
/** Share of the tolerances' standard deviation, after Silverman's rule for this many members (1.06·n^−⅕ ≈ 0.7). */
const TOLERANCE_SHARE = 0.75;

/**
 * Predicted reading of each member: positions and kernel widths on the ruler, or shares of words. `open` is the chance
 * that the meter shows OL; `loose` is what a machine further off its plate than it should be may add to the width.
 */
export type Predicted =
  | { kind: 'number'; at: Float64Array; width: Float64Array; open: Float64Array; loose: number }
  | { kind: 'word'; shares: readonly Readonly<Record<string, number>>[] };

export function soundMembers(model: Model): MachineParams[] {
  const random = seededRandom(20_011);
  return Array.from({ length: MEMBERS }, () => drawSound(model, random));
}

/** Severities that cover 0…1 evenly; a second fault takes them in another order. */
const severity = (member: number, fault: number): number =>
  ((fault === 0 ? member : (member * 5 + 3) % MEMBERS) + 0.5) / MEMBERS;

/** Steps of severity that readings can tell apart; what a reading says of tolerances is not carried to the next. */
export const STRATA = 4;

/**
 * How much of each member speaks for each step of severity (rows sum to 1): the near ones most, so that a few members
 * stand for a continuum. Without severity, or with two faults, every member speaks for every step alike.
 */
const NEAR: readonly Float64Array[] = Array.from({ length: STRATA }, (_, stratum) => {
  const centre = (stratum + 0.5) / STRATA;
  const raw = Float64Array.from({ length: MEMBERS }, (_v, m) => Math.exp(-(((severity(m, 0) - centre) / 0.16) ** 2)));
  const sum = raw.reduce((a, b) => a + b, 0);
  return raw.map((v) => v / sum);
});
const ALIKE: readonly Float64Array[] = Array.from({ length: STRATA }, () =>
  new Float64Array(MEMBERS).fill(1 / MEMBERS),
);

/** The members under one set of faults, with what each check would read on them; computed when first asked. */
export class Ensemble {
  readonly scenes: readonly Scene[];
  /** strata[s][m]: how much member m speaks for severity step s. */
  readonly strata: readonly Float64Array[];
  /** Whether severity makes a difference at all. */
  readonly graded: boolean;
  private readonly known = new Map<string, Predicted>();
  private readonly faults: readonly ModelFault[];
  private readonly without: Ensemble | undefined;

  /** `without` is the ensemble of the sound machine: faults on the spark's side leave its network as it is. */
  constructor(model: Model, sound: readonly MachineParams[], faults: readonly ModelFault[], without?: Ensemble) {
    this.faults = faults;
    this.without = without;
    this.graded = faults.length === 1 && comesInDegrees(model, sound[0]!, faults[0]!);
    this.strata = this.graded ? NEAR : ALIKE;
    this.scenes = sound.map((params, member) => {
      const failed = faults.reduce((p, f, k) => withFault(model, p, f, severity(member, k)), params);
      return new Scene(model.layout, failed, without?.scenes[member]);
    });
  }

  predict(check: Check): Predicted {
    let known = this.known.get(check.id);
    if (!known) {
      known =
        this.without && !this.faults.some((f) => touches(check, f)) ? this.without.predict(check) : this.compute(check);
      this.known.set(check.id, known);
    }
    return known;
  }

  private compute(check: Check): Predicted {
    const instrument = INSTRUMENTS[check.instrument];
    const outcomes = this.scenes.map((scene) => instrument.observe(scene, check));
    const dimension = instrument.dimension;
    if (dimension === undefined) {
      return { kind: 'word', shares: outcomes.map((o) => (o.kind === 'category' ? o.shares : {})) };
    }
    const values = outcomes.map((o) => (o.kind === 'number' ? o.value : NaN));
    const at = Float64Array.from(values, (v) => (v < Infinity ? toRuler(v, dimension) : NaN));
    const meter = values.map((v) => {
      if (!(v < Infinity)) return 0;
      const error = instrument.error(v);
      return (toRuler(v + error, dimension) - toRuler(v - error, dimension)) / 2;
    });
    const tolerance = this.graded ? roughness(at) : spread(at);
    const width = kernels(at, meter, tolerance);
    // A reading near the end of the meter's range is OL on some days and a number on others.
    const limit = instrument.limit === undefined ? Infinity : toRuler(instrument.limit, dimension);
    const open = at.map((u, m) =>
      Number.isNaN(u) ? Number(values[m] === Infinity) : normalCdf((u - limit) / width[m]!),
    );
    return { kind: 'number', at, width, open, loose: Math.min(WIDEST_KERNEL, tolerance) };
  }
}

/** Whether the fault comes in degrees at all. */
function comesInDegrees(model: Model, sound: MachineParams, { mode, part }: ModelFault): boolean {
  const at = (degree: number) => JSON.stringify(mode.apply(sound[part.id]!, degree, model.layout.fit));
  return at(0.1) !== at(0.9);
}

/** Whether a fault can change what the check reads: a part on the bench knows nothing of the others. */
function touches({ probe }: Check, fault: ModelFault): boolean {
  if (probe.kind === 'ohms' && probe.bench !== undefined) return probe.bench === fault.part.id;
  return probe.kind === 'across' || probe.kind === 'ohms' ? !fault.part.apart : true;
}

const spread = (at: Float64Array): number => {
  const values = at.filter((u) => !Number.isNaN(u));
  if (values.length < 2) return 0;
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  return Math.sqrt(values.reduce((sum, u) => sum + (u - mean) ** 2, 0) / (values.length - 1));
};

/**
 * Spread that tolerances alone give a reading whose severity grows from member to member: how far each lies off the
 * line between its neighbours, as a standard deviation (median × 1.48, and √⅔ for the neighbours' own share).
 */
function roughness(at: Float64Array): number {
  const off: number[] = [];
  for (let m = 1; m < at.length - 1; m++) {
    const gap = Math.abs(at[m]! - (at[m - 1]! + at[m + 1]!) / 2);
    if (!Number.isNaN(gap)) off.push(gap);
  }
  off.sort((a, b) => a - b);
  return off.length ? 1.48 * Math.sqrt(2 / 3) * off[off.length >> 1]! : spread(at);
}

/** Each member's kernel: the meter's error, widened for tolerances and to bridge the distance to its neighbours. */
function kernels(at: Float64Array, meter: readonly number[], tolerance: number): Float64Array {
  const order = [...at.keys()].filter((i) => !Number.isNaN(at[i]!)).sort((a, b) => at[a]! - at[b]!);
  const width = new Float64Array(at.length);
  order.forEach((member, rank) => {
    const below = at[order[Math.max(0, rank - 1)]!]!;
    const above = at[order[Math.min(order.length - 1, rank + 1)]!]!;
    const bridge = Math.max(NEIGHBOUR_SHARE * ((above - below) / 2), TOLERANCE_SHARE * tolerance);
    width[member] = Math.hypot(meter[member]!, Math.min(WIDEST_KERNEL, bridge), 0.004);
  });
  return width;
}

/** Weight of each member, from the weight of each step of severity. Sum 1. */
export function memberWeights(ensemble: Ensemble, steps: Float64Array): Float64Array {
  return Float64Array.from({ length: MEMBERS }, (_, m) =>
    steps.reduce((sum, w, s) => sum + w * ensemble.strata[s]![m]!, 0),
  );
}
