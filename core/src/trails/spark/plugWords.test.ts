import { describe, expect, it } from 'vitest';
import { looksOf, plugWordOf, plugWords } from './plugWords.ts';

describe('plugs laid side by side', () => {
  it.each([
    [['dry', 'dry', 'dry', 'dry'], 'all dry and even'],
    [['wet or sooty', 'wet or sooty', 'wet or sooty', 'wet or sooty'], 'all wet or sooty'],
    [['dry', 'dry', 'oily', 'dry'], 'only 3 is oily'],
    [['dry', 'wide gap', 'dry', 'dry'], 'only 2 has a wide gap'],
    [['wet or sooty', 'dry', 'dry', 'wet or sooty'], 'some are wet or sooty'],
    [['white'], 'all white'],
  ] as const)('%j: %s', (looks, word) => {
    expect(plugWordOf(looks)).toBe(word);
  });
  it('has no word for what nobody would say in one, nor for no plugs at all', () => {
    expect(plugWordOf(['white', 'white', 'dry'])).toBeUndefined();
    expect(plugWordOf(['oily', 'wide gap', 'dry'])).toBeUndefined();
    expect(plugWordOf([])).toBeUndefined();
  });
  it('reads back every answer but "some"', () => {
    for (const cylinders of [1, 2, 3, 4, 6, 8])
      for (const word of plugWords(cylinders)) {
        const looks = looksOf(word, cylinders);
        if (word === 'some are wet or sooty') expect(looks).toBeUndefined();
        else expect(plugWordOf(looks!), `${cylinders}: ${word}`).toBe(word);
      }
  });
});
