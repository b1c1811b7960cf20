import { describe, expect, it } from 'vitest';
import { failing, house, machine, noFire } from '../__tests__/machines.ts';
import { INSTRUMENTS } from '../instruments/index.ts';
import { Scene } from '../machine/scene.ts';
import { HiddenMachine } from '../practice/hiddenMachine.ts';
import { seededRandom } from '../random/lcg.ts';
import { freeProbeSchema, type FreeProbe } from '../schema/freeProbe.ts';
import type { JobEvent } from '../schema/job.ts';
import { drawSound } from '../tracing/draw.ts';
import { jobRuler } from '../tracing/told.ts';
import { Tracer } from '../tracing/trace.ts';
import { freeProbeId, probingOf } from './freeProbe.ts';

const probe = (given: Partial<FreeProbe> & Pick<FreeProbe, 'instrument' | 'live' | 'state'>): FreeProbe =>
  freeProbeSchema.parse(given);
const pin = (at: number) => ({ low: at, high: at, source: 'manual' as const, note: '' });

describe('leads put anywhere', () => {
  const tracer = new Tracer(machine(), house);
  const { model, weigher } = tracer;
  const scene = new Scene(
    model.machine,
    drawSound(model, () => 0.5),
  );
  const reads = (p: FreeProbe): number => {
    const check = weigher.learn(p)!;
    const seen = INSTRUMENTS[check.instrument].observe(scene, check);
    return seen.kind === 'number' ? seen.value : NaN;
  };
  const closed = 'key on, points closed';
  const volts = (live: string, earth: string) => reads(probe({ instrument: 'voltmeter', live, earth, state: closed }));

  it('offers every named place, wires that carry, parts to unplug, and only states that the machine has', () => {
    const { places, wires, parts, states } = probingOf(model.machine, model.checks);
    expect(places.map((p) => p.id)).toEqual(expect.arrayContaining(['main', 'switch-out', 'coil+', 'coil-', 'block']));
    expect(wires.map((w) => w.id)).toEqual(expect.arrayContaining(['live-clamp', 'coil-feed', 'ballast', 'points']));
    expect(parts.map((p) => p.id)).toContain('condenser');
    expect(states).toContain(closed);
    const magneto = new Tracer(machine({ layout: 'flywheel-magneto', cylinders: 1, ballast: 'none' }), house).model;
    expect(probingOf(magneto.machine, magneto.checks).states).not.toContain(closed);
  });
  it('the drops along a path add up to what stands across it, by Kirchhoff', () => {
    const way = ['main', 'fuse-in', 'switch-in', 'switch-out', 'ballast-in', 'coil+', 'coil-', 'points', 'plate', '0'];
    const drops = way.slice(1).map((to, i) => volts(way[i]!, to));
    // A meter of 10 MΩ takes a little for itself each time.
    expect(drops.reduce((a, b) => a + b, 0)).toBeCloseTo(volts('main', '0'), 3);
    for (const drop of drops) expect(drop).toBeGreaterThan(0);
  });
  it('the drop over a part is the current by the clamp times its ohms', () => {
    const amps = reads(probe({ instrument: 'clamp meter', live: 'ballast', state: closed }));
    expect(volts('ballast-in', 'coil+')).toBeCloseTo(amps * scene.params['ballast']!['ohms']!, 3);
  });
  it('leads swapped read the other way round, and positive earth swaps their colours, not the sign', () => {
    expect(volts('0', 'coil+')).toBeCloseTo(-volts('coil+', '0'), 6);
    const positive = new Tracer(machine({ volts: 6, earth: 'positive', ballast: 'none' }), house).weigher;
    const p = probe({ instrument: 'voltmeter', live: 'coil+', earth: '0', state: closed });
    expect(positive.learn(p)?.touch ?? '').toMatch(/^Touch black to|^$/);
    expect(weigher.learn(p)!.touch).toMatch(/^Touch red to coil \+, black to/);
  });
  it('what is unplugged is out of circuit: with the coil off no current flows', () => {
    const off = probe({ instrument: 'clamp meter', live: 'ballast', state: closed, unplugged: ['coil'] });
    expect(reads(off)).toBeCloseTo(0, 6);
    expect(weigher.learn(off)!.set).toContain('Unplugged: ');
  });
  it('ohms are measured with the key and the battery off', () => {
    const ohms = weigher.learn(probe({ instrument: 'ohmmeter', live: 'coil+', earth: 'coil-', state: 'idling' }))!;
    expect(ohms.state).toMatchObject({ key: 'off', unplugged: ['battery'] });
    expect(ohms.set).toMatch(/Key off\. Battery off\./);
  });
  it('names what it needs opened and what is dangerous, from the checks that touch the same places', () => {
    const points = weigher.learn(
      probe({ instrument: 'voltmeter', live: 'points', earth: 'plate', state: 'cranking' }),
    )!;
    expect(points.cautions).toContain('rotating parts');
    expect(points.opens).toContain('cap off');
  });
  it.each([
    ['an unknown place', { instrument: 'voltmeter', live: 'nowhere', earth: '0', state: 'key on' }],
    ['both leads on one place', { instrument: 'voltmeter', live: 'coil+', earth: 'coil+', state: 'key on' }],
    ['a clamp around no wire', { instrument: 'clamp meter', live: 'plug-1', state: 'key on' }],
    [
      'an unknown part unplugged',
      { instrument: 'voltmeter', live: 'coil+', earth: '0', state: 'key on', unplugged: ['x'] },
    ],
  ] as const)('%s is no check', (_name, given) => {
    expect(weigher.learn(freeProbeSchema.parse(given))).toBeUndefined();
  });
  it('the same probe has the same name, in whatever order things were unplugged', () => {
    const one = probe({
      instrument: 'voltmeter',
      live: 'coil+',
      earth: '0',
      state: closed,
      unplugged: ['coil', 'points'],
    });
    expect(freeProbeId({ ...one, unplugged: ['points', 'coil'] })).toBe(freeProbeId(one));
    expect(freeProbeId({ ...one, live: 'coil-' })).not.toBe(freeProbeId(one));
  });
});

describe('a job by probes alone', () => {
  it('burnt points are named by three voltages that no list has', () => {
    const tracer = new Tracer(machine({}, { 'points.contactOhms': pin(0.02) }), house);
    const burnt = tracer.model.faults.find((f) => f.id === 'points.burnt')!;
    const hidden = new HiddenMachine(tracer.model, [burnt], seededRandom(11));
    const state = 'key on, points closed' as const;
    const probes = [
      ['coil-', 'plate'],
      ['ballast-in', 'coil-'],
      ['coil-', 'block'],
    ].map(([live, earth]) => probe({ instrument: 'voltmeter', live: live!, earth: earth!, state }));
    const events: JobEvent[] = probes.map((p, i) => {
      const check = tracer.weigher.learn(p)!;
      return {
        type: 'reading',
        reading: {
          ...failing,
          id: `p${i}`,
          checkId: check.id,
          probe: p,
          value: hidden.read(check),
          typed: '',
          note: '',
          at: '2026-01-01T00:00:00Z',
        },
      };
    });
    const share = (e: JobEvent[]) =>
      tracer.trace(noFire, e, failing).lines.find((l) => l.repair.id === burnt.repairId)?.share ?? 0;
    expect(share(events)).toBeGreaterThan(5 * share([]));
    expect(share(events)).toBeGreaterThan(0.4);
    // Another tracer, which never learnt the probes, reads the same out of the same facts.
    const fresh = new Tracer(machine({}, { 'points.contactOhms': pin(0.02) }), house);
    expect(fresh.trace(noFire, events, failing).lines[0]!.repair.id).toBe(burnt.repairId);
  });
  it('its ruler shows the suspects that it tells apart', () => {
    const tracer = new Tracer(machine(), house);
    const check = tracer.weigher.learn(
      probe({ instrument: 'voltmeter', live: 'coil-', earth: 'plate', state: 'key on, points closed' }),
    )!;
    const labels = jobRuler(tracer, noFire, [], check).suspects.map((s) => s.label);
    expect(labels.some((l) => l.startsWith('Points'))).toBe(true);
  });
});
