import { Assembly } from '../assembly.ts';
import { Elimination } from '../elimination.ts';
import { solveOperatingPoint } from '../operatingPoint.ts';
import type { Rows } from '../rows.ts';
import type { Circuit, NodeName, SolveFailure } from '../types.ts';
import { Compiled, type Memory } from './compiled.ts';
import { damping } from '../prepared.ts';
import { edge, Shutting, turn } from './edges.ts';
import { recorded, type Transient } from './record.ts';
import { StepError } from './stepError.ts';
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

export type TransientFailure = SolveFailure | { ok: false; code: 'step-too-small'; seconds: number; node: NodeName };

const NEWTON = 60;
/** A step of Newton's this small ends the search: what is left is its square, far below a step's own error. */
const NEWTON_RELATIVE = 1e-5;
/** A value that passes through zero is held to this share of the most it has been. */
const NEWTON_OF_PEAK = 0.1;
/** Shortest step, as a share of the run, before giving up. */
const SHORTEST = 1e-12;
/** A switch or gap that changes is caught within this share of the longest step. */
const EVENT_SHARE = 2e-5;
/** A diode that shuts is caught within this share of it: its current has all but gone by then. */
const SHUT_SHARE = 0.001;
/** And what follows begins with this share: nothing stiff is left. */
const SHUT_RESTART = 0.1;
/** Steps of backward Euler after a break: they damp what trapezoids would let ring. */
const DAMPED_STEPS = 2;
const DEFAULT_RELATIVE = 2e-4;
/** A sine is not a memory, so no error tells that it was stepped over: at least so many steps to its period. */
const STEPS_A_PERIOD = 50;

/**
 * Transient analysis by trapezoidal steps, each as long as its error allows, breaking at the corners of sources and
 * at the edges of switches and gaps [6]. What cannot be solved is a result with a code and a name. `rows` are those
 * of a circuit with the same nodes and branches, when they are known.
 */
export function solveTransient(circuit: Circuit, options: TransientOptions, rows?: Rows): Transient | TransientFailure {
  return new Run(new Compiled(circuit, rows), circuit, options).go();
}

class Run {
  private readonly c: Compiled;
  private readonly until: number;
  private readonly longest: number;
  private readonly fromInitial: boolean;
  private readonly circuit: Circuit;
  private readonly assembly: Assembly;
  private readonly straight: Assembly;
  private readonly pattern: readonly boolean[];
  private order: Elimination | undefined;
  private readonly judge: StepError;
  private readonly shutting: Shutting;
  private memory: Memory;
  /** Largest size of each unknown so far. */
  private readonly peaks: Float64Array;
  private readonly times: number[] = [];
  private readonly states: Float64Array[] = [];
  private rejected = 0;
  private smooth = false;
  /** The row that moved most in the last search. */
  private worst = 0;

  constructor(c: Compiled, circuit: Circuit, options: TransientOptions) {
    this.c = c;
    this.circuit = circuit;
    this.until = options.until;
    const periods = c.waves.flatMap((wave) => (wave.kind === 'sine' && wave.hertz > 0 ? [1 / wave.hertz] : []));
    this.longest = Math.min(options.longest ?? Infinity, options.until / 50, ...periods.map((p) => p / STEPS_A_PERIOD));
    this.fromInitial = options.fromInitial ?? false;
    this.assembly = new Assembly(c.rows.size);
    this.pattern = c.pattern();
    this.peaks = new Float64Array(c.rows.size);
    this.straight = c.bent ? new Assembly(c.rows.size) : this.assembly;
    this.memory = {
      capVolts: Float64Array.from(c.stores, ({ e }) => e.initialVolts ?? (e.type === 'gas-space' ? e.restPascals : 0)),
      capAmps: new Float64Array(c.stores.length),
      coilAmps: Float64Array.from(c.coils, ({ e }) => e.initialAmps ?? 0),
      coilVolts: new Float64Array(c.coils.length),
    };
    this.judge = new StepError(options.relative ?? DEFAULT_RELATIVE, c.stores.length + c.coils.length);
    this.shutting = new Shutting(c);
  }

  go(): Transient | TransientFailure {
    const failed = this.begin();
    if (failed) return failed;
    const breaks = this.breaks();
    const shortest = this.until * SHORTEST;
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
      const error = after ? this.judge.of(after, t + step) : Infinity;
      const event = x ? edge(this.c, x) : -1;
      const shuts = x !== undefined && this.shutting.shuts(x);
      const tiny = step <= Math.max(shortest, this.longest * EVENT_SHARE);
      const caught = step <= this.longest * SHUT_SHARE;
      if (!x || !after || (error > 1 && !tiny) || (event >= 0 && !tiny) || (shuts && (!caught || trapezoidal))) {
        if (step <= shortest)
          return { ok: false, code: 'step-too-small', seconds: t, node: this.c.rows.nameOf(this.worst) };
        this.rejected++;
        if (shuts && caught && trapezoidal && event < 0) damped = DAMPED_STEPS;
        else if (event >= 0) h = Math.max(0.25 * step, this.longest * EVENT_SHARE * 0.9);
        else if (!x || (shuts && !caught)) h = step * 0.25;
        else h = step * Math.max(0.2, 0.9 / Math.cbrt(error));
        continue;
      }
      t = step === stop - t ? stop : t + step;
      this.accept(t, x, after);
      damped--;
      h = step * Math.min(2, Math.max(0.3, 0.9 / Math.cbrt(Math.max(error, 1e-4))));
      if (event >= 0) turn(this.c, event, x);
      if (event >= 0 || shuts || t === breaks[next]) {
        this.judge.forget();
        this.smooth = false;
        damped = DAMPED_STEPS;
        h = Math.min(h, this.longest * (shuts ? SHUT_RESTART : 1e-3));
      }
    }
    return recorded(this.c.rows, this.times, this.states, this.rejected);
  }

  /** State at time zero. */
  private begin(): SolveFailure | undefined {
    const { c, memory } = this;
    if (!this.fromInitial) {
      const point = solveOperatingPoint(this.circuit.elements, this.circuit.leak);
      if (!point.ok) return point;
      c.stores.forEach(({ e }, n) => (memory.capVolts[n] = point.volts(e.a) - point.volts(e.b)));
      c.coils.forEach(({ e }, n) => (memory.coilAmps[n] = point.amps(e.id)));
    }
    // What the rest of the network does with these memories: a step too short to change them.
    const h = this.until * 1e-13;
    let x = this.step(0, h, false);
    for (let i = 0; x && i < 10 && edge(c, x) >= 0; i++) {
      turn(c, edge(c, x), x);
      x = this.step(0, h, false);
    }
    if (!x) return { ok: false, code: 'not-converged', iterations: NEWTON, node: this.c.rows.nameOf(this.worst) };
    this.accept(0, x, memory);
    this.judge.forget();
    this.smooth = false;
    return undefined;
  }

  private breaks(): number[] {
    const all = this.c.waves.flatMap((wave) => breaksOf(wave, this.until));
    return [...new Set(all)].sort((a, b) => a - b);
  }

  /** Unknowns at `t` after a step of `h`, or nothing when Newton does not settle. */
  private step(t: number, h: number, trapezoidal: boolean): Float64Array | undefined {
    const { c, assembly, straight, memory } = this;
    let x = this.guess(t);
    c.linear(straight, memory, t, h, trapezoidal);
    if (!c.bent) {
      const next = this.solve(() => c.linear(straight, memory, t, h, trapezoidal));
      return next && finite(next) ? next : undefined;
    }
    const assemble = () => {
      assembly.copy(straight);
      assembly.guess = x;
      c.bend(assembly, memory, h, trapezoidal);
    };
    for (let round = 0; round < NEWTON; round++) {
      assemble();
      const next = this.solve(assemble);
      if (!next) return undefined;
      if (this.settled(x, next)) return finite(next) ? next : undefined;
      const share = damping(round);
      const from = x;
      x = share === 1 ? next : from.map((v, i) => v + share * (next[i]! - v));
    }
    return undefined;
  }

  /** Where Newton's search begins: on the line through the last two states, if no break lies between. */
  private guess(t: number): Float64Array {
    const { states, times, smooth } = this;
    const last = states.length - 1;
    const a = states[last];
    const b = states[last - 1];
    if (!a || !b || !smooth) return a ?? new Float64Array(this.c.rows.size);
    const share = (t - times[last]!) / (times[last]! - times[last - 1]!);
    const ahead = new Float64Array(a.length);
    for (let n = 0; n < a.length; n++) ahead[n] = a[n]! + share * (a[n]! - b[n]!);
    return ahead;
  }

  /** Solves what stands assembled, in the order of the last matrix if that still serves; `again` assembles it anew. */
  private solve(again: () => void): Float64Array | undefined {
    const { matrix, rhs, size } = this.assembly;
    if (!this.order?.factor(matrix)) {
      if (this.order) again();
      this.order = new Elimination(this.pattern, matrix, size);
      if (this.order.singularColumn >= 0 || !this.order.factor(matrix)) {
        this.order = undefined;
        return undefined;
      }
    }
    return this.order.solve(matrix, rhs);
  }

  private settled(before: Float64Array, after: Float64Array): boolean {
    let largest = 0;
    for (let i = 0; i < after.length; i++) largest = Math.max(largest, Math.abs(after[i]!));
    const least = 1e-9 + 1e-12 * largest;
    for (let i = 0; i < after.length; i++) {
      const scale = Math.max(Math.abs(after[i]!), NEWTON_OF_PEAK * this.peaks[i]!);
      if (Math.abs(after[i]! - before[i]!) <= least + NEWTON_RELATIVE * scale) continue;
      this.worst = i;
      return false;
    }
    return true;
  }

  private remember(x: Float64Array, h: number, trapezoidal: boolean): Memory {
    const { c, memory } = this;
    const scale = (trapezoidal ? 2 : 1) / h;
    const across = (i: number, j: number) => (i >= 0 ? x[i]! : 0) - (j >= 0 ? x[j]! : 0);
    const [stores, coils] = [c.stores.length, c.coils.length];
    const after: Memory = {
      capVolts: new Float64Array(stores),
      capAmps: new Float64Array(stores),
      coilAmps: new Float64Array(coils),
      coilVolts: new Float64Array(coils),
    };
    for (let n = 0; n < stores; n++) {
      const { i, j } = c.stores[n]!;
      const v = across(i, j);
      after.capVolts[n] = v;
      const moved = c.amount(n, v) - c.amount(n, memory.capVolts[n]!);
      after.capAmps[n] = scale * moved - (trapezoidal ? memory.capAmps[n]! : 0);
    }
    for (let n = 0; n < coils; n++) {
      const { i, j, k } = c.coils[n]!;
      after.coilAmps[n] = x[k]!;
      after.coilVolts[n] = across(i, j);
    }
    return after;
  }

  private accept(t: number, x: Float64Array, memory: Memory): void {
    this.memory = memory;
    this.judge.accept(t, memory);
    this.shutting.accept(x);
    this.smooth = true;
    for (let i = 0; i < x.length; i++) {
      const size = Math.abs(x[i]!);
      if (size > this.peaks[i]!) this.peaks[i] = size;
    }
    this.times.push(t);
    this.states.push(x);
  }
}

/** A plain loop: it is asked of every step. */
function finite(x: Float64Array): boolean {
  for (let i = 0; i < x.length; i++) if (!Number.isFinite(x[i]!)) return false;
  return true;
}
