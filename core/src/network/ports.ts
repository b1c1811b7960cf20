import { filamentAmps } from './elements/filament.ts';
import { diodeAmps } from './elements/diode.ts';
import { accumulatorAmps } from './elements/accumulator.ts';
import { chargerAmps } from './elements/charger.ts';
import { motorAt } from './elements/motor.ts';
import type { Placed } from './assembly.ts';
import type { Lu } from './lu.ts';

/** Elements by id that stand in place of a network's own, or beside them; `undefined` where one is left out. */
export type Change = ReadonlyMap<string, Placed | undefined>;

/** Between two rows: what flows besides what the network was linearised with, and its slope, at an effort across it. */
interface Port {
  readonly i: number;
  readonly j: number;
  readonly flow: (across: number) => { amps: number; slope: number };
}
interface Changed {
  readonly ports: readonly Port[];
  /** Solution with the changed sources, before anything flows through the ports. */
  readonly rest: Float64Array;
}

/** What is left of a sum of opposite terms, as a share of them, below which its digits are not to be trusted. */
const CANCELLED = 1e-6;
const MAX_STEPS = 60;
const NEAR_ENOUGH = 1e-10;

/** Siemens of an element that is a plain conductance. */
function siemens({ e }: Placed): number | undefined {
  if (e.type === 'resistor') return 1 / e.ohms;
  return e.type === 'switch' ? 1 / (e.closed ? e.onOhms : e.offOhms) : undefined;
}
function curve({ e }: Placed): Port['flow'] | undefined {
  if (e.type === 'filament') return (v) => filamentAmps(e, v);
  if (e.type === 'charger') return (v) => chargerAmps(e, v);
  if (e.type === 'accumulator') return (v) => accumulatorAmps(e, v);
  if (e.type === 'motor') return (v) => motorAt(e, v);
  // Without series resistance the exponential would overflow on the way.
  return e.type === 'diode' && e.seriesOhms > 0 ? (v) => diodeAmps(e, v) : undefined;
}

/**
 * A solved network seen from the few places where it is changed: the whole is factored once, about its own solution;
 * each change is a current through a port, and only the ports' own small system is solved anew (Woodbury's formula,
 * with Newton's steps over the ports that are not linear) [6].
 */
export class Ports {
  private readonly own: ReadonlyMap<string, Placed>;
  private readonly at: Float64Array;
  private readonly lu: Lu;
  private readonly responses = new Map<number, Float64Array>();
  private readonly curved: ReadonlyMap<string, Port | undefined>;

  /** `at` is the network's solution; `lu` the factors of its equations linearised there. */
  constructor(placed: readonly Placed[], at: Float64Array, lu: Lu) {
    this.own = new Map(placed.map((p) => [p.e.id, p]));
    this.at = at;
    this.lu = lu;
    this.curved = new Map(placed.filter((p) => p.model.nonlinear).map((p) => [p.e.id, this.besides(p)]));
  }

  /** Efforts everywhere when one unit of flow is put in at row i and taken out at row j. */
  private response(i: number, j: number): Float64Array {
    const key = (i + 1) * (this.at.length + 1) + j + 1;
    let known = this.responses.get(key);
    if (!known) {
      const rhs = new Float64Array(this.at.length);
      if (i >= 0) rhs[i] = 1;
      if (j >= 0) rhs[j]! -= 1;
      this.responses.set(key, (known = this.lu.solve(rhs)));
    }
    return known;
  }

  /** A curved element of the network, less the line it was linearised with. */
  private besides(p: Placed): Port | undefined {
    const flow = curve(p);
    if (!flow) return undefined;
    const v0 = across(this.at, p);
    const { amps, slope } = flow(v0);
    return {
      i: p.i,
      j: p.j,
      flow: (v) => {
        const now = flow(v);
        return { amps: now.amps - amps - slope * (v - v0), slope: now.slope - slope };
      },
    };
  }

  /** The ports and sources of a change; nothing where it is of a kind that has none. */
  private changedBy(change: Change): Changed | undefined {
    const ports: Port[] = [];
    let rest = this.at;
    const source = (i: number, j: number, size: number) => {
      if (size === 0) return;
      const z = this.response(i, j);
      if (rest === this.at) rest = this.at.slice();
      for (let r = 0; r < rest.length; r++) rest[r]! += size * z[r]!;
    };
    const conductance = (p: Placed, g: number) => {
      if (g !== 0) ports.push({ i: p.i, j: p.j, flow: (v) => ({ amps: g * v, slope: g }) });
    };
    for (const [id, port] of this.curved) {
      if (!port) return undefined;
      if (!change.has(id)) ports.push(port);
    }
    for (const [id, now] of change) {
      const was = this.own.get(id);
      const [g0, g1] = [was && siemens(was), now && siemens(now)];
      if (was?.e.type === 'voltage' && now?.e.type === 'voltage' && was.i === now.i && was.j === now.j) {
        source(was.k, -1, now.e.volts - was.e.volts);
        continue;
      }
      if (was && now && g0 !== undefined && g1 !== undefined && was.i === now.i && was.j === now.j) {
        conductance(now, g1 - g0);
        continue;
      }
      if (was && !this.taken(was, g0, conductance, source, ports)) return undefined;
      if (now && !this.put(now, g1, conductance, source, ports)) return undefined;
    }
    return { ports, rest };
  }
  private taken(
    was: Placed,
    g: number | undefined,
    conductance: (p: Placed, g: number) => void,
    source: (i: number, j: number, size: number) => void,
    ports: Port[],
  ): boolean {
    if (g !== undefined) conductance(was, -g);
    else if (was.e.type === 'current') source(was.i, was.j, was.e.amps);
    else {
      // Its port takes back what the network was linearised with, and nothing flows in its place.
      const flow = curve(was);
      if (!flow) return false;
      const v0 = across(this.at, was);
      const { amps, slope } = flow(v0);
      ports.push({ i: was.i, j: was.j, flow: (v) => ({ amps: -amps - slope * (v - v0), slope: -slope }) });
    }
    return true;
  }
  private put(
    now: Placed,
    g: number | undefined,
    conductance: (p: Placed, g: number) => void,
    source: (i: number, j: number, size: number) => void,
    ports: Port[],
  ): boolean {
    if (g !== undefined) conductance(now, g);
    else if (now.e.type === 'current') source(now.i, now.j, -now.e.amps);
    else {
      const flow = curve(now);
      if (!flow) return false;
      ports.push({ i: now.i, j: now.j, flow });
    }
    return true;
  }

  /** The changed network's solution; nothing where it must be solved in full. */
  solve(change: Change): Float64Array | undefined {
    const changed = this.changedBy(change);
    if (!changed) return undefined;
    const { ports, rest } = changed;
    const small = this.small(ports);
    const v = ports.map((p) => across(this.at, p));
    const quiet = ports.map((p) => across(rest, p));
    const flows = new Float64Array(ports.length);
    const slopes = new Float64Array(ports.length);
    for (let step = 1; step <= MAX_STEPS; step++) {
      ports.forEach((p, q) => {
        const { amps, slope } = p.flow(v[q]!);
        [flows[q], slopes[q]] = [amps, slope];
      });
      const off = v.map((volts, p) => volts - quiet[p]! + small[p]!.reduce((sum, z, q) => sum + z * flows[q]!, 0));
      const move = eliminated(small, slopes, off);
      if (!move) return undefined;
      let largest = 0;
      for (const [p, m] of move.entries()) {
        if (!Number.isFinite(m)) return undefined;
        v[p]! -= m;
        largest = Math.max(largest, Math.abs(m) / (1 + Math.abs(v[p]!)));
      }
      if (largest < NEAR_ENOUGH) return this.whole(ports, v, rest);
    }
    return undefined;
  }
  /** All unknowns, from the flows through the ports. */
  private whole(ports: readonly Port[], v: readonly number[], rest: Float64Array): Float64Array {
    const x = rest.slice();
    ports.forEach((p, q) => {
      const { amps } = p.flow(v[q]!);
      if (amps === 0) return;
      const z = this.response(p.i, p.j);
      for (let r = 0; r < x.length; r++) x[r]! -= amps * z[r]!;
    });
    return x;
  }

  /** Ohms seen between two rows of the changed network about its solution `x`; nothing as above. */
  outputOhms(change: Change, x: Float64Array, i: number, j: number): number | undefined {
    const changed = this.changedBy(change);
    if (!changed) return undefined;
    const { ports } = changed;
    const z = this.response(i, j);
    const slopes = Float64Array.from(ports, (p) => p.flow(across(x, p)).slope);
    const seen = eliminated(
      this.small(ports),
      slopes,
      ports.map((p) => across(z, p)),
    );
    if (!seen) return undefined;
    return ports.reduce(
      (sum, p, q) => sum - across(this.response(p.i, p.j), { i, j }) * slopes[q]! * seen[q]!,
      across(z, { i, j }),
    );
  }

  /** Ohms from each port to each. */
  private small(ports: readonly Port[]): number[][] {
    return ports.map((p) => ports.map((q) => across(this.response(q.i, q.j), p)));
  }
}

const across = (x: Float64Array, { i, j }: { i: number; j: number }): number =>
  (i >= 0 ? x[i]! : 0) - (j >= 0 ? x[j]! : 0);

/** Solves (1 + Z·diag(slopes))·x = rhs; nothing where its pivots are what is left of opposite terms. */
function eliminated(z: readonly number[][], slopes: Float64Array, rhs: readonly number[]): number[] | undefined {
  const n = rhs.length;
  const m = z.map((row, p) => row.map((ohms, q) => Number(p === q) + ohms * slopes[q]!));
  const sizes = z.map((row, p) => 1 + Math.abs(row[p]! * slopes[p]!));
  const x = [...rhs];
  for (let k = 0; k < n; k++) {
    let best = k;
    for (let p = k + 1; p < n; p++) if (Math.abs(m[p]![k]!) > Math.abs(m[best]![k]!)) best = p;
    [m[k], m[best]] = [m[best]!, m[k]!];
    [x[k], x[best]] = [x[best]!, x[k]!];
    [sizes[k], sizes[best]] = [sizes[best]!, sizes[k]!];
    const pivot = m[k]![k]!;
    if (!(Math.abs(pivot) > CANCELLED * sizes[k]!)) return undefined;
    for (let p = k + 1; p < n; p++) {
      const f = m[p]![k]! / pivot;
      if (f === 0) continue;
      for (let q = k; q < n; q++) m[p]![q]! -= f * m[k]![q]!;
      x[p]! -= f * x[k]!;
    }
  }
  for (let k = n - 1; k >= 0; k--) {
    for (let q = k + 1; q < n; q++) x[k]! -= m[k]![q]! * x[q]!;
    x[k]! /= m[k]![k]!;
  }
  return x;
}
