import { describe, expect, it } from 'vitest';
import { house, machine } from '../__tests__/machines.ts';
import { seededRandom } from '../random/lcg.ts';
import { buildModel } from '../tracing/model.ts';
import { HiddenMachine } from './hiddenMachine.ts';
import { drawFault, SimulatedMeter } from './simulatedMeter.ts';

const model = buildModel(machine(), house);
const burnt = model.faults.find((f) => f.id === 'points.burnt')!;
const meter = (checkId: string, faults = [burnt]) =>
  new SimulatedMeter(
    new HiddenMachine(model, faults, seededRandom(9)),
    model.checks.find((c) => c.id === checkId)!,
    seededRandom(4),
  );
const read = (checkId: string) =>
  new HiddenMachine(model, [burnt], seededRandom(9)).read(model.checks.find((c) => c.id === checkId)!);

describe('the simulated meter', () => {
  it('shows nothing while the probes are on their way, then stands at what the hidden machine gives', () => {
    const m = meter('points-drop');
    expect(m.at(0.2)).toMatchObject({ steady: false, value: { kind: 'number', value: 0 } });
    const late = m.at(3);
    const there = read('points-drop');
    expect(late.steady).toBe(true);
    expect(late.value.kind === 'number' && there.kind === 'number' && late.value.value / there.value).toBeCloseTo(
      1,
      1.7,
    );
  });
  it('on ohms shows OL with the probes in the air', () => {
    expect(meter('coil-primary').at(0.1).text).toBe('OL');
    expect(meter('coil-primary').at(3).text).toMatch(/Ω/);
  });
  it('says a word once one could have seen it', () => {
    expect(meter('look-points').at(0.5).text).toBe('…');
    expect(meter('look-points').at(3)).toMatchObject({ steady: true, value: read('look-points') });
  });
  it('moves in its last digit', () => {
    const m = meter('battery-rest');
    expect(new Set([3, 4, 5, 6].map((t) => JSON.stringify(m.at(t).value))).size).toBeGreaterThan(1);
  });
});

it('faults are drawn by how often each happens', () => {
  const random = seededRandom(77);
  const drawn = Array.from({ length: 4000 }, () => drawFault(model, random));
  const total = model.faults.reduce((sum, f) => sum + f.weight, 0);
  const share = drawn.filter((f) => f.id === 'points.burnt').length / drawn.length;
  expect(Math.abs(share - burnt.weight / total)).toBeLessThan(0.02);
});
