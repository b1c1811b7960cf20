import { describe, expect, it } from 'vitest';
import type { Element } from '../../../network/index.ts';
import type { Fit } from '../../../schema/fit.ts';
import {
  contactMade,
  fluxShare,
  offTheShelf as middle,
  OPEN_OHMS,
  PARTS,
  type Figures,
  type FiguresOf,
  type MachineState,
  type PartKind,
} from './index.ts';
import { meltingAmps } from '../../shared/parts/index.ts';

const fits: Fit[] = ([6, 12] as const).flatMap((volts) =>
  (['none', 'external', 'bypassed'] as const).map((ballast): Fit => ({
    spark: 'battery-points',
    litres: 1.6,
    volts,
    earth: 'negative',
    cylinders: 4,
    ballast,
    fused: true,
    marine: false,
    compressionRatio: 8,
  })),
);
const plain = fits.find((f) => f.volts === 12 && f.ballast === 'none')!;
const ballasted = fits.find((f) => f.volts === 12 && f.ballast === 'external')!;
const kinds = Object.entries(PARTS) as [string, PartKind][];

const failed = <Has extends string, May extends string>(
  kind: PartKind<Has, May>,
  fault: string,
  severity = 0.5,
  fit = plain,
): Figures<Has, May> => kind.faults.find((f) => f.id === fault)!.apply(middle(kind, fit), severity, fit);
const on: MachineState = { key: 'on', points: 'closed' };
const elements = <Has extends string, May extends string>(
  kind: PartKind<Has, May>,
  p: Figures<NoInfer<Has>, NoInfer<May>>,
  state: MachineState = on,
  fit = plain,
): Element[] =>
  kind.elements(p, {
    id: 'x',
    nodes: { a: 'a', b: 'b', tower: 't', earth: 'e', in: 'in', trigger: 'trg', supply: 's', signal: 'sig' },
    fit,
    state,
  });
const ohmsOf = (list: Element[], id: string): number => {
  const e = list.find((x) => x.id === id)!;
  if (e.type === 'resistor') return e.ohms;
  if (e.type === 'switch') return e.closed ? e.onOhms : e.offOhms;
  throw new Error(e.type);
};

describe.each(kinds)('%s keeps the contract', (_name, kind) => {
  it('has plate bands that stand upright on every fit-out', () => {
    for (const fit of fits)
      for (const plate of kind.plates) {
        const { low, high } = plate.typical(fit);
        expect(low, plate.id).toBeLessThanOrEqual(high);
        expect(low, plate.id).toBeGreaterThanOrEqual(0);
      }
  });
  it('mends every way of failing by a repair of its own', () => {
    const repairs = new Set(kind.repairs.map((r) => r.id));
    for (const fault of kind.faults) expect(repairs, fault.id).toContain(fault.repair);
    for (const r of kind.repairs) expect(r.label).toMatch(/^[A-Z][a-z]+ /);
    expect(new Set(kind.faults.map((f) => f.id)).size).toBe(kind.faults.length);
  });
  it('fails without touching the sound figures, and differently from them', () => {
    for (const fit of fits)
      for (const fault of kind.faults)
        for (const severity of [0, 0.5, 1]) {
          const sound = middle(kind, fit);
          const before = JSON.stringify(sound);
          const after = fault.apply(sound, severity, fit);
          expect(JSON.stringify(sound)).toBe(before);
          expect(JSON.stringify(after), fault.id).not.toBe(before);
          for (const v of Object.values(after)) expect(Number.isFinite(v), fault.id).toBe(true);
        }
  });
  it('gives each of its elements a name of its own and resistances above zero', () => {
    for (const fault of [undefined, ...kind.faults]) {
      const p = fault ? fault.apply(middle(kind, plain), 0.7, plain) : middle(kind, plain);
      const list = elements(kind, p);
      expect(new Set(list.map((e) => e.id)).size).toBe(list.length);
      for (const e of list) if (e.type === 'resistor') expect(e.ohms, e.id).toBeGreaterThan(0);
    }
  });
});

describe('battery', () => {
  it('holds half the voltage in a six-volt machine', () => {
    const six = fits.find((f) => f.volts === 6)!;
    expect(middle(PARTS.battery, six)['restVolts']! * 2).toBeCloseTo(middle(PARTS.battery, plain)['restVolts']!, 9);
  });
  it('turns its source round on positive earth', () => {
    const source = (fit: Fit) =>
      elements(PARTS.battery, middle(PARTS.battery, fit), on, fit).find((e) => e.type === 'voltage');
    expect(source(plain)).toMatchObject({ volts: expect.any(Number) });
    const [minus, plus] = [source(plain), source({ ...plain, earth: 'positive' })];
    expect(minus?.type === 'voltage' && plus?.type === 'voltage' && minus.volts + plus.volts).toBe(0);
  });
  it('flat reads below a quarter charged, tired reads full', () => {
    expect(failed(PARTS.battery, 'flat', 0)['restVolts']).toBeLessThanOrEqual(12.0);
    expect(failed(PARTS.battery, 'tired')['restVolts']).toBe(middle(PARTS.battery, plain)['restVolts']);
    expect(failed(PARTS.battery, 'tired')['ohms']).toBeGreaterThan(3 * middle(PARTS.battery, plain)['ohms']!);
  });
});

describe('conductors', () => {
  it('corrode by degrees, break altogether', () => {
    const at = (s: number) => ohmsOf(elements(PARTS.wire, failed(PARTS.wire, 'corroded', s)), 'x');
    expect(at(0)).toBeLessThan(at(0.5));
    expect(at(0.5)).toBeLessThan(at(1));
    expect(ohmsOf(elements(PARTS.wire, failed(PARTS.wire, 'broken')), 'x')).toBe(OPEN_OHMS);
  });
  it('chafe to earth and nowhere else', () => {
    const list = elements(PARTS.wire, failed(PARTS.wire, 'chafed'));
    expect(ohmsOf(list, 'x.earth')).toBeLessThan(1);
    expect(list.find((e) => e.id === 'x.earth')).toMatchObject({ b: 'e' });
    expect(ohmsOf(list, 'x')).toBeLessThan(0.1);
  });
  it('a heavy joint gone bad would cost volts at starter current, not at ignition current', () => {
    const ohms = ohmsOf(elements(PARTS.heavyJoint, failed(PARTS.heavyJoint, 'corroded')), 'x');
    expect(ohms * 150).toBeGreaterThan(1);
    expect(ohms * 4).toBeLessThan(0.4);
  });
});

describe('fuse and switch', () => {
  it('a fuse melts well above its rating', () => {
    expect(meltingAmps(15)).toBeGreaterThan(15);
    expect(ohmsOf(elements(PARTS.fuse, failed(PARTS.fuse, 'blown')), 'x')).toBe(OPEN_OHMS);
  });
  it('a switch is open with the key off, whatever its contacts', () => {
    const off: MachineState = { key: 'off', points: 'open' };
    for (const p of [middle(PARTS.ignitionSwitch, plain), failed(PARTS.ignitionSwitch, 'worn')])
      expect(ohmsOf(elements(PARTS.ignitionSwitch, p, off), 'x')).toBe(OPEN_OHMS);
    expect(ohmsOf(elements(PARTS.ignitionSwitch, failed(PARTS.ignitionSwitch, 'worn', 1)), 'x')).toBeGreaterThan(10);
  });
  it('the cranking bypass feeds only while the starter turns', () => {
    const p = middle(PARTS.crankingBypass, ballasted);
    expect(ohmsOf(elements(PARTS.crankingBypass, p, { key: 'crank', points: 'closed' }), 'x')).toBeLessThan(0.2);
    expect(ohmsOf(elements(PARTS.crankingBypass, p, on), 'x')).toBe(OPEN_OHMS);
  });
  it('the starter loads only while it turns', () => {
    expect(elements(PARTS.starter, middle(PARTS.starter, plain))).toEqual([]);
    expect(elements(PARTS.starter, middle(PARTS.starter, plain), { key: 'crank', points: 'open' })).toHaveLength(1);
  });
});

describe('coil', () => {
  it('is about half as many ohms where a ballast stands before it', () => {
    const ratio = middle(PARTS.coil, plain)['primaryOhms']! / middle(PARTS.coil, ballasted)['primaryOhms']!;
    expect(ratio).toBeGreaterThan(2);
    expect(ratio).toBeLessThan(2.6);
  });
  it('of the wrong type is the other system’s coil', () => {
    expect(failed(PARTS.coil, 'wrong', 0, plain)['primaryOhms']).toBeLessThan(2);
    expect(failed(PARTS.coil, 'wrong', 0, ballasted)['primaryOhms']).toBeGreaterThan(3);
  });
  it('with shorted turns stores far less, more so than its ohms tell', () => {
    const [sound, bad] = [middle(PARTS.coil, plain), failed(PARTS.coil, 'primary-shorted')];
    expect(bad['primaryOhms']! / sound['primaryOhms']!).toBeGreaterThan(bad['henries']! / sound['henries']!);
  });
  it('that breaks down inside flashes below what a plug asks under compression', () => {
    expect(PARTS.coil.highTension!(failed(PARTS.coil, 'insulation', 0), plain).flashVolts).toBeLessThan(10e3);
    expect(PARTS.coil.highTension!(middle(PARTS.coil, plain), plain).flashVolts).toBeGreaterThan(30e3);
  });
});

describe('points', () => {
  const sound = middle(PARTS.points, plain);
  it.each([
    ['sound, cam low', sound, true, true],
    ['sound, cam high', sound, false, false],
    ['closed up, cam high', failed(PARTS.points, 'closed-up'), false, true],
    ['parted, cam low', failed(PARTS.points, 'parted'), true, false],
  ] as const)('%s', (_name, p, camAllows, made) => {
    expect(contactMade(p, camAllows)).toBe(made);
  });
  it('burnt, they still meet but through ohms', () => {
    expect(ohmsOf(elements(PARTS.points, failed(PARTS.points, 'burnt')), 'x')).toBeGreaterThan(1);
  });
  it('dwell shrinks with the number of cylinders', () => {
    const dwell = (cylinders: 4 | 6 | 8) => middle(PARTS.points, { ...plain, cylinders })['dwellDegrees']!;
    expect(dwell(4)).toBeGreaterThan(dwell(6));
    expect(dwell(6)).toBeGreaterThan(dwell(8));
    expect(dwell(4)).toBeLessThan(90);
  });
});

describe('the spark’s side', () => {
  it('a condenser open keeps only the wiring’s own farads; shorted it is metal', () => {
    expect(failed(PARTS.condenser, 'open', 1)['farads']).toBeLessThan(1e-9);
    expect(failed(PARTS.condenser, 'shorted')['leakOhms']).toBeLessThan(1);
    expect(failed(PARTS.condenser, 'leaky')['leakOhms']).toBeGreaterThan(10);
  });
  it('a plug fouled is below the megohm at which it counts as fouled, at any severity', () => {
    for (const s of [0, 1]) {
      expect(failed(PARTS.plug, 'fouled', s)['shuntOhms']).toBeLessThan(1e6);
      expect(failed(PARTS.plugSet, 'fouled', s)['shuntOhms']).toBeLessThan(1e6);
    }
    expect(middle(PARTS.plug, plain)['shuntOhms']).toBeGreaterThan(10e6);
  });
  it('a broken core is a gap to jump, not the end of the spark', () => {
    const open = PARTS.htLead.highTension!(failed(PARTS.htLead, 'open', 0), plain);
    expect(open.gapVolts).toBeGreaterThan(3e3);
    expect(open.gapVolts).toBeLessThan(15e3);
    expect(open.seriesOhms).toBeLessThan(1e6);
  });
  it('a punched rotor sends the spark to the shaft at a few kilovolts', () => {
    expect(PARTS.rotor.highTension!(failed(PARTS.rotor, 'punched'), plain).flashVolts).toBeLessThan(7e3);
  });
});

describe('what a flywheel drives', () => {
  it('a coil with turns shorted loses volts as it loses ohms; one that breaks down loses only volts', () => {
    const [sound, turns, down] = [
      middle(PARTS.chargeCoil, plain),
      failed(PARTS.chargeCoil, 'turns'),
      failed(PARTS.chargeCoil, 'breaks-down'),
    ];
    expect(turns['ohms']! / sound['ohms']!).toBeCloseTo(turns['voltsPerRpm']! / sound['voltsPerRpm']!, 9);
    expect(down['ohms']).toBe(sound['ohms']);
    expect(down['voltsPerRpm']).toBeLessThan(sound['voltsPerRpm']! / 2);
  });
  it('a stop switch earths every wire it is given, at stop only, unless it is held at run', () => {
    const nodes = { a1: 'one', a2: 'two', b: '0' };
    const at = (state: MachineState, p = middle(PARTS.stopSwitch, plain)) =>
      PARTS.stopSwitch.elements(p, { id: 's', nodes, fit: plain, state });
    const off: MachineState = { key: 'off', points: 'open' };
    for (const pole of ['a1', 'a2']) {
      expect(ohmsOf(at(off), `s.${pole}`)).toBeLessThan(1);
      expect(ohmsOf(at({ ...off, stopHeld: 'run' }), `s.${pole}`)).toBe(OPEN_OHMS);
      expect(ohmsOf(at(on), `s.${pole}`)).toBe(OPEN_OHMS);
      expect(ohmsOf(at(on, failed(PARTS.stopSwitch, 'stuck')), `s.${pole}.earth`)).toBeLessThan(1);
    }
  });
  it('flux halves with 1.4 mm more of air, and is whole at the gap it was made for', () => {
    expect(fluxShare(0.3e-3)).toBe(1);
    expect(fluxShare(1.7e-3)).toBeCloseTo(0.5, 9);
  });
  it('each output of a pack can die alone', () => {
    const dead = failed(PARTS.pack, 'channel-3');
    expect(dead['dead-3']).toBe(1);
    expect(dead['dead']).toBe(0);
  });
});

describe('what electronics switch with', () => {
  const crank: MachineState = { key: 'crank', points: 'closed' };
  const made = (state: MachineState, p: FiguresOf<typeof PARTS.module>) => {
    const list = PARTS.module.elements(p, {
      id: 'm',
      nodes: { a: 'a', b: 'b', supply: 's', trigger: 't' },
      fit: plain,
      state,
    });
    const e = list.find((x) => x.id === 'm')!;
    return e.type === 'switch' && e.closed;
  };
  const sound = middle(PARTS.module, plain);
  it.each([
    ['cranking, told', crank, sound, true],
    ['cranking, between two', { ...crank, points: 'open' }, sound, false],
    ['key on, engine still', { key: 'on', points: 'closed' }, sound, false],
    ['key on, told by hand', { key: 'on', points: 'closed', told: 'by hand' }, sound, true],
    ['untold', crank, { ...sound, untold: 1 }, false],
    ['untold, but told by hand', { ...crank, told: 'by hand' }, { ...sound, untold: 1 }, true],
    ['unfed, told by hand', { ...crank, told: 'by hand' }, { ...sound, unfed: 1 }, false],
    ['dead', crank, failed(PARTS.module, 'dead'), false],
    ['dead, a good one in its place', { ...crank, clipped: ['m'] }, failed(PARTS.module, 'dead'), true],
    ['shorted, key on', { key: 'on', points: 'open' }, failed(PARTS.module, 'stuck'), true],
    ['shorted, key off', { key: 'off', points: 'open' }, failed(PARTS.module, 'stuck'), false],
  ] as const)('a module %s', (_name, state, p, closed) => {
    expect(made(state, p)).toBe(closed);
  });
  it('a sensor pulls its signal down as the vane passes, unless it is dead, unfed or shorted', () => {
    const at = (points: 'open' | 'closed', p: FiguresOf<typeof PARTS.sensor>) => {
      const nodes = { supply: 's', signal: 'sig', earth: 'e' };
      const list = PARTS.sensor.elements(p, { id: 'x', nodes, fit: plain, state: { key: 'on', points } });
      return ohmsOf(list, 'x.output') < 1000;
    };
    const whole = middle(PARTS.sensor, plain);
    expect([at('open', whole), at('closed', whole)]).toEqual([true, false]);
    expect(at('open', { ...whole, unfed: 1 })).toBe(false);
    expect(at('open', failed(PARTS.sensor, 'dead'))).toBe(false);
    expect(at('closed', failed(PARTS.sensor, 'shorted'))).toBe(true);
  });
  it('a module holds a sensor’s signal up only where it has to', () => {
    const list = (nodes: Record<string, string>) =>
      PARTS.module.elements(sound, {
        id: 'm',
        nodes: { a: 'a', b: 'b', supply: 's', trigger: 't', ...nodes },
        fit: plain,
        state: on,
      });
    expect(list({ pull: 't' }).some((e) => e.id === 'm.pull')).toBe(true);
    expect(list({}).some((e) => e.id === 'm.pull')).toBe(false);
  });
  it('a feed taken from behind the ballast joins another node; where there is no such node, its own', () => {
    const from = (nodes: Record<string, string>) =>
      PARTS.moduleFeed.elements(failed(PARTS.moduleFeed, 'behind'), { id: 'f', nodes, fit: ballasted, state: on })[0];
    expect(from({ a: 'switch', b: 'm', behind: 'coil+' })).toMatchObject({ a: 'coil+' });
    expect(from({ a: 'switch', b: 'm' })).toMatchObject({ a: 'switch' });
  });
  it('plug coils draw together what one of them does, since they take turns', () => {
    const of = (cylinders: 4 | 8) =>
      ohmsOf(
        PARTS.plugCoil.elements(middle(PARTS.plugCoil, plain), {
          id: 'c',
          nodes: { a: 'a', b: 'b' },
          fit: { ...plain, cylinders },
          state: crank,
        }),
        'c',
      );
    expect(of(8) / of(4)).toBeCloseTo(2, 9);
  });
});

describe('what earlier owners added', () => {
  it('a sound box costs hundredths of an ohm, a resistor what it is', () => {
    expect(middle(PARTS.addedBox, plain)['ohms']).toBeLessThan(0.2);
    expect(middle(PARTS.addedResistor, plain)['ohms']).toBeGreaterThan(0.5);
    expect(PARTS.addedResistor.plates[0]!.hidden).toBeUndefined();
  });
  it('a poor joint comes on top of what the thing itself has', () => {
    const poor = failed(PARTS.addedResistor, 'poor');
    expect(poor['ohms']).toBeGreaterThan(middle(PARTS.addedResistor, plain)['ohms']! + 1);
  });
});
