import { describe, expect, it } from 'vitest';
import { FUELLED } from '../__tests__/fuelMachines.ts';
import { house, machine, noFire, reading } from '../__tests__/machines.ts';
import { buildModel } from '../tracing/model.ts';
import { clearingView, looksDrowned } from './clearing.ts';

describe('a job of a drowned engine', () => {
  it('is known by its complaint, by all plugs wet or one that drips, and by a try that cleared it', () => {
    expect(looksDrowned(noFire, [])).toBe(false);
    expect(looksDrowned({ ...noFire, also: 'floods' }, [])).toBe(true);
    for (const word of ['all wet or sooty', 'dripping', 'catches and clears'])
      expect(looksDrowned(noFire, [reading('look', word)])).toBe(true);
    for (const word of ['only 2 is wet or sooty', 'bone dry', 'no different'])
      expect(looksDrowned(noFire, [reading('look', word)])).toBe(false);
  });
  it('has its minutes where fuel is told, and none where it is not', () => {
    const [body] = Object.values(FUELLED);
    expect(clearingView(buildModel(body!, house), 20)!.strokes).toBeGreaterThan(10);
    expect(clearingView(buildModel(machine(), house), 20)).toBeNull();
  });
});
