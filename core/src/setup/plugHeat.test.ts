import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TIPS, type Tip } from '../schema/sheet.ts';
import { plugHeat } from './plugHeat.ts';

const all = (tip: Tip, cylinders = 4): Tip[] => Array.from({ length: cylinders }, () => tip);

describe('the heat range of plugs by their colour', () => {
  it('white all over is mixture and timing first, and a step colder once they are right', () => {
    expect(plugHeat(all('white'), false)).toEqual({ kind: 'first', look: 'mixture and timing' });
    expect(plugHeat(all('white'), true)).toEqual({ kind: 'colder', steps: 1 });
    expect(plugHeat(['white', 'blistered', 'white', 'white'], true)).toEqual({ kind: 'colder', steps: 2 });
  });
  it('dry soot all over is the mixture first, and a step hotter once it is right', () => {
    expect(plugHeat(all('dry soot', 6), false)).toEqual({ kind: 'first', look: 'mixture and choke' });
    expect(plugHeat(all('dry soot', 6), true)).toEqual({ kind: 'hotter', steps: 1 });
  });
  it('fuel that stands on all plugs is never their heat', () => {
    expect(plugHeat(all('wet'), true)).toEqual({ kind: 'first', look: 'ignition and fuel' });
  });
  it('brown is right; one alone is that cylinder’s own trouble', () => {
    expect(plugHeat(all('brown'), false)).toEqual({ kind: 'right' });
    expect(plugHeat(['brown', 'brown', 'white', 'brown'], true)).toEqual({ kind: 'own', cylinders: [3] });
    expect(plugHeat(['brown', 'dry soot', 'white', 'brown'], true)).toEqual({ kind: 'own', cylinders: [2, 3] });
  });
  it('plugs are changed for another heat only where all tell the same', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...TIPS), { minLength: 1, maxLength: 8 }), fc.boolean(), (tips, ruled) => {
        const says = plugHeat(tips, ruled)!;
        if (says.kind !== 'colder' && says.kind !== 'hotter') return;
        expect(ruled).toBe(true);
        const hot = (n: Tip) => n === 'white' || n === 'blistered';
        expect(tips.every((n) => (says.kind === 'colder' ? hot(n) : n === 'dry soot'))).toBe(true);
      }),
    );
  });
  it('nothing looked at says nothing', () => expect(plugHeat([], true)).toBeUndefined());
});
