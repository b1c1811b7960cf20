import { describe, expect, it } from 'vitest';
import type { Opening } from '../machine/check.ts';
import { inWalkingOrder } from './walk.ts';

const check = (id: string, station: string, ...opens: Opening[]) => ({ id, station, opens });
const STATIONS = ['battery', 'coil', 'points', 'plugs'];
const order = (checks: Parameters<typeof inWalkingOrder>[0], open: readonly Opening[] = []) =>
  inWalkingOrder(checks, STATIONS, open).map((c) => c.id);

describe('the order of walking', () => {
  it('from the source on where nothing is opened, then one opening after the other', () => {
    const checks = [
      check('plugs by eye', 'plugs', 'plugs out'),
      check('gap', 'points', 'cap off'),
      check('coil volts', 'coil'),
      check('points by eye', 'points', 'cap off'),
      check('rest volts', 'battery'),
      check('plug ohms', 'plugs', 'plugs out'),
    ];
    const found = order(checks);
    expect(found.slice(0, 2)).toEqual(['rest volts', 'coil volts']);
    // Nobody takes the cap off, the plugs out, and the cap off again.
    const at = (id: string) => found.indexOf(id);
    expect(Math.abs(at('gap') - at('points by eye'))).toBe(1);
    expect(Math.abs(at('plugs by eye') - at('plug ohms'))).toBe(1);
  });
  it('what is open already costs nothing more', () => {
    const checks = [check('coil volts', 'coil'), check('gap', 'battery', 'cap off')];
    expect(order(checks)).toEqual(['coil volts', 'gap']);
    expect(order(checks, ['cap off'])).toEqual(['gap', 'coil volts']);
  });
  it('a station that is on no trail comes last', () => {
    expect(order([check('try it', 'elsewhere'), check('plug', 'plugs')])).toEqual(['plug', 'try it']);
  });
});
