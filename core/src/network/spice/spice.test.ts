import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solveOperatingPoint } from '../operatingPoint.ts';
import { valueAt } from '../transient/measure.ts';
import { solveTransient } from '../transient/transient.ts';
import type { Element } from '../types.ts';
import { readNumber, writeNumber } from './number.ts';
import { readNetlist } from './read.ts';
import { writeNetlist } from './write.ts';

const read = (...lines: string[]) => readNetlist(['* title', ...lines].join('\n'));
const good = (...lines: string[]) => {
  const result = read(...lines);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.netlist;
};

describe('numbers', () => {
  it.each([
    ['10', 10],
    ['2.2k', 2200],
    ['0.22u', 0.22e-6],
    ['1meg', 1e6],
    ['1m', 1e-3],
    ['5ms', 5e-3],
    ['10pF', 10e-12],
    ['-3.3e-2', -0.033],
    ['.5', 0.5],
    ['3MEGohm', 3e6],
    ['7V', 7],
  ])('%s', (text, value) => {
    expect(readNumber(text)).toBeCloseTo(value, 15);
  });
  it.each(['', 'k', '1..2', '5x#', '--1'])('%j is none', (text) => {
    expect(readNumber(text)).toBeNaN();
  });
  it('read back as they were written', () => {
    fc.assert(
      fc.property(
        fc.double({ noNaN: true, noDefaultInfinity: true }),
        (v) => readNumber(writeNumber(v)) === v || v === 0,
      ),
    );
  });
});

describe('cards', () => {
  it('know their elements, in any case, with continuation lines and comments', () => {
    const { elements, couplings, analysis, title } = good(
      'R1 A 0 1K ; a load',
      '* remark',
      '',
      'L1 a b 8m IC=2',
      '+',
      'c1 b GND 0.2u ic=-5',
      'K1 L1 L2 0.98',
      'L2 d 0 51',
      '.tran 1u 2m 0 0.1u UIC',
    );
    expect(title).toBe('title');
    expect(elements).toEqual([
      { type: 'resistor', id: 'r1', a: 'a', b: '0', ohms: 1000 },
      { type: 'inductor', id: 'l1', a: 'a', b: 'b', henries: 8e-3, initialAmps: 2 },
      { type: 'capacitor', id: 'c1', a: 'b', b: '0', farads: 0.2e-6, initialVolts: -5 },
      { type: 'inductor', id: 'l2', a: 'd', b: '0', henries: 51 },
    ]);
    expect(couplings).toEqual([{ id: 'k1', first: 'l1', second: 'l2', k: 0.98 }]);
    expect(analysis).toMatchObject({ kind: 'tran', until: 2e-3, fromInitial: true });
  });
  it('know waves', () => {
    const { elements } = good(
      'V1 a 0 SIN(0 180 25)',
      'V2 b 0 PULSE(5 0 10m 1u 1u 5m 50m)',
      'V3 c 0 PWL(0 15 10m 15 12m 600)',
      'V4 d 0 DC 12',
      'V5 e 0 6',
      '.op',
    );
    expect(elements.map((e) => (e.type === 'voltage' ? [e.volts, e.wave?.kind] : []))).toEqual([
      [0, 'sine'],
      [5, 'pulse'],
      [15, 'corners'],
      [12, undefined],
      [6, undefined],
    ]);
  });
  it('know models given before or after', () => {
    const { elements } = good(
      'D1 a 0 SI',
      'S1 a b c 0 SW1',
      'VC c 0 5',
      '.model SI D(IS=2e-9 N=1.8 RS=0.1)',
      '.model SW1 SW(RON=0.05 ROFF=1e7 VT=2.5 VH=0.5)',
      '.op',
    );
    expect(elements[0]).toMatchObject({ type: 'diode', saturationAmps: 2e-9, emission: 1.8, seriesOhms: 0.1 });
    expect(elements[1]).toMatchObject({ type: 'switch', closed: true, control: { closesAt: 3, opensAt: 2 } });
  });
});

describe('nothing is skipped in silence', () => {
  it.each([
    ['an unknown element', ['Q1 a b c NPN', '.op'], 'unknown-card', 2],
    ['an unknown command', ['R1 a 0 1', '.noise', '.op'], 'unknown-card', 3],
    ['a number that is none', ['R1 a 0 1x#', '.op'], 'bad-number', 2],
    ['half a card', ['R1 a', '.op'], 'missing', 2],
    ['a value left out', ['R1 a 0', '.op'], 'missing', 2],
    ['a model that is not there', ['D1 a 0 NONE', '.op'], 'unknown-model', 2],
    ['no analysis', ['R1 a 0 1'], 'no-analysis', 1],
  ] as const)('%s is named with its line', (_name, lines, code, line) => {
    const result = read(...lines);
    expect(result).toMatchObject({ ok: false, problems: [expect.objectContaining({ code, line })] });
  });
  it('all problems of a file are told at once', () => {
    const result = read('Q1 a b c', 'R1 a 0 oops', '.four', '.op');
    expect(result.ok ? [] : result.problems.map((p) => p.line)).toEqual([2, 3, 4]);
  });
});

describe('writing', () => {
  const elements: Element[] = [
    { type: 'voltage', id: 'battery.emf', a: 'battery:emf', b: '0', volts: 12.6 },
    { type: 'resistor', id: 'feed', a: 'battery:emf', b: 'coil+', ohms: 0.1 },
    { type: 'inductor', id: 'coil', a: 'coil+', b: 'coil-', henries: 8e-3 },
    { type: 'resistor', id: 'load', a: 'coil-', b: '0', ohms: 3 },
    { type: 'switch', id: 'key', a: 'coil-', b: 'out', closed: true, onOhms: 0.01, offOhms: 1e9 },
    { type: 'diode', id: 'd', a: 'out', b: '0', saturationAmps: 1e-9, emission: 1.7, seriesOhms: 0.01 },
  ];
  it('and reading back gives a circuit that solves alike', () => {
    const written = writeNetlist('A test', { elements, couplings: [] }, { kind: 'op' });
    if (!written.ok) throw new Error(written.code);
    const back = readNetlist(written.text);
    if (!back.ok) throw new Error(JSON.stringify(back.problems));
    const [own, again] = [solveOperatingPoint(elements), solveOperatingPoint(back.netlist.elements)];
    if (!own.ok || !again.ok) throw new Error('not solved');
    expect(again.volts('coil_p')).toBeCloseTo(own.volts('coil+'), 9);
    expect(again.volts('coil_n')).toBeCloseTo(own.volts('coil-'), 9);
    expect(back.netlist.title).toBe('A test');
  });
  it('a gap or a lamp has no card: said, not left out', () => {
    const lamp: Element = { type: 'filament', id: 'lamp', a: 'a', b: '0', hotOhms: 48, ratedVolts: 12 };
    expect(writeNetlist('x', { elements: [lamp], couplings: [] }, { kind: 'op' })).toEqual({
      ok: false,
      code: 'cannot-be-written',
      element: 'lamp',
    });
    expect(
      writeNetlist('x', { elements: [lamp], couplings: [] }, { kind: 'op' }, () => ({ volts: 20, amps: 1 })),
    ).toMatchObject({
      ok: true,
      text: expect.stringContaining('r_lamp a 0 20'),
    });
  });
  it('waves, couplings and initial values survive', () => {
    const circuit = good(
      'V1 a 0 SIN(0 180 25)',
      'L1 a 0 8m IC=1',
      'L2 s 0 51 IC=0',
      'R1 s 0 1meg',
      'K1 L1 L2 0.98',
      '.tran 1u 2m 0 1u uic',
    );
    const written = writeNetlist('x', circuit, circuit.analysis);
    if (!written.ok) throw new Error(written.code);
    const back = readNetlist(written.text);
    if (!back.ok) throw new Error(JSON.stringify(back.problems));
    expect(back.netlist.elements).toEqual(circuit.elements);
    expect(back.netlist.couplings[0]).toMatchObject({ first: 'l1', second: 'l2', k: 0.98 });
    expect(back.netlist.analysis).toEqual(circuit.analysis);
  });
});

describe('a current source', () => {
  const rc = (source: string) => `a current into R and C
I1 0 out ${source}
R1 out 0 1k
C1 out 0 1u
.tran 10u 5m uic
`;
  it.each([
    ['a sine', 'SIN(1m 2m 50)', 'SIN(1 2 50)'],
    ['a pulse', 'PULSE(0 3m 1m 10u 10u 1m 3m)', 'PULSE(0 3 1m 10u 10u 1m 3m)'],
    ['corners', 'PWL(0 0 1m 2m 4m 1m)', 'PWL(0 0 1m 2 4m 1)'],
  ])('takes %s: the same as the voltage behind its resistor that Norton gives', (_name, amps, volts) => {
    const read = (text: string) => {
      const got = readNetlist(text);
      if (!got.ok) throw new Error(JSON.stringify(got.problems));
      return got.netlist;
    };
    const norton = read(rc(amps));
    const thevenin = read(`its voltage\nV1 in 0 ${volts}\nR1 in out 1k\nC1 out 0 1u\n.tran 10u 5m uic\n`);
    const run = (netlist: typeof norton) => {
      const got = solveTransient(netlist, { until: 5e-3, fromInitial: true });
      if (!got.ok) throw new Error(got.code);
      return { at: got.at, values: got.volts('out') };
    };
    const [a, b] = [run(norton), run(thevenin)];
    for (const t of [0.3e-3, 1.2e-3, 2e-3, 3.7e-3, 4.9e-3]) expect(valueAt(a, t)).toBeCloseTo(valueAt(b, t), 2);
    const written = writeNetlist('again', norton, norton.analysis);
    if (!written.ok) throw new Error(written.element);
    expect(readNetlist(written.text)).toMatchObject({ ok: true, netlist: { elements: norton.elements } });
  });
  it('stands at its first value at the operating point', () => {
    const got = readNetlist('op\nI1 0 a SIN(2m 5m 50)\nR1 a 0 1k\n.op\n');
    if (!got.ok) throw new Error('unread');
    const at = solveOperatingPoint(got.netlist.elements);
    expect(at.ok && at.volts('a')).toBeCloseTo(2, 6);
  });
});
