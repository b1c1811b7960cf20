import type { Compiled } from './compiled.ts';

const at = (x: Float64Array, row: number) => (row >= 0 ? x[row]! : 0);

/** Index of a switch (or, after the switches, a gap) that would change with these unknowns; −1 if none. */
export function edge(c: Compiled, x: Float64Array): number {
  for (let s = 0; s < c.switches.length; s++) {
    const { control } = c.switches[s]!.e;
    if (!control) continue;
    const v = at(x, c.row(control.a)) - at(x, c.row(control.b));
    if (c.closed[s] ? v < control.opensAt : v > control.closesAt) return s;
  }
  for (let s = 0; s < c.gaps.length; s++) {
    const { e, i, j } = c.gaps[s]!;
    const v = at(x, i) - at(x, j);
    const amps = (v - (c.polarity[s] ?? 0) * e.arcVolts) / e.arcOhms;
    if (c.struck[s] ? amps * c.polarity[s]! < e.holdAmps : Math.abs(v) > standsOff(c, s)) return c.switches.length + s;
  }
  return -1;
}

/** Polarity is noted when a gap strikes, and kept: it tells that its gas is hot. */
function standsOff(c: Compiled, s: number): number {
  const { strikeVolts, restrikeVolts } = c.gaps[s]!.e;
  return c.polarity[s] === undefined ? strikeVolts : (restrikeVolts ?? strikeVolts);
}

/** Turns the switch or the gap of an edge over. */
export function turn(c: Compiled, index: number, x: Float64Array): void {
  if (index < c.switches.length) {
    c.closed[index] = !c.closed[index];
    return;
  }
  const s = index - c.switches.length;
  const { i, j } = c.gaps[s]!;
  c.struck[s] = !c.struck[s];
  c.polarity[s] = Math.sign(at(x, i) - at(x, j)) || 1;
}

/** A diode that carried this share of the most it ever did, and now a thousandth of that, has shut. */
const CARRIED = 1e-4;
const SHUT = 1e-3 * CARRIED;

/**
 * Watches diodes shut: a trapezoid across that corner would ring for the rest of its life, since what the coils beside
 * it did before says nothing about after.
 */
export class Shutting {
  private readonly most: Float64Array;
  /** Which carry: from when they carried until they have shut, however short the steps between. */
  private readonly carrying: boolean[];
  private readonly c: Compiled;

  constructor(c: Compiled) {
    this.c = c;
    this.most = new Float64Array(c.diodes.length);
    this.carrying = c.diodes.map(() => false);
  }
  private amps(d: number, x: Float64Array): number {
    const { e, model, i, j } = this.c.diodes[d]!;
    return model.amps(e, at(x, i), at(x, j), NaN);
  }
  /** Whether a diode shuts in a step that ends with these unknowns. */
  shuts(x: Float64Array): boolean {
    for (let d = 0; d < this.most.length; d++) {
      if (this.carrying[d] && this.amps(d, x) < SHUT * this.most[d]!) return true;
    }
    return false;
  }
  accept(x: Float64Array): void {
    for (let d = 0; d < this.most.length; d++) {
      const amps = this.amps(d, x);
      this.most[d] = Math.max(this.most[d]!, amps);
      if (amps > CARRIED * this.most[d]!) this.carrying[d] = true;
      else if (amps < SHUT * this.most[d]!) this.carrying[d] = false;
    }
  }
}
