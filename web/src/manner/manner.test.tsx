import { MANNERS } from '@pondu/core';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { MannerPicture } from './MannerPicture.tsx';

afterEach(cleanup);

/** Points that a path goes through, by its own letters: lines whole, curves by where they end. */
const numbers = (d: string): number[] => [...d.matchAll(/-?\d+(?:\.\d+)?/g)].map(([n]) => Number(n));

describe('small pictures of how a check is made', () => {
  it.each(MANNERS)('%s: drawn, named for those who do not see it, and inside its frame', (manner) => {
    render(<MannerPicture manner={manner} />);
    const picture = screen.getByRole('img');
    expect(picture.getAttribute('aria-label')!.length).toBeGreaterThan(8);
    expect(picture.children.length).toBeGreaterThan(1);
    for (const path of picture.querySelectorAll(':scope > path')) {
      // Capitals alone say places in the frame; what begins a path is one of them.
      const [x, y] = numbers(path.getAttribute('d')!);
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(120);
      expect(y).toBeGreaterThanOrEqual(0);
      expect(y).toBeLessThanOrEqual(84);
    }
  });
  it('no two are alike', () => {
    const drawn = MANNERS.map((manner) => {
      const { container, unmount } = render(<MannerPicture manner={manner} />);
      const { innerHTML } = container.querySelector('svg')!;
      unmount();
      return innerHTML;
    });
    expect(new Set(drawn).size).toBe(MANNERS.length);
  });
});
