import { describe, expect, it } from 'vitest';
import { byTrail, trailOf, type Trails } from './byTrail.ts';

const at = (id: string) => ({ id, label: id, picture: 'wire' });
const trails: Trails = [
  { id: 'spark', kind: 'battery-points', stations: [at('battery'), at('coil')] },
  { id: 'charge', kind: 'alternator', stations: [at('belt'), at('battery')] },
];

describe('what stands on a trail', () => {
  it('a station that two trails share is on the first', () => {
    expect(trailOf(trails, 'battery')).toBe('spark');
    expect(trailOf(trails, 'belt')).toBe('charge');
    expect(trailOf(trails, 'nowhere')).toBeUndefined();
  });
  it('is given in the order of the trails, in its own order there, and none twice', () => {
    const found = byTrail(trails, ['belt', 'coil', 'engine', 'battery'], (s) => trailOf(trails, s));
    expect(found).toEqual([
      { trail: undefined, items: ['engine'] },
      { trail: 'spark', items: ['coil', 'battery'] },
      { trail: 'charge', items: ['belt'] },
    ]);
  });
});
