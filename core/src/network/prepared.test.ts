import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { machine } from '../__tests__/machines.ts';
import { Scene } from '../machine/scene.ts';
import { houseSchema } from '../schema/index.ts';
import { seededRandom } from '../random/lcg.ts';
import { drawSound } from '../tracing/draw.ts';
import { withBad } from '../__tests__/withBad.ts';
import { buildModel } from '../tracing/model.ts';
import { Prepared } from './prepared.ts';
import { solveOperatingPoint } from './operatingPoint.ts';
import type { Element, OperatingPoint, SolveResult } from './types.ts';

const r = (id: string, a: string, b: string, ohms: number): Element => ({ type: 'resistor', id, a, b, ohms });
const v = (id: string, a: string, b: string, volts: number): Element => ({ type: 'voltage', id, a, b, volts });
const point = (result: SolveResult): OperatingPoint => {
  if (!result.ok) throw new Error(result.code);
  return result;
};
const divider = () => new Prepared([v('b', 'in', '0', 12), r('1', 'in', 'mid', 1000), r('2', 'mid', '0', 1000)]);

describe('a change of a few elements', () => {
  it('puts new figures in place of the old', () => {
    const changed = divider().changed([r('2', 'mid', '0', 2000)])!;
    expect(point(changed.operatingPoint()).volts('mid')).toBeCloseTo(8, 6);
  });
  it('adds a probe beside them and leaves the first network alone', () => {
    const base = divider();
    const probed = base.changed([r('meter', 'mid', '0', 1000)])!;
    expect(point(probed.operatingPoint()).volts('mid')).toBeCloseTo(4, 6);
    expect(point(base.operatingPoint()).volts('mid')).toBeCloseTo(6, 6);
  });
  it('leaves out what is unplugged', () => {
    const without = divider().changed([], new Set(['2']))!;
    expect(point(without.operatingPoint()).volts('mid')).toBeCloseTo(12, 6);
    expect(without.elements.map((e) => e.id)).toEqual(['b', '1']);
  });
  it('asks to be prepared afresh for a node or a row that it has not', () => {
    expect(divider().changed([r('3', 'mid', 'elsewhere', 1)])).toBeUndefined();
    expect(divider().changed([v('c', 'mid', '0', 1)])).toBeUndefined();
    expect(divider().changed([], new Set(['b']))).toBeUndefined();
  });
  it('shares the rows', () => {
    const base = divider();
    expect(base.changed([r('1', 'in', 'mid', 1)])!.rows).toBe(base.rows);
  });
  it('says the same whether its base was solved before it or not', () => {
    const lamp: Element = { type: 'filament', id: 'l', a: 'mid', b: '0', hotOhms: 48, ratedVolts: 12 };
    const elements = [v('b', 'in', '0', 12), r('1', 'in', 'mid', 20), lamp];
    const [early, late] = [new Prepared(elements), new Prepared(elements)];
    late.operatingPoint();
    const read = (base: Prepared) => point(base.changed([r('1', 'in', 'mid', 25)])!.operatingPoint()).volts('mid');
    expect(read(early)).toBe(read(late));
  });
});

describe('fast and plain path agree', () => {
  it('on random networks with lamps and diodes', () => {
    const part = fc.record({
      kind: fc.constantFrom('r', 'lamp', 'diode'),
      a: fc.integer({ min: 0, max: 5 }),
      b: fc.integer({ min: 0, max: 5 }),
      size: fc.double({ min: -2, max: 5, noNaN: true }),
    });
    const node = (n: number) => (n === 0 ? '0' : `n${n}`);
    const make = (p: { kind: string; a: number; b: number; size: number }, id: string): Element => {
      const ends = { id, a: node(p.a), b: node(p.b) };
      if (p.kind === 'lamp') return { type: 'filament', ...ends, hotOhms: 10 ** p.size + 5, ratedVolts: 12 };
      if (p.kind === 'diode') return { type: 'diode', ...ends, saturationAmps: 1e-9, emission: 1.8, seriesOhms: 0.05 };
      return { type: 'resistor', ...ends, ohms: 10 ** p.size };
    };
    fc.assert(
      fc.property(fc.array(part, { minLength: 5, maxLength: 12 }), part, fc.nat(11), (parts, other, at) => {
        const elements: Element[] = [v('b', 'n1', '0', 12)];
        for (let n = 1; n <= 5; n++) elements.push(r(`tie${n}`, node(n), '0', 1e4));
        parts.filter((p) => p.a !== p.b).forEach((p, i) => elements.push(make(p, `e${i}`)));
        const k = 6 + (at % Math.max(1, elements.length - 6));
        const fresh = make(other.a === other.b ? { ...other, a: 0, b: 2 } : other, elements[k]?.id ?? 'e0');
        const plainly = point(solveOperatingPoint([...elements.filter((_, i) => i !== k), fresh]));
        const fast = point(new Prepared(elements).changed([fresh])!.operatingPoint());
        for (let n = 1; n <= 5; n++) expect(Math.abs(fast.volts(node(n)) - plainly.volts(node(n)))).toBeLessThan(1e-6);
      }),
      { numRuns: 150, seed: 5 },
    );
  });

  it('on every fault of a machine, in every state', () => {
    const model = buildModel(machine({ ballast: 'bypassed' }), houseSchema.parse({}));
    const sound = drawSound(model, seededRandom(3));
    const base = new Scene(model.machine, sound);
    for (const fault of model.faults) {
      const params = withBad(model, sound, fault, 0.6);
      const [fast, plain] = [new Scene(model.machine, params, base), new Scene(model.machine, params)];
      for (const key of ['off', 'on', 'crank'] as const)
        for (const points of ['open', 'closed'] as const) {
          const [a, b] = [fast.solve({ key, points }), plain.solve({ key, points })];
          for (const node of ['post', 'main', 'coil+', 'coil-', 'points', 'plate', 'block'])
            expect(Math.abs(a.volts(node) - b.volts(node)), `${fault.id} ${key} ${points} ${node}`).toBeLessThan(1e-6);
        }
    }
  });
});
