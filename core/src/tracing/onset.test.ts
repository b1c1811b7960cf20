import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../__tests__/everyKind.ts';
import { house, machine } from '../__tests__/machines.ts';
import { drawSound } from './draw.ts';
import { buildModel, type Model, type ModelFault } from './model.ts';

const sound = (model: Model, fault: ModelFault) => drawSound(model, () => 0.5)[fault.part.id]!;
/** Each figure of a plate that a fault moves by degrees, just after its beginning, in its middle and at its worst. */
function movedBy(model: Model, fault: ModelFault) {
  const at = (s: number) => fault.mode.apply(sound(model, fault), s, model.machine.fit);
  const [least, middle, worst] = [at(1e-6), at(0.5), at(1)];
  return Object.keys(worst).flatMap((figure) => {
    const plate = model.plates.get(`${fault.part.id}.${figure}`);
    const [a, b, c] = [least[figure]!, middle[figure]!, worst[figure]!];
    return plate && a !== c ? [{ figure, plate, a, b, c }] : [];
  });
}

describe('a fault begins where its plate ends', () => {
  it.each(EVERY_KIND)('%s: every way of failing that comes in degrees', (_name, body) => {
    const model = buildModel(body, house);
    let tried = 0;
    for (const fault of model.faults) {
      if (fault.mode.leap) continue;
      for (const { figure, plate, a, b, c } of movedBy(model, fault)) {
        const where = `${fault.id} ${figure}`;
        const up = c > (plate.low + plate.high) / 2;
        const end = up ? plate.high : plate.low;
        // At its slightest it lies at the end of the plate, and never inside it.
        expect(Math.abs(a - end), where).toBeLessThanOrEqual(1e-3 * Math.max(Math.abs(end), Math.abs(c)));
        expect(up ? b >= end && c >= end : b <= end && c <= end, where).toBe(true);
        tried++;
      }
    }
    expect(tried).toBeGreaterThan(3);
  });
  it('a machine’s own plate is the one that counts', () => {
    const own = { low: 13.2, high: 15.2, source: 'manual', note: '' } as const;
    const body = EVERY_KIND.find(([name]) => name === 'charge: alternator with a lamp')![1];
    const model = buildModel({ ...body, plates: { 'charge-regulator.setVolts': own } }, house);
    const high = model.faults.find((f) => f.id === 'charge-regulator.high')!;
    const low = model.faults.find((f) => f.id === 'charge-regulator.low')!;
    expect(high.mode.apply(sound(model, high), 0, model.machine.fit)['setVolts']).toBeCloseTo(15.2, 6);
    expect(low.mode.apply(sound(model, low), 0, model.machine.fit)['setVolts']).toBeCloseTo(13.2, 6);
  });
  it('what is whole or not at all stays so: a dead cell takes its two volts at once', () => {
    const model = buildModel(EVERY_KIND.find(([name]) => name.startsWith('charge: alternator'))![1], house);
    const cell = model.faults.find((f) => f.id === 'battery.cell')!;
    const before = sound(model, cell)['restVolts']!;
    const drop = before - cell.mode.apply(sound(model, cell), 0, model.machine.fit)['restVolts']!;
    expect(drop).toBeGreaterThan(1.6);
  });
  it('slight ones come on top: those bad enough to be brought in are as frequent as before', () => {
    const model = buildModel(machine(), house);
    for (const { mode, part } of model.faults) {
      const given = part.kind.faults.find((f) => f.id === mode.id)!;
      expect(mode.weight * (1 - (mode.slight ?? 0))).toBeCloseTo(given.weight, 9);
      expect(mode.slight ?? 0).toBeLessThanOrEqual(0.35);
    }
  });
});
