import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { filamentOhms } from './elements/index.ts';
import { solveOperatingPoint } from './operatingPoint.ts';
import type { Element, Filament, OperatingPoint } from './types.ts';

const solve = (elements: Element[]): OperatingPoint => {
  const result = solveOperatingPoint(elements);
  if (!result.ok) throw new Error(result.code);
  return result;
};
const r = (id: string, a: string, b: string, ohms: number): Element => ({ type: 'resistor', id, a, b, ohms });
const v = (id: string, a: string, b: string, volts: number): Element => ({ type: 'voltage', id, a, b, volts });

describe('by hand', () => {
  it('divides a voltage', () => {
    const at = solve([v('b', 'in', '0', 12), r('1', 'in', 'mid', 1000), r('2', 'mid', '0', 2000)]);
    expect(at.volts('mid')).toBeCloseTo(8, 6);
    expect(at.amps('1')).toBeCloseTo(4e-3, 9);
    // Into its first node, through the source, out of its second: a source that feeds reads negative.
    expect(at.amps('b')).toBeCloseTo(-4e-3, 9);
  });

  it('sees the resistance between two nodes with the sources at rest', () => {
    const at = solve([v('b', 'in', '0', 12), r('1', 'in', 'mid', 1000), r('2', 'mid', '0', 2000)]);
    expect(at.outputOhms('mid', '0')).toBeCloseTo(2000 / 3, 6);
  });

  it('takes an inductor for a short and a capacitor for a gap', () => {
    const at = solve([
      v('b', 'in', '0', 12),
      r('1', 'in', 'a', 3),
      { type: 'inductor', id: 'l', a: 'a', b: 'c', henries: 8e-3 },
      r('2', 'c', '0', 1),
      { type: 'capacitor', id: 'c', a: 'in', b: 'c', farads: 1e-6 },
    ]);
    expect(at.amps('l')).toBeCloseTo(3, 6);
    expect(at.amps('c')).toBe(0);
  });

  it('lights a lamp at its rating', () => {
    const lamp: Filament = { type: 'filament', id: 'lamp', a: 'in', b: '0', hotOhms: 48, ratedVolts: 12 };
    expect(solve([v('b', 'in', '0', 12), lamp]).amps('lamp')).toBeCloseTo(12 / 48, 3);
    expect(filamentOhms(lamp, 0)).toBeCloseTo(4.8, 1);
    // Half the voltage: current falls as V^0.55.
    expect(solve([v('b', 'in', '0', 6), lamp]).amps('lamp')).toBeCloseTo(0.25 * 0.5 ** 0.55, 3);
  });
});

describe('what cannot be solved is said, not guessed', () => {
  it('no ground', () => {
    expect(solveOperatingPoint([r('1', 'a', 'b', 10)])).toEqual({ ok: false, code: 'no-ground' });
  });
  it('two sources that disagree', () => {
    const result = solveOperatingPoint([v('x', 'a', '0', 12), v('y', 'a', '0', 6)]);
    expect(result).toMatchObject({ ok: false, code: 'singular' });
  });
  it('names nodes that float', () => {
    const at = solve([v('b', 'in', '0', 12), r('1', 'in', '0', 10), r('2', 'p', 'q', 10)]);
    expect(at.floating).toEqual(['p', 'q']);
  });
  it('refuses to invent a node', () => {
    expect(() => solve([v('b', 'in', '0', 12), r('1', 'in', '0', 1)]).volts('nowhere')).toThrow('nowhere');
  });
});

describe('laws that hold on any network', () => {
  const networks = fc.array(
    fc.record({
      a: fc.integer({ min: 0, max: 6 }),
      b: fc.integer({ min: 0, max: 6 }),
      ohms: fc.double({ min: 0.01, max: 1e6, noNaN: true }),
      lamp: fc.boolean(),
    }),
    { minLength: 4, maxLength: 20 },
  );
  it('the currents at every node sum to zero, and no energy is made', () => {
    fc.assert(
      fc.property(networks, (branches) => {
        const elements: Element[] = [v('battery', 'n1', '0', 12.6), r('ground', 'n1', '0', 1e3)];
        branches.forEach(({ a, b, ohms, lamp }, i) => {
          if (a === b) return;
          const [from, to] = [a === 0 ? '0' : `n${a}`, b === 0 ? '0' : `n${b}`];
          elements.push(
            lamp
              ? { type: 'filament', id: `e${i}`, a: from, b: to, hotOhms: ohms, ratedVolts: 12 }
              : r(`e${i}`, from, to, ohms),
          );
        });
        const at = solve(elements);
        const sums = new Map<string, number>();
        let [power, size] = [0, 0];
        for (const e of elements) {
          const amps = at.amps(e.id);
          sums.set(e.a, (sums.get(e.a) ?? 0) - amps);
          sums.set(e.b, (sums.get(e.b) ?? 0) + amps);
          power += amps * (at.volts(e.a) - at.volts(e.b));
          size += Math.abs(amps);
        }
        for (const [node, sum] of sums)
          if (node !== '0' && !at.floating.includes(node)) expect(Math.abs(sum)).toBeLessThan(1e-7 * (1 + size));
        expect(Math.abs(power)).toBeLessThan(1e-6 * (1 + size * 12.6));
      }),
      { numRuns: 200, seed: 7 },
    );
  });
});
