import { describe, expect, it } from 'vitest';
import { CRANKING, KEY_ON_CLOSED, KEY_ON_OPEN } from '../trails/checks.ts';
import { Scene } from '../machine/scene.ts';
import { house, machine } from '../__tests__/machines.ts';
import { drawSound } from '../tracing/draw.ts';
import { withBad } from '../__tests__/withBad.ts';
import { buildModel } from '../tracing/model.ts';
import { fromRuler, INSTRUMENTS, meterVolts, toRuler } from './index.ts';

const model = buildModel(machine(), { ...house, owns: [...house.owns, 'LED lamp', 'capacitance meter'] });
const params = drawSound(model, () => 0.5);
const scene = (faultId?: string, severity = 0.5) => {
  const fault = model.faults.find((f) => f.id === faultId);
  return new Scene(model.machine, fault ? withBad(model, params, fault, severity) : params);
};
const check = (id: string) => model.checks.find((c) => c.id === id)!;
const words = (s: Scene, id: string) => {
  const o = INSTRUMENTS[check(id).instrument].observe(s, check(id));
  if (o.kind !== 'category') throw new Error('a number');
  return Object.entries(o.shares).sort((a, b) => b[1] - a[1])[0]![0];
};
const number = (s: Scene, id: string) => {
  const o = INSTRUMENTS[check(id).instrument].observe(s, check(id));
  if (o.kind !== 'number') throw new Error('words');
  return o.value;
};

describe('they load the network as the real ones do', () => {
  it('the meter’s fast path is the solved network with 10 MΩ across the nodes', () => {
    for (const fault of [undefined, 'coil-feed.corroded', 'points.burnt', 'coil.primary-open', 'fuse.blown'])
      for (const state of [KEY_ON_CLOSED, KEY_ON_OPEN, { ...CRANKING, points: 'closed' as const }])
        for (const node of ['coil+', 'coil-', 'switch-out', 'points']) {
          const s = scene(fault);
          const whole = s.solveWith(state, [{ type: 'resistor', id: 'meter', a: node, b: 'block', ohms: 10e6 }]);
          expect(meterVolts(s, state, node, 'block'), `${fault} ${node}`).toBeCloseTo(
            whole.volts(node) - whole.volts('block'),
            4,
          );
        }
  });
  it('a lamp on coil − flashes when the points switch, burns when they never close, is out when they never open', () => {
    expect(words(scene(), 'lamp-cranking')).toBe('flashes');
    expect(words(scene('points.parted'), 'lamp-cranking')).toBe('lit steadily');
    expect(words(scene('points.closed-up'), 'lamp-cranking')).toBe('out');
    expect(words(scene('coil.primary-open'), 'lamp-cranking')).toBe('out');
    expect(words(scene(), 'led-cranking')).toBe('flashes');
  });
  it('an ohmmeter on a part alone reads the part; OL when it is open', () => {
    expect(number(scene(), 'coil-primary')).toBeCloseTo(params['coil']!['primaryOhms']!, 3);
    expect(number(scene('coil.primary-open'), 'coil-primary')).toBeGreaterThan(INSTRUMENTS.ohmmeter.limit!);
    expect(number(scene('condenser.shorted'), 'points-line-to-earth')).toBeLessThan(1);
  });
  it('a spark dies with what feeds it, and with what drains it', () => {
    expect(words(scene(), 'spark-coil-lead')).toBe('good');
    for (const fault of [
      'points.burnt',
      'points.closed-up',
      'condenser.open',
      'condenser.shorted',
      'coil.insulation',
      'ballast.open',
      'fuse.blown',
    ])
      expect(words(scene(fault, 0.7), 'spark-coil-lead'), fault).not.toBe('good');
    expect(words(scene('cap.tracked'), 'spark-coil-lead')).toBe('good');
    expect(words(scene('cap.tracked'), 'spark-plug-lead')).toBe('none');
    expect(words(scene('lead-3.open', 0.9), 'spark-every')).toBe('only 3 is dead');
    expect(words(scene('rotor.punched'), 'rotor-jump')).toBe('it jumps');
    expect(words(scene('condenser.open'), 'spark-known-condenser')).toBe('good');
  });
});

it('the ruler’s scale is its own inverse', () => {
  for (const v of [-3, 0, 0.02, 12.6, 4700, 3e7])
    expect(fromRuler(toRuler(v, 'resistance'), 'resistance')).toBeCloseTo(v, 3);
});

describe('a lamp on a node that hangs on megohms', () => {
  it('stays out, and the network is solved, whatever has been cut off', () => {
    const electronic = buildModel(machine({ layout: 'electronic', cylinders: 4, ballast: 'none' }), {
      ...house,
      owns: [...house.owns, 'LED lamp'],
    });
    const sound = drawSound(electronic, () => 0.5);
    const lamps = electronic.checks.filter((c) => c.instrument === 'LED lamp' || c.instrument === 'test lamp');
    expect(lamps.length).toBeGreaterThan(0);
    for (const id of ['coil.primary-open', 'coil-minus.broken', 'coil-feed.broken', 'module.dead']) {
      const fault = electronic.faults.find((f) => f.id === id)!;
      const cut = new Scene(
        electronic.machine,
        withBad(electronic, sound, fault, 0.5),
        new Scene(electronic.machine, sound),
      );
      for (const lamp of lamps) {
        const outcome = INSTRUMENTS[lamp.instrument].observe(cut, lamp);
        const flashes = outcome.kind === 'category' ? outcome.shares['flashes'] : NaN;
        expect(flashes, `${id} ${lamp.id}`).toBeLessThan(0.05);
      }
    }
  });
});
