import { describe, expect, it } from 'vitest';
import { readNetlist, solveOperatingPoint } from '../network/index.ts';
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
