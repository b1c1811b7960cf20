import { Lu } from '../lu.ts';
import { solveOperatingPoint } from '../operatingPoint.ts';
import type { Circuit, NodeName, SolveFailure } from '../types.ts';
import { Compiled, type Memory } from './compiled.ts';
import { breaksOf } from './waveform.ts';

export interface TransientOptions {
  /** Seconds to run. */
  until: number;
  /** Longest step, seconds; a fiftieth of the run, or of a sine's period, at most. */
  longest?: number;
  /** Start from the given initial values instead of the operating point. */
  fromInitial?: boolean;
  /** Allowed error of a step, as a share of the largest value that each memory has held. */
  relative?: number;
}

/** What happened: `at` are the accepted times, one column for each node and branch current. */
export interface Transient {
  ok: true;
  at: Float64Array;
  volts: (node: NodeName) => Float64Array;
  /** Current of a source, inductor or controlled source, first node to second. */
  amps: (id: string) => Float64Array;
  steps: number;
  rejected: number;
}
export type TransientFailure = SolveFailure | { ok: false; code: 'step-too-small'; seconds: number; node: NodeName };

const NEWTON = 60;
const NEWTON_RELATIVE = 1e-6;
/** Shortest step, as a share of the run, before giving up. */
const SHORTEST = 1e-12;
/** A switch or gap that changes is caught within this share of the longest step. */
const EVENT_SHARE = 2e-5;
/** Steps of backward Euler after a break: they damp what trapezoids would let ring. */
const DAMPED_STEPS = 2;
const DEFAULT_RELATIVE = 2e-4;
/** A sine is not a memory, so no error tells that it was stepped over: at least so many steps to its period. */
const STEPS_A_PERIOD = 50;

/**
 * Transient analysis by trapezoidal steps, each as long as its error allows, breaking at the corners of sources and
 * at the edges of switches and gaps [6]. What cannot be solved is a result with a code and a name.
 */
export function solveTransient(circuit: Circuit, options: TransientOptions): Transient | TransientFailure {
  return new Run(circuit, options).go();
}

class Run {
  private readonly c: Compiled;
  private readonly until: number;
  private readonly longest: number;
  private readonly relative: number;
  private readonly fromInitial: boolean;
  private readonly circuit: Circuit;
  private readonly matrix: Float64Array;
  private readonly rhs: Float64Array;
  private memory: Memory;
  /** Largest value each memory has held: the measure of its error. */
  private readonly scale: Float64Array;
  /** The last accepted states, newest first, for the prediction. */
  private history: { t: number; y: Float64Array }[] = [];
  private readonly times: number[] = [];
  private readonly rows: Float64Array[] = [];
  private rejected = 0;

  constructor(circuit: Circuit, options: TransientOptions) {
    this.circuit = circuit;
    this.c = new Compiled(circuit);
    this.until = options.until;
    this.longest = Math.min(
      options.longest ?? Infinity,
      options.until / 50,
      ...this.periods().map((p) => p / STEPS_A_PERIOD),
    );
    this.relative = options.relative ?? DEFAULT_RELATIVE;
    this.fromInitial = options.fromInitial ?? false;
    this.matrix = new Float64Array(this.c.size ** 2);
    this.rhs = new Float64Array(this.c.size);
    const { caps, coils } = this.c;
    this.memory = {
      capVolts: Float64Array.from(caps, ({ e }) => e.initialVolts ?? 0),
      capAmps: new Float64Array(caps.length),
      coilAmps: Float64Array.from(coils, ({ e }) => e.initialAmps ?? 0),
      coilVolts: new Float64Array(coils.length),
    };
    this.scale = new Float64Array(caps.length + coils.length);
  }

  go(): Transient | TransientFailure {
    const failed = this.begin();
    if (failed) return failed;
    const breaks = this.breaks();
    let [t, next, damped] = [0, 0, DAMPED_STEPS];
    let h = this.longest * 1e-3;
    while (t < this.until * (1 - 1e-12)) {
      while (next < breaks.length && breaks[next]! <= t * (1 + 1e-12) + 1e-18) next++;
      const stop = Math.min(breaks[next] ?? this.until, this.until);
      const wanted = Math.min(h, this.longest);
      // Land on a break rather than leave a sliver before it.
      const step = t + wanted * 1.001 >= stop ? stop - t : wanted;
      const trapezoidal = damped <= 0;
      const x = this.step(t + step, step, trapezoidal);
      const after = x && this.remember(x, step, trapezoidal);
      const error = after ? this.error(after, t + step) : Infinity;
      const event = x ? this.event(x) : -1;
      const tiny = step <= Math.max(this.until * SHORTEST, this.longest * EVENT_SHARE);
      if (!x || !after || (error > 1 && !tiny) || (event >= 0 && !tiny)) {
        if (step <= this.until * SHORTEST) return { ok: false, code: 'step-too-small', seconds: t, node: this.worst };
        this.rejected++;
        h = step * (event >= 0 || !x ? 0.25 : Math.max(0.2, 0.9 / Math.cbrt(error)));
        if (event >= 0) h = Math.max(h, this.longest * EVENT_SHARE * 0.9);
        continue;
      }
      t = step === stop - t ? stop : t + step;
      this.accept(t, x, after);
      damped--;
      h = step * Math.min(2, Math.max(0.3, 0.9 / Math.cbrt(Math.max(error, 1e-4))));
      if (event >= 0) this.toggle(event, x);
      if (event >= 0 || t === breaks[next]) {
        this.history = [];
        damped = DAMPED_STEPS;
        h = Math.min(h, this.longest * 1e-3);
      }
    }
    return this.result();
  }

  private worst: NodeName = '';

  /** State at time zero. */
  private begin(): SolveFailure | undefined {
    this.c.switches.forEach(({ e }, s) => {
      if (e.control) this.c.closed[s] = e.closed;
    });
    if (!this.fromInitial) {
      const point = solveOperatingPoint(this.circuit.elements);
      if (!point.ok) return point;
      this.c.caps.forEach(({ e }, n) => (this.memory.capVolts[n] = point.volts(e.a) - point.volts(e.b)));
      this.c.coils.forEach(({ e }, n) => (this.memory.coilAmps[n] = point.amps(e.id)));
    }
    // What the rest of the network does with these memories: a step too short to change them.
    const h = this.until * 1e-13;
    let x = this.step(0, h, false);
    for (let i = 0; x && i < 10 && this.event(x) >= 0; i++) {
      this.toggle(this.event(x), x);
      x = this.step(0, h, false);
    }
    if (!x) return { ok: false, code: 'not-converged', iterations: NEWTON, node: this.worst };
    this.accept(0, x, this.memory);
    this.history = [];
    return undefined;
  }

  private periods(): number[] {
    return this.c.sources.flatMap(({ e }) => (e.wave?.kind === 'sine' && e.wave.hertz > 0 ? [1 / e.wave.hertz] : []));
  }

  private breaks(): number[] {
    const all = this.c.sources.flatMap(({ e }) => (e.wave ? breaksOf(e.wave, this.until) : []));
    return [...new Set(all)].sort((a, b) => a - b);
  }

  /** Unknowns at `t` after a step of `h`, or nothing when Newton does not settle. */
  private step(t: number, h: number, trapezoidal: boolean): Float64Array | undefined {
    const { c } = this;
    let x = this.rows[this.rows.length - 1] ?? new Float64Array(c.size);
    const curved = c.curved.length > 0;
    for (let round = 0; round < NEWTON; round++) {
      c.linear(this.matrix, this.rhs, this.memory, t, h, trapezoidal);
      if (curved) c.bend(this.matrix, this.rhs, x);
      const lu = new Lu(this.matrix, c.size);
      if (lu.singularColumn >= 0) return undefined;
      const next = lu.solve(this.rhs);
      if (!curved || this.settled(x, next)) return next.every(Number.isFinite) ? next : undefined;
      x = next;
    }
    return undefined;
  }

  private settled(before: Float64Array, after: Float64Array): boolean {
    let largest = 0;
    for (let i = 0; i < after.length; i++) largest = Math.max(largest, Math.abs(after[i]!));
    for (let i = 0; i < after.length; i++) {
      const allowed = 1e-9 + NEWTON_RELATIVE * Math.abs(after[i]!) + 1e-12 * largest;
      if (!(Math.abs(after[i]! - before[i]!) <= allowed)) {
        this.worst = [...this.c.nodes, ...this.c.rows].find(([, k]) => k === i)?.[0] ?? '';
        return false;
      }
    }
    return true;
  }

  private remember(x: Float64Array, h: number, trapezoidal: boolean): Memory {
    const { c, memory } = this;
    const across = (i: number, j: number) => (i >= 0 ? x[i]! : 0) - (j >= 0 ? x[j]! : 0);
    const scale = (trapezoidal ? 2 : 1) / h;
    const capVolts = Float64Array.from(c.caps, ({ i, j }) => across(i, j));
    return {
      capVolts,
      capAmps: Float64Array.from(
        c.caps,
        ({ e }, n) => scale * e.farads * (capVolts[n]! - memory.capVolts[n]!) - (trapezoidal ? memory.capAmps[n]! : 0),
      ),
      coilAmps: Float64Array.from(c.coils, ({ k }) => x[k]!),
      coilVolts: Float64Array.from(c.coils, ({ i, j }) => across(i, j)),
    };
  }

  private static states(memory: Memory): Float64Array {
    const y = new Float64Array(memory.capVolts.length + memory.coilAmps.length);
    y.set(memory.capVolts);
    y.set(memory.coilAmps, memory.capVolts.length);
    return y;
  }

  /** Error of a step over what is allowed: how far it lies off the curve through the last states. */
  private error(after: Memory, t: number): number {
    const y = Run.states(after);
    const [a, b, d] = this.history;
    if (!a || !b) return 0;
    let worst = 0;
    for (let n = 0; n < y.length; n++) {
      let predicted: number;
      let share: number;
      const slope = (a.y[n]! - b.y[n]!) / (a.t - b.t);
      if (d) {
        const bend = (slope - (b.y[n]! - d.y[n]!) / (b.t - d.t)) / (a.t - d.t);
        predicted = a.y[n]! + (t - a.t) * (slope + (t - b.t) * bend);
        // A trapezoid errs by h³y‴/12, the parabola by (t−a)(t−b)(t−d)·y‴/6.
        const h = t - a.t;
        share = (h * h) / 2 / ((t - b.t) * (t - d.t));
      } else {
        predicted = a.y[n]! + (t - a.t) * slope;
        share = 0.3;
      }
      const allowed = this.relative * Math.max(this.scale[n]!, Math.abs(y[n]!)) + 1e-12;
      worst = Math.max(worst, (Math.abs(y[n]! - predicted) * share) / allowed);
    }
    return worst;
  }

  private accept(t: number, x: Float64Array, memory: Memory): void {
    this.memory = memory;
    const y = Run.states(memory);
    for (let n = 0; n < y.length; n++) this.scale[n] = Math.max(this.scale[n]!, Math.abs(y[n]!));
    this.history = [{ t, y }, ...this.history.slice(0, 2)];
    this.times.push(t);
    this.rows.push(x);
  }

  /** Index of a switch (or, after the switches, a gap) that would change with these unknowns; −1 if none. */
  private event(x: Float64Array): number {
    const { c } = this;
    const at = (row: number) => (row >= 0 ? x[row]! : 0);
    for (const [s, { e }] of c.switches.entries()) {
      if (!e.control) continue;
      const v = at(c.row(e.control.a)) - at(c.row(e.control.b));
      if (c.closed[s] ? v < e.control.opensAt : v > e.control.closesAt) return s;
    }
    for (const [s, { e, i, j }] of c.gaps.entries()) {
      const v = at(i) - at(j);
      const amps = (v - (c.polarity[s] ?? 0) * e.arcVolts) / e.arcOhms;
      if (c.struck[s] ? amps * c.polarity[s]! < e.holdAmps : Math.abs(v) > e.strikeVolts) return c.switches.length + s;
    }
    return -1;
  }

  private toggle(index: number, x: Float64Array): void {
    const { c } = this;
    if (index < c.switches.length) {
      c.closed[index] = !c.closed[index];
      return;
    }
    const s = index - c.switches.length;
    const { i, j } = c.gaps[s]!;
    c.struck[s] = !c.struck[s];
    c.polarity[s] = Math.sign((i >= 0 ? x[i]! : 0) - (j >= 0 ? x[j]! : 0)) || 1;
  }

  private result(): Transient {
    const column = (row: number) => Float64Array.from(this.rows, (x) => (row >= 0 ? x[row]! : 0));
    return {
      ok: true,
      at: Float64Array.from(this.times),
      steps: this.times.length - 1,
      rejected: this.rejected,
      volts: (node) => {
        if (node !== '0' && !this.c.nodes.has(node)) throw new RangeError(`No node "${node}" in this network`);
        return column(this.c.row(node));
      },
      amps: (id) => {
        const row = this.c.rows.get(id);
        if (row === undefined) throw new RangeError(`No current of "${id}" is kept: only of sources and inductors`);
        return column(row);
      },
    };
  }
}
