import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { BesideBars } from './BesideBars.tsx';

afterEach(cleanup);
const bar = (n: number, value: number | undefined) => ({ n, low: 900, high: 1100, value });

describe('cylinders beside one another', () => {
  it('say what each read, and which stands out of its band', () => {
    render(
      <BesideBars label="Compression" bars={[bar(1, 1000), bar(2, 480), bar(3, undefined)]} said={(v) => `${v} kPa`} />,
    );
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
      'Compression. 1: 1000 kPa; 2: 480 kPa, out of its band; 3: not read.',
    );
  });
  it('hatch what is out of its band, so that it is not told by colour alone', () => {
    const { container } = render(<BesideBars label="c" bars={[bar(1, 1000), bar(2, 480)]} said={String} />);
    const fills = [...container.querySelectorAll('svg > g > rect')].map((r) => r.getAttribute('fill'));
    expect(fills.filter((f) => f === 'url(#off-band)')).toHaveLength(1);
    expect(fills.filter((f) => f === 'var(--ink)')).toHaveLength(1);
  });
});
