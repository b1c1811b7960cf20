import { describe, expect, it } from 'vitest';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { house } from '../__tests__/machines.ts';
import type { MachineBody } from '../schema/machine.ts';
import { buildModel } from '../tracing/model.ts';
import { waveforms, type Wave } from './waveform.ts';

const of = (name: string, faultId?: string) => {
  const shown = waveforms(buildModel(CHARGED[name] as MachineBody, house), faultId, 'charge');
  if (!shown.ok) throw new Error(shown.code);
  return (id: Wave['id']) => shown.waves.find((w) => w.id === id);
};
const span = (w: Wave | undefined) => Math.max(...w!.values) - Math.min(...w!.values);
/** How often a trace rises through its middle. */
function humps({ values }: Wave): number {
  const middle = (Math.max(...values) + Math.min(...values)) / 2;
  return values.filter((v, k) => k > 0 && v >= middle && values[k - 1]! < middle).length;
}

describe('the charge on a scope', () => {
  it('of three phases is six humps to a turn of the waves, a leg gone leaves two', () => {
    const name = 'alternator with a lamp';
    expect(humps(of(name)('charge amps')!)).toBeGreaterThanOrEqual(17);
    expect(humps(of(name, 'charger.phase')('charge amps')!)).toBeLessThanOrEqual(6);
  });
  it('rides three times as high and more with a diode open, once a wave', () => {
    const name = 'alternator with a lamp';
    const ill = of(name, 'charger.diode-open')('ripple')!;
    expect(span(ill) / span(of(name)('ripple'))).toBeGreaterThan(3);
    expect(humps(of(name, 'charger.diode-open')('charge amps')!)).toBeLessThanOrEqual(6);
  });
  it('a leg swings a diode below earth and a diode above the battery', () => {
    const leg = of('three phases under a flywheel')('leg')!;
    expect(Math.min(...leg.values)).toBeGreaterThan(-1.3);
    expect(Math.min(...leg.values)).toBeLessThan(-0.5);
    expect(Math.max(...leg.values)).toBeGreaterThan(13.5);
    expect(Math.max(...leg.values)).toBeLessThan(16.5);
  });
  it('is solved with every way in which machine or regulator fail', () => {
    for (const [name, machine] of Object.entries(CHARGED)) {
      const model = buildModel(machine as MachineBody, house);
      for (const f of model.faults.filter((x) => /^charge/.test(x.part.id)))
        expect(waveforms(model, f.id, 'charge').ok, `${name}: ${f.id}`).toBe(true);
    }
  });
  it('has no waves where a commutator makes it, and none where nothing is let through', () => {
    expect(of('generator, six volts, positive earth')('leg')).toBeUndefined();
    expect(of('alternator with a lamp', 'charge-regulator.dead')('leg')).toBeUndefined();
  });
});
