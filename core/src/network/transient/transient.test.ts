import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dampedPeakShare } from '../../ignition/index.ts';
import type { Circuit, Coupling, Element } from '../types.ts';
import { measure, valueAt } from './measure.ts';
import type { Transient } from './record.ts';
import { solveTransient, type TransientOptions } from './transient.ts';
import { breaksOf, threePhases, waveAt, type Waveform } from './waveform.ts';

const r = (id: string, a: string, b: string, ohms: number): Element => ({ type: 'resistor', id, a, b, ohms });
const c = (id: string, a: string, b: string, farads: number, initialVolts = 0): Element => ({
  type: 'capacitor',
  id,
  a,
  b,
  farads,
  initialVolts,
});
const l = (id: string, a: string, b: string, henries: number, initialAmps = 0): Element => ({
  type: 'inductor',
  id,
  a,
  b,
  henries,
  initialAmps,
});
const v = (id: string, a: string, b: string, volts: number, wave?: Waveform): Element => ({
  type: 'voltage',
  id,
  a,
  b,
  volts,
  ...(wave ? { wave } : {}),
});
const run = (elements: Element[], options: TransientOptions, couplings: Coupling[] = []): Transient => {
  const circuit: Circuit = { elements, couplings };
  const result = solveTransient(circuit, options);
  if (!result.ok) throw new Error(JSON.stringify(result));
  return result;
};
const volts = (t: Transient, node: string) => ({ at: t.at, values: t.volts(node) });
const amps = (t: Transient, id: string) => ({ at: t.at, values: t.amps(id) });
/** A straight edge at the start, for a step that a real key makes. */
const edge = (value: number): Waveform => ({
  kind: 'corners',
  points: [
    [0, 0],
    [1e-9, value],
    [1, value],
  ],
});

describe('against what pencil and paper give', () => {
  it('a capacitor charges through a resistor as 1 − e^(−t/RC)', () => {
    const t = run([v('v', 'in', '0', 0, edge(10)), r('r', 'in', 'out', 1e3), c('c', 'out', '0', 1e-6)], {
      until: 5e-3,
      fromInitial: true,
    });
    for (const at of [0.2e-3, 1e-3, 2e-3, 4e-3])
      expect(valueAt(volts(t, 'out'), at)).toBeCloseTo(10 * (1 - Math.exp(-at / 1e-3)), 2);
  });
  it('a coil’s current builds up as (V/R)(1 − e^(−tR/L))', () => {
    const t = run([v('v', 'in', '0', 12), r('r', 'in', 'a', 3), l('l', 'a', '0', 8e-3)], {
      until: 10e-3,
      fromInitial: true,
    });
    for (const at of [1e-3, 3e-3, 9e-3])
      expect(valueAt(amps(t, 'l'), at)).toBeCloseTo(4 * (1 - Math.exp((-at * 3) / 8e-3)), 2);
  });
  it('a coil and a capacitor swing at 1/(2π√LC) and lose nothing', () => {
    const t = run([l('l', 'a', '0', 1e-3), c('c', 'a', '0', 1e-6, 5), r('leak', 'a', '0', 1e9)], {
      until: 2e-3,
      fromInitial: true,
      relative: 2e-5,
    });
    const period = 2 * Math.PI * Math.sqrt(1e-3 * 1e-6);
    expect(valueAt(volts(t, 'a'), period)).toBeCloseTo(5, 1);
    expect(valueAt(volts(t, 'a'), period * 5)).toBeCloseTo(5, 1);
    expect(valueAt(volts(t, 'a'), period * 2.5)).toBeCloseTo(-5, 1);
  });
  it.each([0.05, 0.3, 0.8, 2])('a coil with a leak peaks where the formula of the spark says, ζ = %d', (zeta) => {
    // L ∥ C ∥ R from a current of 1 A: Z = √(L/C) = 1 Ω.
    const t = run([l('l', 'a', '0', 1, 1), c('c', 'a', '0', 1), r('r', 'a', '0', 1 / (2 * zeta))], {
      until: 12,
      fromInitial: true,
      relative: 2e-5,
    });
    expect(measure(volts(t, 'a')).peak).toBeCloseTo(dampedPeakShare(1, 1 / (2 * zeta)), 2);
  });
  it('coupled coils divide as their turns', () => {
    const sine: Waveform = { kind: 'sine', offset: 0, amplitude: 10, hertz: 1000, delay: 0, damping: 0 };
    const t = run(
      [v('v', 'p', '0', 0, sine), l('l1', 'p', '0', 10e-3), l('l2', 's', '0', 1000e-3), r('load', 's', '0', 1e6)],
      { until: 5e-3, fromInitial: true },
      [{ id: 'k', first: 'l1', second: 'l2', k: 0.999 }],
    );
    expect(measure(volts(t, 's'), 2e-3, 5e-3).peak / 10).toBeCloseTo(0.999 * 10, 1);
  });
  it('a rectifier holds the peak, less its diode', () => {
    const sine: Waveform = { kind: 'sine', offset: 0, amplitude: 20, hertz: 50, delay: 0, damping: 0 };
    const t = run(
      [
        v('v', 'in', '0', 0, sine),
        { type: 'diode', id: 'd', a: 'in', b: 'out', saturationAmps: 1e-9, emission: 1.7, seriesOhms: 0.1 },
        c('c', 'out', '0', 100e-6),
        r('r', 'out', '0', 10e3),
      ],
      { until: 0.1 },
    );
    const held = measure(volts(t, 'out'), 0.06, 0.1);
    expect(held.max).toBeGreaterThan(18.9);
    expect(held.max).toBeLessThan(19.8);
    expect(held.max - held.min).toBeCloseTo(held.max * (0.02 / (10e3 * 100e-6)), 0);
  });
  it('a cold lamp takes several times its current at first light', () => {
    const t = run(
      [v('v', 'in', '0', 12), { type: 'filament', id: 'lamp', a: 'in', b: '0', hotOhms: 48, ratedVolts: 12 }],
      { until: 1e-3 },
    );
    expect(Math.abs(amps(t, 'v').values.at(-1)!)).toBeCloseTo(0.25, 3);
  });
});

describe('edges', () => {
  const points = (control: Waveform): Element[] => [
    v('b', 'in', '0', 12),
    v('cam', 'cam', '0', 0, control),
    {
      type: 'switch',
      id: 's',
      a: 'in',
      b: 'out',
      closed: false,
      onOhms: 0.01,
      offOhms: 1e9,
      control: { a: 'cam', b: '0', closesAt: 2.6, opensAt: 2.4 },
    },
    r('load', 'out', '0', 10),
  ];
  it('a switch opens and closes when its control says, and steps end at the corners', () => {
    const wave: Waveform = {
      kind: 'pulse',
      low: 0,
      high: 5,
      delay: 1e-3,
      rise: 1e-6,
      fall: 1e-6,
      width: 2e-3,
      period: 5e-3,
    };
    const t = run(points(wave), { until: 10e-3 });
    for (const [at, on] of [
      [0.5e-3, 0],
      [2e-3, 1],
      [4e-3, 0],
      [7e-3, 1],
      [9.5e-3, 0],
    ] as const)
      expect(valueAt(volts(t, 'out'), at)).toBeCloseTo(on * 12, 0);
    for (const corner of breaksOf(wave, 10e-3)) expect([...t.at].some((x) => Math.abs(x - corner) < 1e-15)).toBe(true);
    expect(measure(volts(t, 'out')).mean).toBeCloseTo(12 * 0.4, 0);
  });
  it('a gap strikes at its voltage, burns at its arc’s, and goes out below its holding current', () => {
    const ramp: Waveform = {
      kind: 'corners',
      points: [
        [0, 0],
        [1e-3, 10e3],
        [2e-3, 0],
        [3e-3, 0],
      ],
    };
    const t = run(
      [
        v('v', 'in', '0', 0, ramp),
        r('r', 'in', 'gap', 100e3),
        { type: 'gap', id: 'g', a: 'gap', b: '0', strikeVolts: 6e3, arcVolts: 800, arcOhms: 1e3, holdAmps: 5e-3 },
      ],
      { until: 3e-3 },
    );
    expect(measure(volts(t, 'gap')).max).toBeGreaterThan(5.9e3);
    expect(measure(volts(t, 'gap')).max).toBeLessThan(6.3e3);
    expect(valueAt(volts(t, 'gap'), 1e-3)).toBeLessThan(1000);
    // Below 800 V + 5 mA · 101 kΩ = 1305 V it cannot hold; from then on it follows the source again.
    expect(valueAt(volts(t, 'gap'), 1.95e-3)).toBeCloseTo(500, -1);
  });
});

describe('laws that hold on any network', () => {
  const parts = fc.array(
    fc.record({
      kind: fc.constantFrom('r', 'c', 'l'),
      a: fc.integer({ min: 0, max: 4 }),
      b: fc.integer({ min: 0, max: 4 }),
      size: fc.double({ min: 0.2, max: 5, noNaN: true }),
    }),
    { minLength: 4, maxLength: 10 },
  );
  it('energy given by the source is energy stored and burnt, within the step’s error', () => {
    fc.assert(
      fc.property(parts, (list) => {
        const node = (n: number) => (n === 0 ? '0' : `n${n}`);
        // A ladder to ground keeps every node tied; series resistance keeps coils off ideal sources.
        const elements: Element[] = [
          v('v', 's', '0', 0, { kind: 'sine', offset: 0, amplitude: 5, hertz: 30, delay: 0, damping: 0 }),
          r('rs', 's', 'n1', 50),
        ];
        for (let n = 1; n <= 4; n++) elements.push(r(`g${n}`, `n${n}`, '0', 500));
        list.forEach(({ kind, a, b, size }, i) => {
          if (a === b) return;
          if (kind === 'r') elements.push(r(`e${i}`, node(a), node(b), 100 * size));
          else if (kind === 'c') elements.push(c(`e${i}`, node(a), node(b), 10e-6 * size));
          else {
            elements.push(r(`er${i}`, node(a), `x${i}`, 20), l(`e${i}`, `x${i}`, node(b), 0.2 * size));
          }
        });
        const t = run(elements, { until: 0.1, fromInitial: true, relative: 2e-5 });
        const across = (e: Element, k: number) =>
          (e.a === '0' ? 0 : t.volts(e.a)[k]!) - (e.b === '0' ? 0 : t.volts(e.b)[k]!);
        const last = t.at.length - 1;
        let [stored, burnt] = [0, 0];
        for (const e of elements) {
          if (e.type === 'capacitor') stored += 0.5 * e.farads * across(e, last) ** 2;
          if (e.type === 'inductor') stored += 0.5 * e.henries * t.amps(e.id)[last]! ** 2;
          if (e.type === 'resistor') {
            const values = Float64Array.from(t.volts(e.a), (x, k) => x - (e.b === '0' ? 0 : t.volts(e.b)[k]!));
            burnt += (measure({ at: t.at, values }).effective ** 2 / e.ohms) * 0.1;
          }
        }
        const [vs, is] = [t.volts('s'), t.amps('v')];
        let [given, moved] = [0, 0];
        for (let k = 1; k <= last; k++) {
          const joules = ((vs[k]! * is[k]! + vs[k - 1]! * is[k - 1]!) / 2) * (t.at[k]! - t.at[k - 1]!);
          given -= joules;
          // What goes to and fro between the source and the coils counts for the error too.
          moved += Math.abs(joules);
        }
        expect(Math.abs(given - stored - burnt)).toBeLessThan(0.01 * moved + 1e-9);
      }),
      { numRuns: 40, seed: 11 },
    );
  });
  it('a finer step tells the same story', () => {
    const circuit = [
      v('v', 'in', '0', 12),
      r('r', 'in', 'a', 3),
      l('l', 'a', 'b', 8e-3),
      c('c', 'b', '0', 20e-6),
      r('r2', 'b', '0', 40),
    ];
    const [coarse, fine] = [
      run(circuit, { until: 20e-3, fromInitial: true }),
      run(circuit, { until: 20e-3, fromInitial: true, relative: 1e-6, longest: 1e-5 }),
    ];
    expect(fine.steps).toBeGreaterThan(3 * coarse.steps);
    for (let at = 1e-3; at < 20e-3; at += 1e-3)
      expect(valueAt(volts(coarse, 'b'), at)).toBeCloseTo(valueAt(volts(fine, 'b'), at), 1);
  });
});

describe('a diode that shuts in the middle of a swing', () => {
  // A coil cut off at 3 A into a clamp of 400 V, as a module's: its winding swings on when the clamp has let go.
  const coil: Element[] = [
    v('battery', 'supply', '0', 11.3),
    r('feed', 'supply', 'l1', 3.6),
    l('l1', 'l1', 'neg', 8.5e-3, 3),
    l('l2', 'sec', 'sx', 61.4, 0),
    r('rs', 'sx', '0', 8500),
    c('c2', 'sec', '0', 72.5e-12),
    r('shunt', 'sec', '0', 4.2e6),
    r('off', 'neg', '0', 1e7),
    r('rc', 'neg', 'c1', 0.3),
    c('c1', 'c1', '0', 10e-9),
    { type: 'diode', id: 'clamp', a: 'neg', b: 'held', saturationAmps: 1e-9, emission: 2, seriesOhms: 1 },
    v('hold', 'held', '0', 400),
  ];
  const ended = (longest: number) =>
    run(coil, { until: 1.2e-3, longest, fromInitial: true }, [{ id: 'k', first: 'l1', second: 'l2', k: 0.98 }]);
  const peak = (result: Transient, node: string) => Math.max(...result.volts(node).map(Math.abs));

  it('with long steps allowed its swing is that of steps forty times finer', () => {
    const [long, fine] = [ended(20e-6), ended(0.5e-6)];
    expect(fine.at.length).toBeGreaterThan(1.3 * long.at.length);
    for (const node of ['sx', 'sec', 'neg'])
      expect(Math.abs(peak(long, node) / peak(fine, node) - 1), node).toBeLessThan(5e-3);
  });
});

describe('what cannot be solved is said', () => {
  it('two sources that disagree', () => {
    expect(
      solveTransient(
        { elements: [v('a', 'x', '0', 5), v('b', 'x', '0', 6), r('r', 'x', '0', 1)], couplings: [] },
        { until: 1e-3 },
      ),
    ).toMatchObject({ ok: false, code: 'singular' });
  });
  it('a coupling of a coil that is not there', () => {
    expect(() =>
      solveTransient(
        { elements: [l('l', 'a', '0', 1)], couplings: [{ id: 'k', first: 'l', second: 'm', k: 1 }] },
        { until: 1 },
      ),
    ).toThrow('inductor that is not there');
  });
  it('a node or a current that is not kept', () => {
    const t = run([v('v', 'a', '0', 1), r('r', 'a', '0', 1)], { until: 1e-3 });
    expect(() => t.volts('b')).toThrow('"b"');
    expect(() => t.amps('r')).toThrow('only of sources and inductors');
  });
});

describe('waves', () => {
  it('a pulse rises, holds, falls and comes again', () => {
    const w: Waveform = { kind: 'pulse', low: 1, high: 5, delay: 1, rise: 1, fall: 2, width: 3, period: 10 };
    for (const [t, value] of [
      [0, 1],
      [1.5, 3],
      [3, 5],
      [6, 3],
      [8, 1],
      [11.5, 3],
    ] as const)
      expect(waveAt(w, t)).toBeCloseTo(value, 9);
    expect(breaksOf(w, 12)).toEqual([1, 2, 5, 7, 11]);
  });
  it('corners are joined by straight lines and held beyond the ends', () => {
    const w: Waveform = {
      kind: 'corners',
      points: [
        [1, 10],
        [3, 20],
      ],
    };
    for (const [t, value] of [
      [0, 10],
      [2, 15],
      [9, 20],
    ] as const)
      expect(waveAt(w, t)).toBe(value);
  });
  it('three phases sum to nothing, and follow the speed', () => {
    const slow = threePhases(1000, 6, 0.013);
    const fast = threePhases(3000, 6, 0.013);
    for (const t of [0.02, 0.021, 0.0234]) expect(slow.reduce((s, w) => s + waveAt(w, t), 0)).toBeCloseTo(0, 9);
    const [a, b] = [slow[0]!, fast[0]!];
    if (a.kind !== 'sine' || b.kind !== 'sine') throw new Error();
    expect([b.amplitude / a.amplitude, b.hertz / a.hertz, a.hertz]).toEqual([3, 3, 100]);
  });
});

describe('what meters show', () => {
  const at = Float64Array.from({ length: 2001 }, (_, i) => i / 1000);
  const sine = { at, values: at.map((t) => 10 * Math.sin(2 * Math.PI * t)) };
  it('of a sine: its peak, no mean, and 0.707 of the peak effective', () => {
    const m = measure(sine, 0, 2);
    expect(m.peak).toBeCloseTo(10, 3);
    expect(m.mean).toBeCloseTo(0, 6);
    expect(m.effective).toBeCloseTo(10 / Math.SQRT2, 3);
  });
  it('takes the ends of a window between two steps', () => {
    expect(measure({ at: Float64Array.of(0, 1), values: Float64Array.of(0, 10) }, 0.25, 0.75)).toMatchObject({
      min: 2.5,
      max: 7.5,
      mean: 5,
    });
    expect(valueAt({ at: Float64Array.of(0, 1), values: Float64Array.of(0, 10) }, 5)).toBe(10);
  });
});
