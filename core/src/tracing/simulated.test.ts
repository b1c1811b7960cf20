import { afterEach, describe, expect, it, vi } from 'vitest';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { failing, fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { everyComplaint } from '../engine/complaint.ts';
import type { MachineBody } from '../schema/machine.ts';
import { traceView } from '../views/views.ts';
import { Ensemble } from './ensemble.ts';
import { simulatedName, TracerCache } from './tracerCache.ts';

const KEPT = 4;
const MACHINES: Readonly<Record<string, MachineBody>> = {
  'breaker points': machine(),
  'a generator': CHARGED['generator, six volts, positive earth']!,
};
const story = [reading('battery-rest', 12.5), reading('battery-cranking', 10.4)];

afterEach(() => void vi.restoreAllMocks());

describe.each(Object.entries(MACHINES))('what was simulated of a machine with %s, read elsewhere', (_name, car) => {
  const here = new TracerCache(KEPT);
  const traced = traceView(here.for(car, house), noFire, story, failing);
  const text = here.simulated(car, house);

  it('traces the same without simulating anything again', () => {
    const there = new TracerCache(KEPT);
    expect(there.knows(car, house)).toBe(false);
    expect(there.recall(car, house, text)).toBe(true);
    expect(there.knows(car, house)).toBe(true);
    const scenes = vi.spyOn(Ensemble.prototype, 'scene');
    expect(traceView(there.for(car, house), noFire, story, failing)).toEqual(traced);
    expect(scenes).not.toHaveBeenCalled();
  });
  it('goes on as if it had been simulated there: what was not asked before is simulated then', () => {
    const there = new TracerCache(KEPT);
    there.recall(car, house, text);
    const further = [
      ...story,
      fix('battery.charge'),
      reading('try-it', 'does not fire'),
      reading('battery-rest', 12.7),
    ];
    const misses = { ...noFire, symptom: 'misses' } as const;
    const fresh = traceView(new TracerCache(KEPT).for(car, house), misses, further, failing);
    expect(traceView(there.for(car, house), misses, further, failing)).toEqual(fresh);
  });
  it('simulated in full, the first trace of any complaint plays no machine', () => {
    const full = new TracerCache(KEPT);
    full.for(car, house).weigher.simulate();
    const said = full.simulated(car, house);
    const scenes = vi.spyOn(Ensemble.prototype, 'scene');
    for (const complaint of everyComplaint()) {
      const there = new TracerCache(1);
      there.recall(car, house, said);
      expect(there.for(car, house).trace(complaint, [], failing).ranked.length).toBeGreaterThan(0);
    }
    expect(scenes).not.toHaveBeenCalled();
  });
  it('is refused by another machine, and by other house rules', () => {
    const there = new TracerCache(KEPT);
    const other = {
      ...car,
      plates: { 'battery.restVolts': { low: 12.5, high: 12.5, source: 'manual', note: '' } as const },
    };
    expect(there.recall(other, house, text)).toBe(false);
    expect(there.recall(car, { ...house, owns: ['eyes'] }, text)).toBe(false);
    expect(there.knows(other, house)).toBe(false);
    expect(simulatedName(other, house)).not.toBe(simulatedName(car, house));
    expect(simulatedName({ ...car, name: 'called otherwise' }, house)).toBe(simulatedName(car, house));
  });
});
