import { describe, expect, it } from 'vitest';
import { failing, fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import type { JobEvent } from '../schema/job.ts';
import type { StationState } from './stations.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(machine(), house);
const statesOf = (events: readonly JobEvent[]) => {
  const { stations } = tracer.trace(noFire, events, failing);
  return (id: string): StationState['state'] => stations.find((s) => s.id === id)!.state;
};

describe('what is known of a station', () => {
  const noFeed = [reading('ballast-volts', 12.4), reading('coil-feed-closed', 0.01), reading('ballast-ohms', 'OL')];

  it('before any reading nothing is proven or cleared', () => {
    const { stations } = tracer.trace(noFire, [], failing);
    expect(new Set(stations.map((s) => s.state))).toEqual(new Set(['unknown']));
  });
  it('leads, cap and plugs, which nobody touched, are cleared at most once the ballast is found', () => {
    const at = statesOf(noFeed);
    expect(at('ballast')).toBe('lost here');
    for (const untouched of ['cap', 'plug-leads', 'plugs']) expect(at(untouched), untouched).not.toBe('proven');
    expect(['cap', 'plug-leads', 'plugs'].map(at)).toContain('cleared');
  });
  it('the same volts with the current flowing prove the switch', () => {
    expect(statesOf([reading('ballast-volts', 12.1), reading('coil-feed-closed', 6.5)])('switch')).toBe('proven');
  });
  it('points that are found burnt prove nothing about plugs, cap and leads', () => {
    const at = statesOf([
      reading('coil-feed-closed', 12.3),
      reading('points-drop', 11.8),
      reading('look-points', 'burnt'),
    ]);
    expect(at('points')).toBe('lost here');
    for (const untouched of ['cap', 'plug-leads', 'plugs', 'rotor'])
      expect(at(untouched), untouched).not.toBe('proven');
  });
  it('a good spark from the coil proves what feeds and breaks it, by that one reading', () => {
    const at = statesOf([reading('spark-coil-lead', 'good')]);
    for (const through of ['coil', 'points', 'condenser', 'ballast', 'switch'])
      expect(at(through), through).toBe('proven');
    expect(at('cap')).toBe('unknown');
  });
  it('a proof falls with its reading when that is corrected', () => {
    const good = reading('spark-coil-lead', 'good');
    if (good.type !== 'reading') throw new Error('not a reading');
    const none = reading('spark-coil-lead', 'none', { supersedes: good.reading.id });
    expect(statesOf([good])('coil')).toBe('proven');
    expect(statesOf([good, none])('coil')).not.toBe('proven');
  });
  it('a reading taken while the fault was away proves nothing', () => {
    expect(statesOf([reading('spark-coil-lead', 'good', { faultPresent: 'no' })])('coil')).not.toBe('proven');
  });
  it('a dead feed tells nothing of what stands behind it: a coil under 0 V is not proven', () => {
    const at = statesOf([reading('ballast-volts', 0), reading('coil-feed-closed', 0)]);
    expect(at('coil')).not.toBe('proven');
    expect(at('condenser')).not.toBe('proven');
  });
  it('a proof falls when something was opened there since', () => {
    const pass = reading('spark-plug-lead', 'good');
    const through = statesOf([pass])('rotor');
    const since = statesOf([pass, reading('rotor-jump', 'jumps')]);
    expect(through).toBe('proven');
    expect(since('coil')).toBe('proven');
  });
  it('what was put right is out of the account', () => {
    const at = statesOf([...noFeed, fix('ballast.replace'), reading('spark-plug-lead', 'good')]);
    expect(at('ballast')).toBe('proven');
  });
});
