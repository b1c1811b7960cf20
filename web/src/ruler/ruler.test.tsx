import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Landing, Ruler } from '@pondu/core';
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { GaugeFace } from './GaugeFace.tsx';
import { useGaugeUnit } from './gaugeUnit.ts';
import { PlugGrid } from './PlugGrid.tsx';
import { ReadingRuler } from './ReadingRuler.tsx';
import { rulerScale } from './scale.ts';
import { WordRuler } from './WordRuler.tsx';

const landing = (faultId: string, low: number, high: number, openShare = 0, words = {}): Landing => ({
  faultId,
  label: faultId,
  low,
  high,
  openShare,
  words,
});
const volts: Ruler = {
  dimension: 'voltage',
  words: [],
  well: landing('', 5.5, 6.5),
  suspects: [landing('ballast open', 0, 0.01), landing('points burnt', 7, 12.4)],
};
const ohms: Ruler = {
  dimension: 'resistance',
  words: [],
  well: landing('', 1.3, 1.8),
  suspects: [landing('coil open', Infinity, Infinity, 1)],
};

beforeAll(() => {
  globalThis.ResizeObserver = class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
});
afterEach(cleanup);

describe('the scale', () => {
  it('keeps order and stays on the ruler', () => {
    const { x } = rulerScale(volts, 3, 600);
    const places = [0, 0.01, 1, 3, 6, 12.4].map(x);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(places[0]).toBeGreaterThanOrEqual(0);
    expect(places.at(-1)).toBeLessThanOrEqual(600);
  });
  it('has round ticks that do not crowd', () => {
    const { ticks, x } = rulerScale(volts, undefined, 600);
    expect(ticks.length).toBeGreaterThanOrEqual(4);
    for (const [i, t] of ticks.entries()) if (i > 0) expect(x(t) - x(ticks[i - 1]!)).toBeGreaterThan(40);
  });
  it('has a strip for OL only where something can read OL', () => {
    expect(rulerScale(volts, undefined, 600).openFrom).toBeUndefined();
    const { openFrom, x } = rulerScale(ohms, undefined, 600);
    expect(openFrom).toBeGreaterThan(500);
    expect(x(Infinity)).toBeGreaterThan(openFrom!);
    expect(rulerScale(volts, Infinity, 600).openFrom).toBeDefined();
  });
  it('makes room for a reading that nothing predicts', () => {
    const { x } = rulerScale(volts, 40, 600);
    expect(x(40)).toBeLessThanOrEqual(600);
    expect(x(40)).toBeGreaterThan(x(12.4));
  });
});

describe('the drawing', () => {
  it('is read out in words', () => {
    render(<ReadingRuler ruler={volts} reading={undefined} />);
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('When well 5.5–6.5 V');
    expect(screen.getByText('points burnt')).toBeTruthy();
  });
  it('names a suspect that could be anywhere above its bar, never off the ruler', () => {
    const name = 'stop switch and tether stuck earthed, or tether clip off';
    const everywhere = { ...landing('stop', 0.001, 12), label: name };
    render(<ReadingRuler ruler={{ ...volts, suspects: [everywhere] }} reading={undefined} />);
    const label = screen.getByText(name);
    const bar = label.parentElement!.querySelector('line')!;
    expect(Number(label.getAttribute('x'))).toBeGreaterThanOrEqual(0);
    expect(Number(label.getAttribute('x')) + 6.4 * name.length).toBeLessThan(600);
    expect(Number(bar.getAttribute('y1')) - Number(label.getAttribute('y'))).toBeGreaterThan(8);
  });
  it('the line of the reading runs under no label where there is room beside it', () => {
    render(<ReadingRuler ruler={volts} reading={6.21} />);
    const line = Number(document.querySelector('line[stroke="var(--do)"]')!.getAttribute('x1'));
    const labels = volts.suspects.map((s) => screen.getByText(s.label));
    expect(labels.length).toBeGreaterThan(0);
    for (const label of labels) {
      const [x, long] = [Number(label.getAttribute('x')), 6.4 * label.textContent.length];
      const from = label.getAttribute('text-anchor') === 'end' ? x - long : x;
      expect(line < from || line > from + long, label.textContent).toBe(true);
    }
  });
  it('shows the reading as it is typed', () => {
    const { rerender } = render(<ReadingRuler ruler={volts} reading={undefined} />);
    expect(screen.queryByText('6.21 V')).toBeNull();
    rerender(<ReadingRuler ruler={volts} reading={6.21} />);
    expect(screen.getByText('6.21 V')).toBeTruthy();
  });
});

describe('a check answered in words', () => {
  const words: Ruler = {
    dimension: null,
    words: ['good', 'weak', 'none'],
    well: landing('', NaN, NaN, 0, { good: 0.95, weak: 0.05 }),
    suspects: [landing('condenser open', NaN, NaN, 0, { none: 0.8, weak: 0.2 })],
  };
  it('says under which accounts each word is likely, and takes the one picked', async () => {
    const onChange = vi.fn();
    render(<WordRuler ruler={words} value="" onChange={onChange} />);
    expect(screen.getByRole('radio', { name: /good/ }).textContent).toContain('when well');
    expect(screen.getByRole('radio', { name: /none/ }).textContent).toContain('condenser open');
    expect(screen.getByRole('radio', { name: /weak/ }).textContent).toBe('weak');
    await userEvent.click(screen.getByRole('radio', { name: /none/ }));
    expect(onChange).toHaveBeenCalledWith('none');
  });
});

it('what lies below nothing is laid out below nothing: vacuum, a spark after top centre', () => {
  for (const dimension of ['pressure', 'angle', 'current'] as const) {
    const { x, ticks } = rulerScale(
      { dimension, words: [], well: landing('', -70, -62), suspects: [landing('leak', -55, 5)] },
      undefined,
      600,
    );
    expect(x(-70)).toBeLessThan(x(-62));
    expect(x(-62)).toBeLessThan(x(-55));
    expect(x(-55)).toBeLessThan(x(0));
    expect(Math.min(...ticks)).toBeLessThan(0);
  }
});

const vacuum: Ruler = {
  dimension: 'pressure',
  words: [],
  well: landing('', -70e3, -62e3),
  suspects: [landing('joint leaks', -55e3, -40e3), landing('nothing there', Infinity, Infinity, 1)],
};

/** The gauge with the unit that the shop keeps. */
function Face({ reading }: { reading?: number | undefined }) {
  const [unit, setUnit] = useGaugeUnit(true);
  return <GaugeFace ruler={vacuum} reading={reading} unit={unit} setUnit={setUnit} />;
}

describe('a gauge', () => {
  afterEach(() => localStorage.clear());
  it('says what it draws, the needle where it is typed', () => {
    render(<Face reading={-50e3} />);
    const label = screen.getByRole('img').getAttribute('aria-label')!;
    expect(label).toMatch(/^When well −70 kPa to −62 kPa\. joint leaks: −55 kPa to −40 kPa\. The needle at −50 kPa\.$/);
  });
  it('in inches of mercury where the shop wants them, and remembers that: 62 kPa are 18.3 inHg', async () => {
    const { unmount } = render(<Face />);
    await userEvent.click(screen.getByRole('radio', { name: 'inHg' }));
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/−18\.3 inHg/);
    unmount();
    render(<Face />);
    expect(screen.getByRole('radio', { name: 'inHg' }).getAttribute('aria-checked')).toBe('true');
  });
});

describe('plugs laid side by side', () => {
  const laid = () =>
    screen.getAllByRole('button', { name: /^Plug \d/ }).map((b) => b.querySelector('.sr-only')!.textContent);
  it('are told one by one, by keyboard as by finger, and become one answer', async () => {
    const said = vi.fn();
    render(<PlugGrid plugs={4} word="" onChange={said} />);
    expect(laid()).toEqual([1, 2, 3, 4].map((n) => `Plug ${n}: dry`));
    await userEvent.click(screen.getByRole('radio', { name: 'oily' }));
    screen.getByRole('button', { name: 'Plug 3: dry' }).focus();
    await userEvent.keyboard('{Enter}');
    expect(said).toHaveBeenLastCalledWith('only 3 is oily');
  });
  it('show what was picked from the list, and go back to dry by a second tap', async () => {
    const said = vi.fn();
    render(<PlugGrid plugs={4} word="only 2 is wet or sooty" onChange={said} />);
    expect(laid()[1]).toBe('Plug 2: wet or sooty');
    await userEvent.click(screen.getByRole('button', { name: 'Plug 2: wet or sooty' }));
    expect(said).toHaveBeenLastCalledWith('all dry and even');
  });
  it('all alike by one button; a set without a word says so and answers nothing', async () => {
    const said = vi.fn();
    const { rerender } = render(<PlugGrid plugs={3} word="" onChange={said} />);
    await userEvent.click(screen.getByRole('button', { name: 'All' }));
    expect(said).toHaveBeenLastCalledWith('all wet or sooty');
    rerender(<PlugGrid plugs={3} word="all wet or sooty" onChange={said} />);
    await userEvent.click(screen.getByRole('radio', { name: 'white' }));
    await userEvent.click(screen.getByRole('button', { name: 'Plug 1: wet or sooty' }));
    expect(said).toHaveBeenLastCalledWith('');
    rerender(<PlugGrid plugs={3} word="" onChange={said} />);
    expect(laid()).toEqual(['Plug 1: white', 'Plug 2: wet or sooty', 'Plug 3: wet or sooty']);
    expect(screen.getByRole('status').textContent).toMatch(/what strikes most/);
  });
});

describe('suspects that no reading here tells from a sound machine', () => {
  it('are gathered into one line; the others keep their bars, and all are said', () => {
    const ruler: Ruler = { ...volts, suspects: [landing('cap tracked', 5.52, 6.48), ...volts.suspects] };
    const { container } = render(<ReadingRuler ruler={ruler} reading={undefined} />);
    expect(screen.getByText('As when well: cap tracked')).toBeTruthy();
    const bars = [...container.querySelectorAll('svg text')].map((t) => t.textContent);
    expect(bars).toContain('points burnt');
    expect(bars).not.toContain('cap tracked');
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('cap tracked');
  });
});
