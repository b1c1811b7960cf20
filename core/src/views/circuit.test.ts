import { describe, expect, it } from 'vitest';
import { readNetlist, solveOperatingPoint } from '../network/index.ts';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { CRANKED } from '../__tests__/crankMachines.ts';
import { KINDS } from '../__tests__/kinds.ts';
import { house, machine } from '../__tests__/machines.ts';
import { buildModel } from '../tracing/model.ts';
import { machineCircuit } from './circuit.ts';

const model = buildModel(machine(), house);
const states = [
  { key: 'on', points: 'closed' },
  { key: 'on', points: 'open' },
  { key: 'off', points: 'closed' },
  { key: 'crank', points: 'closed' },
] as const;

describe.each(states)('a machine with key $key, points $points', (state) => {
  it.each([undefined, 'points.burnt', 'coil-feed.chafed', 'coil.primary-open'])(
    'written and read back is the same circuit: %s',
    (fault) => {
      const circuit = machineCircuit('Test', model, state, fault);
      if (!circuit.ok) throw new Error(circuit.code);
      const read = readNetlist(circuit.text);
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      const [own, back] = [solveOperatingPoint(circuit.elements), solveOperatingPoint(read.netlist.elements)];
      if (!own.ok || !back.ok) throw new Error('not solved');
      for (const [node, name] of [
        ['main', 'main'],
        ['coil+', 'coil_p'],
        ['coil-', 'coil_n'],
        ['plate', 'plate'],
      ] as const)
        expect(back.volts(name), node).toBeCloseTo(own.volts(node), 6);
    },
  );
});

it('a fault that the machine cannot have is said', () => {
  expect(machineCircuit('Test', model, states[0], 'boiler.cold')).toEqual({ ok: false, code: 'unknown-fault' });
});

describe.each(Object.entries(KINDS))('the netlist of %s', (_name, fit) => {
  it('gives every device a name of its own, and reads back as what was written', () => {
    const model = buildModel(machine(fit), house);
    for (const key of ['off', 'crank'] as const) {
      const written = machineCircuit('kind', model, { key, points: 'open' });
      if (!written.ok) throw new Error(written.code);
      const names = written.text
        .split('\n')
        .filter((line) => /^[a-z]/.test(line))
        .map((line) => line.split(' ')[0]!);
      expect(names.filter((n, i) => names.indexOf(n) !== i)).toEqual([]);
      const nodes = new Set(written.elements.flatMap((e) => [e.a, e.b]));
      const read = readNetlist(written.text);
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      // As many nodes as before: two names never became one.
      expect(new Set(read.netlist.elements.flatMap((e) => [e.a, e.b])).size).toBe(nodes.size);
    }
  });
});

describe.each([...Object.entries(CRANKED), ...Object.entries(CHARGED)])(
  'the netlist of a machine with %s',
  (_name, body) => {
    it.each(['off', 'crank', 'run'] as const)('key %s: motor, charger and battery as what they are there', (key) => {
      const model = buildModel(body, house);
      const circuit = machineCircuit('Test', model, { key, points: 'open' });
      if (!circuit.ok) throw new Error(circuit.code);
      const read = readNetlist(circuit.text);
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      const [own, back] = [solveOperatingPoint(circuit.elements), solveOperatingPoint(read.netlist.elements)];
      if (!own.ok || !back.ok) throw new Error('not solved');
      for (const [node, name] of [
        ['main', 'main'],
        ['motor', 'motor'],
        ['chg-out', 'chg_out'],
        ['block', 'block'],
      ] as const)
        if (circuit.elements.some((e) => e.a === node || e.b === node))
          expect(back.volts(name), node).toBeCloseTo(own.volts(node), 4);
    });
  },
);
