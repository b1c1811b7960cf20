import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../__tests__/everyKind.ts';
import { CRANKED } from '../__tests__/crankMachines.ts';
import { house, machine } from '../__tests__/machines.ts';
import { drawSound } from '../tracing/draw.ts';
import { withBad } from '../__tests__/withBad.ts';
import { buildModel } from '../tracing/model.ts';
import { assemble, type Machine } from './machine.ts';
import type { Offers } from './observed.ts';
import { Scene } from './scene.ts';
import { FiguresRead } from './settling.ts';
import { Site } from './site.ts';

const CRANK = { key: 'crank', points: 'turning' } as const;
const model = buildModel(CRANKED['relay and an interlock, with breaker points']!, house);
const sound = drawSound(model, () => 0.5);
const with_ = (offers: Offers): Scene => {
  const changed: Machine = { ...model.machine, offers: { ...model.machine.offers, ...offers } };
  return new Scene(changed, sound);
};
const fault = (id: string) => model.faults.find((f) => f.id === id)!;

describe('what one trail asks of another', () => {
  it('is told by the trail that offers it, and by the sound engine where none does', () => {
    expect(with_({ crankingRpm: () => 123 }).see('crankingRpm', CRANK)).toBe(123);
    const untold = buildModel(machine(), house);
    expect(
      new Scene(
        untold.machine,
        drawSound(untold, () => 0.5),
      ).see('crankingRpm', CRANK),
    ).toBe(180);
  });
  it('is asked once for a state, and again for another', () => {
    let asked = 0;
    const scene = with_({ drainAmps: () => ++asked });
    const off = { key: 'off', points: 'open' } as const;
    expect([scene.see('drainAmps', off), scene.see('drainAmps', { ...off }), asked]).toEqual([1, 1, 1]);
    expect(scene.see('drainAmps', CRANK)).toBe(2);
  });
  it('a circle is refused, not followed', () => {
    const scene = with_({
      busVolts: (s, state) => s.see('chargeAmps', state),
      chargeAmps: (s, state) => s.see('busVolts', state),
    });
    expect(() => scene.see('busVolts', CRANK)).toThrow('asks for itself');
  });
});

describe('what follows from a fault', () => {
  // Beside a sound machine only what the fault can touch is worked out anew; the plain way works out all of it.
  it.each(EVERY_KIND)('%s: is the same beside a sound machine as by itself', (_name, body) => {
    const own = buildModel(body, house);
    const middle = drawSound(own, () => 0.5);
    const base = new Scene(own.machine, middle);
    for (const f of own.faults) {
      const failed = withBad(own, middle, f, 0.5);
      expect(new Scene(own.machine, failed, base).params, f.id).toEqual(new Scene(own.machine, failed).params);
    }
  });
  it('is asked of the figures that were read as it settled, and of no others', () => {
    const read = new FiguresRead();
    const watched = read.watching({ a: { x: 1, y: 2 }, b: { z: 3 }, c: { u: 1 } });
    expect(watched['a']!['x']! + Object.keys({ ...watched['c'] }).length).toBe(2);
    expect(read.ignores('a', { x: 1, y: 2 }, { x: 1, y: 9 })).toBe(true);
    expect(read.ignores('a', { x: 1, y: 2 }, { x: 5, y: 2 })).toBe(false);
    expect(read.ignores('b', { z: 3 }, { z: 4 })).toBe(true);
    // Copied whole, any of its figures may have been used.
    expect(read.ignores('c', { u: 1 }, { u: 1, v: 2 })).toBe(false);
  });
});

describe('what a reading depends on', () => {
  it('is noted: parts that are asked for, states that are solved, probes', () => {
    const { scene, footprint } = new Scene(model.machine, sound).watched();
    expect(scene.params['points']!['gapMetres']).toBeGreaterThan(0);
    scene.solve({ key: 'on', points: 'open' }).volts('coil+');
    expect([...footprint.parts]).toEqual(['points']);
    expect(footprint.states.size).toBe(1);
    expect(footprint.probed).toBe(false);
    scene.solve({ key: 'on', points: 'open' }).outputOhms('coil+', '0');
    expect(footprint.probed).toBe(true);
  });
  it('a fault outside it shares what the sound machine shows; one inside does not', () => {
    let asked = 0;
    const counted = with_({
      drainAmps: (s) => {
        asked++;
        return s.params['rotor']!['ohms'] ?? 0;
      },
    });
    const off = { key: 'off', points: 'open' } as const;
    counted.see('drainAmps', off);
    const failing = (id: string) => new Scene(counted.machine, withBad(model, sound, fault(id), 0.5), counted);
    failing('points.burnt').see('drainAmps', off);
    expect(asked).toBe(1);
    failing('rotor.worn').see('drainAmps', off);
    expect(asked).toBe(2);
  });
  it('one that changes no volts of a state leaves what reads that state alone', () => {
    const base = new Scene(model.machine, sound);
    const { scene, footprint } = base.watched();
    scene.solve({ key: 'on', points: 'open' }).volts('switch-out');
    const of = (id: string) => new Scene(model.machine, withBad(model, sound, fault(id), 0.9), base);
    expect(of('starter-motor.brushes').touches(footprint)).toBe(false);
    expect(of('switch.worn').touches(footprint)).toBe(true);
  });
});

describe('trails on one site', () => {
  it('what they share is put up by the first that needs it', () => {
    const site = new Site(model.machine.fit, 'battery');
    const part = model.machine.parts[0]!;
    expect(site.take('battery', () => [part])).toEqual([part]);
    expect(site.take('battery', () => [part])).toEqual([]);
  });
  it('two that claim the same part are refused', () => {
    const [spark] = model.machine.trails;
    expect(() => assemble(model.machine.fit, [spark!, { ...spark!, id: 'charge' }])).toThrow('Two trails claim');
  });
  it('what they share belongs to the one that suffers first', () => {
    expect(model.machine.trailOf.get('battery')).toBe('crank');
    expect(model.machine.trailOf.get('coil')).toBe('spark');
    expect(model.machine.parts.filter((p) => p.id === 'battery')).toHaveLength(1);
  });
});
