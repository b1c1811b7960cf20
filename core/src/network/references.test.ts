import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { measure, readNetlist, solveOperatingPoint, solveTransient, valueAt, type Netlist } from './index.ts';

/** Circuits solved by an independent simulator; see the `.cir` beside each `.json`. */
interface Expected {
  quantity: string;
  at: 'op' | 'max' | 'min' | 'max_abs' | { t: number };
  window?: [number, number];
  value: number;
  relTol: number;
  absTol: number;
}
const folder = join(import.meta.dirname, 'references');
const names = readdirSync(folder)
  .filter((f) => f.endsWith('.cir'))
  .map((f) => f.slice(0, -4));

function netlistOf(name: string): Netlist {
  const read = readNetlist(readFileSync(join(folder, `${name}.cir`), 'utf8'));
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.netlist;
}

/** The quantity of a reference in our own solution. */
function solver(netlist: Netlist): (e: Expected) => number {
  const { analysis } = netlist;
  const split = (quantity: string) =>
    /^([vi])\((.*)\)$/.exec(quantity.toLowerCase())! as unknown as [string, 'v' | 'i', string];
  if (analysis.kind === 'op') {
    const at = solveOperatingPoint(netlist.elements);
    if (!at.ok) throw new Error(at.code);
    return ({ quantity }) => {
      const [, kind, of] = split(quantity);
      return kind === 'v' ? at.volts(of) : at.amps(of);
    };
  }
  const run = solveTransient(netlist, { until: analysis.until, fromInitial: analysis.fromInitial });
  if (!run.ok) throw new Error(`${run.code}`);
  return ({ quantity, at, window }) => {
    const [, kind, of] = split(quantity);
    const trace = { at: run.at, values: kind === 'v' ? run.volts(of) : run.amps(of) };
    if (typeof at === 'object') return valueAt(trace, at.t);
    const m = measure(trace, ...(window ?? []));
    return at === 'max' ? m.max : at === 'min' ? m.min : m.peak;
  };
}

describe.each(names)('%s', (name) => {
  const { expect: expected } = JSON.parse(readFileSync(join(folder, `${name}.json`), 'utf8')) as { expect: Expected[] };
  let solve: ((e: Expected) => number) | undefined;
  it.each(expected.map((e) => [`${e.quantity} ${JSON.stringify(e.at)}`, e] as const))('%s', (_name, e) => {
    solve ??= solver(netlistOf(name));
    expect(Math.abs(solve(e) - e.value), `got ${solve(e)}, want ${e.value}`).toBeLessThanOrEqual(
      Math.max(e.absTol, e.relTol * Math.abs(e.value)),
    );
  });
});
