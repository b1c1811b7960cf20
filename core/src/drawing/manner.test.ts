import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../__tests__/everyKind.ts';
import { checksOf, type Check } from '../trails/checks.ts';
import { buildMachine } from '../trails/index.ts';
import { MANNERS, mannerOf, mannerOfProbe } from './manner.ts';

const checks = new Map<string, Check>();
for (const [, { fitOut }] of EVERY_KIND)
  for (const check of checksOf(buildMachine(fitOut))) if (!checks.has(check.id)) checks.set(check.id, check);
const of = (id: string) => mannerOf(checks.get(id)!);

describe('how a check is made', () => {
  // As somebody who has made it would draw it.
  it.each([
    ['battery-rest', 'volts to earth'],
    ['coil-minus-closed', 'volts to earth'],
    ['coil-feed-drop', 'volts along'],
    ['crank-cable-drop', 'volts along'],
    ['coil-primary', 'ohms on the bench'],
    ['crank-contacts-rest', 'ohms on the bench'],
    ['points-line-to-earth', 'ohms in place'],
    ['lamp-cranking', 'lamp'],
    ['spark-coil-lead', 'spark'],
    ['points-gap', 'feeler'],
    ['charge-amps', 'clamp'],
    ['charge-drain', 'in series'],
    ['look-plugs', 'plugs laid out'],
    ['crank-listen', 'watched cranking'],
    ['exhaust-smoke', 'watched running'],
    ['look-points', 'taken apart'],
    ['look-clamps', 'looked at'],
  ] as const)('%s: %s', (id, manner) => expect(of(id)).toBe(manner));

  it('no picture is drawn for nothing, and whatever leads both places are volts or ohms', () => {
    const drawn = new Map([...checks.values()].map((c) => [mannerOf(c), c]));
    expect(MANNERS.filter((m) => !drawn.has(m))).toEqual([]);
    for (const check of checks.values())
      if (check.probe.kind === 'across' && check.instrument === 'voltmeter')
        expect(mannerOf(check), check.id).toMatch(/^volts/);
  });
  it('leads put anywhere are drawn as they are put', () => {
    expect(mannerOfProbe({ instrument: 'voltmeter', live: 'coil+', earth: 'block' })).toBe('volts to earth');
    expect(mannerOfProbe({ instrument: 'voltmeter', live: 'main', earth: 'coil+' })).toBe('volts along');
    expect(mannerOfProbe({ instrument: 'ohmmeter', live: 'main', earth: 'coil+' })).toBe('ohms in place');
    expect(mannerOfProbe({ instrument: 'clamp meter', live: 'main', earth: '' })).toBe('clamp');
  });
});
