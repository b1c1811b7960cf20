import { describe, expect, it } from 'vitest';
import { CHARGED } from '../../../__tests__/chargeMachines.ts';
import { house } from '../../../__tests__/machines.ts';
import { INSTRUMENTS } from '../../../instruments/index.ts';
import { Scene } from '../../../machine/scene.ts';
import { drawSound, withFault } from '../../../tracing/draw.ts';
import { buildModel } from '../../../tracing/model.ts';

const model = buildModel(CHARGED['alternator with a lamp']!, house);
const sound = drawSound(model, () => 0.5);
const open = model.faults.find((f) => f.id === 'charger.diode-open')!;
const at = (severity?: number) =>
  new Scene(model.machine, severity === undefined ? sound : withFault(model, sound, open, severity));
function read(id: string, severity?: number) {
  const check = model.checks.find((c) => c.id === id)!;
  const seen = INSTRUMENTS[check.instrument].observe(at(severity), check);
  if (seen.kind === 'number') return seen.value;
  return Object.entries(seen.shares).sort((a, b) => b[1] - a[1])[0]![0];
}

describe('diodes open: one, two, all', () => {
  it('one costs nothing at speed and rides on the volts; two ride higher', () => {
    expect(read('charge-fast', 0.1)).toBeCloseTo(read('charge-fast') as number, 1);
    expect(read('charge-ripple', 0.1)).toBeGreaterThan(2 * (read('charge-ripple') as number));
    expect(read('charge-ripple', 0.65)).toBeGreaterThan(1.2 * (read('charge-ripple', 0.1) as number));
  });
  it('with all of them gone the battery is not charged, and the machine goes on feeding its own field', () => {
    expect(read('charge-fast', 1)).toBeLessThan(13);
    expect(read('charge-ripple', 1)).toBeLessThan(0.01);
    // Its own diodes keep the lamp’s wire up: it does not shine as with a field that is not fed.
    expect(read('charge-lamp-run', 1)).not.toBe('lit');
    expect(read('charge-opened', 1)).toBe('diodes or a phase');
  });
});
