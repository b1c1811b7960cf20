import type { Memory } from './compiled.ts';

/**
 * How far a step errs, judged against the curve through the last accepted states of what remembers: a parabola when
 * there are three, a line when there are two. A trapezoid errs by h³y‴/12 where the parabola errs by
 * (t−a)(t−b)(t−d)·y‴/6, so a share of their distance is the trapezoid's own error.
 */
export class StepError {
  private readonly relative: number;
  /** Largest value each memory has held: the measure of its error. */
  private readonly scale: Float64Array;
  private readonly times: number[] = [];
  private readonly states: Float64Array[] = [];

  constructor(relative: number, memories: number) {
    this.relative = relative;
    this.scale = new Float64Array(memories);
  }

  private static value(memory: Memory, n: number): number {
    const stores = memory.capVolts.length;
    return n < stores ? memory.capVolts[n]! : memory.coilAmps[n - stores]!;
  }

  accept(t: number, memory: Memory): void {
    const y = new Float64Array(this.scale.length);
    for (let n = 0; n < y.length; n++) {
      y[n] = StepError.value(memory, n);
      this.scale[n] = Math.max(this.scale[n]!, Math.abs(y[n]!));
    }
    this.times.unshift(t);
    this.states.unshift(y);
    this.times.length = Math.min(3, this.times.length);
    this.states.length = Math.min(3, this.states.length);
  }

  /** Nothing before a break says anything about what comes after it. */
  forget(): void {
    this.times.length = 0;
    this.states.length = 0;
  }

  /** Error of a step to `t` over what is allowed. */
  of(after: Memory, t: number): number {
    const [ya, yb, yd] = this.states;
    if (!ya || !yb) return 0;
    const [a, b, d] = this.times as [number, number, number | undefined];
    const h = t - a;
    const share = d === undefined ? 0.3 : (h * h) / 2 / ((t - b) * (t - d));
    let worst = 0;
    for (let n = 0; n < ya.length; n++) {
      const y = StepError.value(after, n);
      const slope = (ya[n]! - yb[n]!) / (a - b);
      const bend = d === undefined ? 0 : (slope - (yb[n]! - yd![n]!) / (b - d)) / (a - d);
      const predicted = ya[n]! + h * (slope + (t - b) * bend);
      const allowed = this.relative * Math.max(this.scale[n]!, Math.abs(y)) + 1e-12;
      const error = (Math.abs(y - predicted) * share) / allowed;
      if (!(error <= worst)) worst = error;
    }
    return worst;
  }
}
