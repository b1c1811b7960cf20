import { describe, expect, it } from 'vitest';
import { headPascals, NO_LEAK, PETROL_DENSITY } from '../../fluids/index.ts';
import { solveOperatingPoint, type Element } from '../../network/index.ts';
import { fitOf } from '../../schema/fit.ts';
import { FUELLED } from '../../__tests__/fuelMachines.ts';
import { house } from '../../__tests__/machines.ts';
import { buildModel } from '../../tracing/model.ts';
import { drawSound } from '../../tracing/draw.ts';
import { withBad } from '../../__tests__/withBad.ts';
import { drinks, feedOf, flowOf, pressureAt, stallMinutes, suctionAt, type Feed } from './feeding.ts';

/** The same feed element by element: a source for the head, one with its resistance for the pump, holes in a row. */
function bySolver({ head, pump, pumpOhms, before, after }: Feed): number {
  const elements: Element[] = [{ type: 'voltage', id: 'head', a: 'n0', b: '0', volts: head }];
  let at = 'n0';
  const next = (() => {
    let n = 0;
    return () => `n${++n}`;
  })();
  const hole = (squareMetres: number) => {
    const to = next();
    elements.push({
      type: 'orifice',
      id: `o-${to}`,
      a: at,
      b: to,
      squareMetres,
      discharge: 0.7,
      density: PETROL_DENSITY,
    });
    at = to;
  };
  before.forEach(hole);
  if (pump > 0) {
    const [inside, out] = [next(), next()];
    elements.push(
      { type: 'voltage', id: 'pump', a: inside, b: at, volts: pump },
      { type: 'resistor', id: 'slip', a: inside, b: out, ohms: pumpOhms },
    );
    at = out;
  }
  after.forEach(hole);
  elements.push({ type: 'voltage', id: 'bowl', a: at, b: '0', volts: 0 });
  const found = solveOperatingPoint(elements, NO_LEAK);
  if (!found.ok) throw new Error(found.code);
  return found.amps('bowl');
}

const gravity: Feed = { head: headPascals(0.35), pump: 0, pumpOhms: 0, before: [4e-6, 6e-6], after: [3e-6] };
const pumped: Feed = {
  head: headPascals(-0.4),
  pump: 25e3,
  pumpOhms: 1.1e9,
  before: [9e-6, 9e-6],
  after: [1e-5, 6e-6],
};

describe('what flows to the bowl', () => {
  it('one hole under a head is Torricelli’s: C_d·A·√(2gh)', () => {
    const one: Feed = { ...gravity, before: [3e-6], after: [] };
    expect(flowOf(one)).toBeCloseTo(0.7 * 3e-6 * Math.sqrt(2 * 9.80665 * 0.35), 10);
  });
  it.each([
    ['by its own weight', gravity],
    ['by a pump that must lift it', pumped],
    ['through a filter that is nearly shut', { ...pumped, before: [9e-6, 1e-7] }],
  ])('%s: as the solver has it, within 0.1 %%', (_name, feed) => {
    expect(Math.abs(flowOf(feed) / bySolver(feed) - 1)).toBeLessThan(1e-3);
  });
  it('nothing flows uphill by itself, nor through what is shut', () => {
    expect(flowOf({ ...gravity, head: headPascals(-0.1) })).toBe(0);
    expect(flowOf({ ...gravity, before: [0] })).toBe(0);
  });
  it('a shut needle sees head and pump; before a blocked filter’s pump stands a vacuum', () => {
    expect(pressureAt(pumped, 0)).toBe(pumped.head + pumped.pump);
    const blocked = { ...pumped, before: [9e-6, 2e-7] };
    expect(suctionAt(blocked, flowOf(blocked))).toBeLessThan(-10e3);
    expect(suctionAt(pumped, flowOf(pumped))).toBeGreaterThan(-8e3);
  });
});

describe('what an engine drinks', () => {
  it('a litre and a half: one litre an hour or less at idle, some 14 at full load', () => {
    const fit = fitOf({ ...FUELLED['mechanical pump, breaker points']!.fitOut, litres: 1.5 });
    expect(drinks(fit, 'idle') * 3.6e6).toBeGreaterThan(0.5);
    expect(drinks(fit, 'idle') * 3.6e6).toBeLessThan(1.5);
    // 35 kW at 300 g a kilowatt hour and 0.745 kg a litre.
    expect(drinks(fit, 'full') * 3.6e6).toBeGreaterThan(0.8 * ((35 * 0.3) / 0.745));
    expect(drinks(fit, 'full') * 3.6e6).toBeLessThan(1.2 * ((35 * 0.3) / 0.745));
  });
});

describe('minutes to a stall', () => {
  const model = buildModel(FUELLED['by its own weight, a magneto']!, house);
  const sound = drawSound(model, () => 0.5);
  const minutes = (id: string, severity: number) => {
    const fault = model.faults.find((f) => f.id === id)!;
    return stallMinutes(model.machine.fit, withBad(model, sound, fault, severity));
  };
  it('a sound one never does', () => {
    expect(stallMinutes(model.machine.fit, sound)).toBe(Infinity);
  });
  it('a tank that cannot breathe does, later than one whose filter is shut', () => {
    expect(minutes('fuel-vent.blocked', 0.5)).toBeGreaterThan(minutes('fuel-filter.blocked', 0.9));
    expect(minutes('fuel-vent.blocked', 0.5)).toBeLessThan(25);
  });
  it('an empty way lasts for the bowl: its volume over what is drunk, by hand', () => {
    const fit = model.machine.fit;
    const left =
      (45e-6 * fit.litres) /
      (0.45 * drinks(fit, 'full') - flowOf(feedOf({ ...sound, 'fuel-tank': { ...sound['fuel-tank']!, level: 0 } })));
    expect(minutes('fuel-tank.empty', 0.5)).toBeCloseTo(left / 60, 6);
  });
});
