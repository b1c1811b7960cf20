import { describe, expect, it } from 'vitest';
import { figuresAt, figuresIfAny, hasFigures, needed, withFigures } from './figures.ts';
import { Footprint } from './footprint.ts';
import { offTheShelf, type FiguresOf, type PartKind } from './part.ts';
import { fitOf } from '../schema/fit.ts';
import { machine } from '../__tests__/machines.ts';

const params = { fuse: { ratedAmps: 15, ohms: 0.01, holderOhms: 0.02 } };

describe('figures of another part', () => {
  it('come by the part’s id', () => {
    expect(figuresAt(params, 'fuse').ratedAmps).toBe(15);
    expect(figuresIfAny(params, 'fuse')).toBe(params.fuse);
  });
  it('of a part that the machine has not are refused by its name, or nothing where that is said', () => {
    expect(() => figuresAt(params, 'condenser')).toThrow('no part "condenser"');
    expect(figuresIfAny(params, 'condenser')).toBeUndefined();
    expect([hasFigures(params, 'fuse'), hasFigures(params, 'condenser')]).toEqual([true, false]);
  });
  it('are put in their place without touching what was given', () => {
    const blown = withFigures(params, 'fuse', { ...params.fuse, ohms: 1e12 });
    expect(figuresAt(blown, 'fuse').ohms).toBe(1e12);
    expect(params.fuse.ohms).toBe(0.01);
  });
  it('that only some of a kind have are refused by name where they are missing', () => {
    expect(needed(310, 'limitVolts')).toBe(310);
    expect(needed(0, 'limitVolts')).toBe(0);
    expect(() => needed(undefined, 'limitVolts')).toThrow('"limitVolts"');
  });
  it('leave a trace in the footprint of whoever asks, for what is not there as well', () => {
    const footprint = new Footprint();
    const watched = footprint.watching(params);
    hasFigures(watched, 'condenser');
    figuresAt(watched, 'fuse');
    expect([...footprint.parts]).toEqual(['condenser', 'fuse']);
  });
});

describe('a kind’s figures', () => {
  // A name that no plate has, or one left out, does not compile: the types are the check.
  const lamp: PartKind<'watts', 'blown'> = {
    kind: 'lamp',
    symbol: 'lamp',
    plates: [{ id: 'watts', label: 'Power', dimension: 'ratio', typical: () => ({ low: 2, high: 4 }) }],
    repairs: [],
    faults: [{ id: 'blown', label: 'blown', weight: 1, repair: '', apply: (p) => ({ ...p, blown: 1 }) }],
    elements: () => [],
  };
  it('are those of its plates, in the middle of their bands off the shelf', () => {
    const fit = fitOf(machine().fitOut);
    const sound: FiguresOf<typeof lamp> = offTheShelf(lamp, fit);
    expect(sound).toEqual({ watts: 3 });
    expect(lamp.faults[0]!.apply(sound, 0.5, fit).blown).toBe(1);
  });
});
