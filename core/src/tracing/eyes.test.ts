import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../__tests__/everyKind.ts';
import { failing, fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { HiddenMachine } from '../practice/hiddenMachine.ts';
import { seededRandom } from '../random/lcg.ts';
import { mistoldShare, unclaimed } from './likelihood.ts';
import { buildModel } from './model.ts';
import { goTogether } from './onePart.ts';
import { Tracer } from './trace.ts';
import { wellWord } from './wellWord.ts';

const tracer = new Tracer(machine(), house);
const { model } = tracer;
const check = (id: string) => tracer.weigher.check(id)!;
const word = (w: string) => ({ kind: 'word', word: w }) as const;

describe('eyes overlook more than they invent', () => {
  it('a look that is told wrongly mostly says what a sound machine shows', () => {
    expect(wellWord(model, check('look-cap'))).toBe('sound');
    const words = check('look-cap').words!;
    const shares = words.map((w) => mistoldShare(words.length, w, 'sound'));
    expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
    expect(shares[words.indexOf('sound')]).toBeGreaterThan(10 * shares[words.indexOf('tracked')]!);
  });
  it('and so does whoever plays the machine', () => {
    const hidden = new HiddenMachine(model, [], seededRandom(3), { mistold: 1, misprobe: 1 });
    const told = Array.from({ length: 400 }, () => hidden.read(check('look-cap')));
    const well = told.filter((v) => v.kind === 'word' && v.word === 'sound').length;
    expect(well / told.length).toBeGreaterThan(0.7);
    expect(well / told.length).toBeLessThan(0.9);
  });
  it('something that nobody knows leaves a part that is looked at as it is, and may do anything to the engine', () => {
    expect(unclaimed(check('look-cap'), word('tracked'), 'sound')).toBeLessThan(0.1);
    expect(unclaimed(check('try-it'), word('does not fire'), 'runs even')).toBeCloseTo(1 / 4, 12);
  });
  it('every look of every kind has a word that is well', () => {
    for (const [name, body] of EVERY_KIND) {
      const own = buildModel(body, house);
      for (const c of own.checks)
        if (c.instrument === 'eyes') expect(c.words, `${name} ${c.id}`).toContain(wellWord(own, c));
    }
  });
  it('what was seen at a part behind a repair is believed', () => {
    const events = [
      reading('look-points', 'burnt or dirty'),
      fix('points.dress'),
      reading('spark-coil-lead', 'good'),
      reading('look-cap', 'tracked'),
    ];
    const { lines, outside } = tracer.trace({ ...noFire, symptom: 'misses' }, events, failing);
    expect(lines[0]!.repair.id).toBe('cap.replace');
    expect(lines[0]!.share).toBeGreaterThan(0.6);
    expect(outside).toBeLessThan(0.05);
  });
});

describe('a part that fails in two ways', () => {
  const one = (id: string) => model.faults.find((f) => f.id === id)!;
  it('does so where they change nothing in common and are put right together', () => {
    expect(goTogether(model, one('condenser.open'), one('condenser.leaky'))).toBe(true);
    expect(goTogether(model, one('condenser.shorted'), one('condenser.leaky'))).toBe(false);
    expect(goTogether(model, one('points.burnt'), one('points.closed-up'))).toBe(false);
    expect(goTogether(model, one('points.burnt'), one('condenser.leaky'))).toBe(true);
  });
  it('a condenser that arcs at the points and leaks on a meter is one line, not something unknown', () => {
    const events = [reading('watch-points', 'fat arcs'), reading('condenser-insulation', 40e3)];
    const { lines, outside } = tracer.trace({ ...noFire, symptom: 'misses' }, events, failing);
    expect(lines[0]!.repair.id).toBe('condenser.replace');
    expect(lines[0]!.share).toBeGreaterThan(0.5);
    expect(outside).toBeLessThan(0.2);
  });
});
