import { describe, expect, it } from 'vitest';
import { dueAgain, habitsOf, type LessonPast } from './habits.ts';

const past = (of: Partial<LessonPast> = {}): LessonPast => ({
  machineId: 'm',
  found: true,
  findings: [],
  faults: ['coil.primary-open'],
  minutes: 20,
  bestMinutes: 10,
  trails: ['spark'],
  ...of,
});
const well = (fault: string) => past({ faults: [fault] });
const missed = past({ found: false, findings: ['not found'] });

describe('habits', () => {
  it('are what shows in more than one lesson, the commonest first, and whether they grow rarer', () => {
    const skipped = past({ findings: ['splits skipped'] });
    const found = habitsOf([
      skipped,
      skipped,
      skipped,
      past({ findings: ['unproved'] }),
      ...Array<LessonPast>(4).fill(past()),
    ]);
    expect(found).toEqual([{ id: 'splits skipped', lessons: 3, lately: 0 }]);
  });
});

describe('what was mistaken', () => {
  it('comes back after another lesson, and later each time that it is found', () => {
    expect(dueAgain([missed])).toEqual([]);
    const one = [missed, well('a')];
    expect(dueAgain(one)).toEqual([{ machineId: 'm', faults: ['coil.primary-open'] }]);
    const again = [...one, past()];
    expect(dueAgain(again)).toEqual([]);
    expect(dueAgain([...again, well('b'), well('c')])).toEqual([]);
    expect(dueAgain([...again, well('b'), well('c'), well('d')])).toHaveLength(1);
  });
  it('starts anew where it is missed again, and stops once it was found each time', () => {
    const others = (n: number) => Array.from({ length: n }, (_, k) => well(`x${k}`));
    const twice = [missed, well('a'), past(), ...others(3), missed];
    expect(dueAgain([...twice, well('b')])).toHaveLength(1);
    const thrice = [missed, well('a'), past(), ...others(3), past(), ...others(7), past(), ...others(20)];
    expect(dueAgain(thrice)).toEqual([]);
  });
  it('of what ships with no machine of the shop nothing comes back', () => {
    expect(dueAgain([{ ...missed, machineId: null }, well('a')])).toEqual([]);
  });
});
