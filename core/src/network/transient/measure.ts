/** A recorded quantity: its times and values, as a transient gives them. */
export interface Trace {
  at: Float64Array;
  values: Float64Array;
}

/** Value at a time, straight between the accepted steps. */
export function valueAt({ at, values }: Trace, t: number): number {
  let [low, high] = [0, at.length - 1];
  if (t <= at[0]!) return values[0]!;
  if (t >= at[high]!) return values[high]!;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (at[middle]! <= t) low = middle;
    else high = middle;
  }
  const share = (t - at[low]!) / (at[high]! - at[low]!);
  return values[low]! + share * (values[high]! - values[low]!);
}

/** The samples inside a window, with its ends put in. */
function within(trace: Trace, from: number, to: number): { t: number[]; v: number[] } {
  const t = [from];
  const v = [valueAt(trace, from)];
  trace.at.forEach((time, i) => {
    if (time > from && time < to) {
      t.push(time);
      v.push(trace.values[i]!);
    }
  });
  t.push(to);
  v.push(valueAt(trace, to));
  return { t, v };
}

export interface Measured {
  max: number;
  min: number;
  /** Largest distance from zero. */
  peak: number;
  /** Over time, as a slow meter shows it. */
  mean: number;
  /** Root of the mean square, as a true effective-value meter shows it. */
  effective: number;
}

/** What meters show of a window: straight lines between the steps, integrated exactly. */
export function measure(
  trace: Trace,
  from: number = trace.at[0]!,
  to: number = trace.at[trace.at.length - 1]!,
): Measured {
  const { t, v } = within(trace, from, to);
  let [area, squares] = [0, 0];
  for (let i = 1; i < t.length; i++) {
    const h = t[i]! - t[i - 1]!;
    const [a, b] = [v[i - 1]!, v[i]!];
    area += (h * (a + b)) / 2;
    squares += (h * (a * a + a * b + b * b)) / 3;
  }
  const span = to - from;
  let [max, min] = [-Infinity, Infinity];
  for (const value of v) [max, min] = [Math.max(max, value), Math.min(min, value)];
  return {
    max,
    min,
    peak: Math.max(Math.abs(max), Math.abs(min)),
    mean: area / span,
    effective: Math.sqrt(squares / span),
  };
}
