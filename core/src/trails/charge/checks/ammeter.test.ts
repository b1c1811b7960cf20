import { describe, expect, it } from 'vitest';
import { CHARGED } from '../../../__tests__/chargeMachines.ts';
import { house } from '../../../__tests__/machines.ts';
import { INSTRUMENTS } from '../../../instruments/index.ts';
import { Scene } from '../../../machine/scene.ts';
import { drawSound, withFault } from '../../../tracing/draw.ts';
import { buildModel } from '../../../tracing/model.ts';

const model = buildModel(CHARGED['generator, twelve volts, without a lamp']!, house);
const check = (id: string) => model.checks.find((c) => c.id === id)!;
function says(id: string, faultId?: string): string {
  const sound = drawSound(model, () => 0.5);
  const fault = model.faults.find((f) => f.id === faultId);
  const scene = new Scene(model.machine, fault ? withFault(model, sound, fault, 0.8) : sound);
  const seen = INSTRUMENTS[check(id).instrument].observe(scene, check(id));
  if (seen.kind !== 'category') throw new Error('An ammeter on a dash is looked at');
  return Object.entries(seen.shares).sort((a, b) => b[1] - a[1])[0]![0];
}

/** What anyone sees on the dash of an old machine. */
describe('the ammeter on the dash', () => {
  it('stands on charge after a start when all is well', () => {
    expect(says('charge-ammeter-fast')).toBe('charges');
  });
  it.each(['charger.brushes', 'belt.gone', 'charger.no-residual', 'cut-out.open', 'charge-wire.broken'])(
    'shows discharge with the lamps on and %s',
    (fault) => {
      expect(says('charge-ammeter-loaded', fault)).toBe('discharges');
      expect(says('charge-ammeter-fast', fault)).not.toBe('charges');
    },
  );
  it('is only asked where there is one', () => {
    const lamp = buildModel(CHARGED['alternator with a lamp']!, house);
    expect(lamp.checks.some((c) => c.id.startsWith('charge-ammeter'))).toBe(false);
  });
});
