import { describe, expect, it } from 'vitest';
import { saidOf, seededRandom } from '@pondu/core';
import { SYMPTOM_GROUPS, SYMPTOMS } from './complaint.ts';
import { heardIn } from './heard.ts';

describe('what an owner may mean', () => {
  // As owners say it at the door.
  it.each([
    ['Turns over well and does nothing.', 'no-fire'],
    ['It won’t start', 'no-fire'],
    ['Runs ten minutes and dies after 10 minutes, goes again when it has cooled', 'stalls'],
    ['Just cuts out on the road', 'dies'],
    ['only on three cylinders since Sunday', 'misses'],
    ['Turn the key and nothing, not even a click', 'crank-nothing'],
    ['One click and that is it', 'crank-click'],
    ['chatters like mad', 'crank-chatter'],
    ['cranks slowly in the morning', 'crank-slow'],
    ['starter spins free', 'crank-free'],
    ['The battery boils', 'overcharge'],
    ['red light stays on', 'lamp-wrong'],
    ['Stinks, smells of petrol and black smoke', 'floods'],
    ['no power on the hill', 'no-pull'],
    ['won’t idle at the lights', 'no-idle'],
    ['it is hunting and idles too fast', 'idle-wrong'],
    ['stumbles until it is warm', 'cold-runs'],
    ['kicks back at my wrist', 'kicks-back'],
    ['pinks going uphill', 'knocks'],
    ['I turn the key off and it runs on', 'will-not-stop'],
    ['battery flat in the morning', 'flat-overnight'],
    ['doesn’t charge any more', 'no-charge'],
    ['takes ages to catch', 'hard-start'],
    ['a nasty grinding noise', 'crank-grinds'],
    ['starter keeps turning after I let go', 'crank-stays'],
  ] as const)('“%s”', (words, symptom) => {
    expect(heardIn(words)).toContain(symptom);
    expect(heardIn(words).length).toBeLessThanOrEqual(3);
  });
  it('nothing is made of words that say nothing', () => {
    expect(heardIn('')).toEqual([]);
    expect(heardIn('Blue one, see Anna about it')).toEqual([]);
  });
  it('every symptom stands in one group and one alone', () => {
    const grouped = SYMPTOM_GROUPS.flatMap((g) => g.options.map((o) => o.value));
    expect([...grouped].sort()).toEqual(SYMPTOMS.map((s) => s.value).sort());
    expect(SYMPTOM_GROUPS).toHaveLength(5);
  });
  it('every owner of the practice bench is heard, whichever way he says it', () => {
    const deaf = SYMPTOMS.flatMap(({ value: symptom }) => {
      const said = Array.from({ length: 12 }, (_, k) => saidOf({ symptom, pattern: 'constant' }, seededRandom(k)));
      return [...new Set(said)]
        .filter((words) => !heardIn(words).includes(symptom))
        .map((words) => `${symptom}: ${words}`);
    });
    expect(deaf).toEqual([]);
  });
});
