import type { Clearing, Wave } from '@pondu/core';
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ClearingSteps } from './ClearingPanel.tsx';
import { SoakPanel } from './SoakPanel.tsx';
import { WaveChart } from './WavePanel.tsx';

beforeEach(() => {
  localStorage.clear();
  vi.useFakeTimers({ now: new Date('2026-01-01T10:00:00Z') });
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

describe('the soak test', () => {
  it('runs its clock, says how warm it is by now, and gives its minutes to the reading', () => {
    const onSoaked = vi.fn();
    render(<SoakPanel jobId="j" advice={null} onSoaked={onSoaked} />);
    act(() => screen.getByRole('button', { name: 'Start the clock' }).click());
    expect(screen.getByText(/about 20 °C/)).toBeTruthy();
    act(() => vi.advanceTimersByTime(22 * 60_000));
    expect(screen.getByRole('timer').textContent).toBe('22:00');
    // 20 + 65·(1 − e^(−2)) = 76 °C
    expect(screen.getByText(/about 76 °C/)).toBeTruthy();
    act(() => screen.getByRole('button', { name: 'Read now, 22 min' }).click());
    expect(onSoaked).toHaveBeenCalledWith({ warmth: 'hot', faultPresent: 'unknown', soakMinutes: 22 });
  });
  it('goes on through a reload, and can be stopped', () => {
    const { unmount } = render(<SoakPanel jobId="j" advice={null} onSoaked={() => undefined} />);
    act(() => screen.getByRole('button', { name: 'Start the clock' }).click());
    unmount();
    act(() => vi.advanceTimersByTime(5 * 60_000));
    render(<SoakPanel jobId="j" advice={null} onSoaked={() => undefined} />);
    act(() => vi.advanceTimersByTime(1000));
    expect(screen.getByRole('timer').textContent).toMatch(/^5:0[01]$/);
    act(() => screen.getByRole('button', { name: 'Stop the clock' }).click());
    expect(screen.getByRole('button', { name: 'Start the clock' })).toBeTruthy();
  });
});

describe('a waveform', () => {
  const wave = (peak: number): Wave => ({ id: 'secondary', at: [0, 1e-4, 2e-4], values: [0, -peak, 10] });
  it('says its peaks in words, for those who do not see the lines', () => {
    render(<WaveChart well={wave(12_000)} ill={wave(3000)} illName="Condenser open inside" />);
    const name = screen.getByRole('img').getAttribute('aria-label');
    expect(name).toBe('Secondary: peak 12 kV when well, peak 3 kV with Condenser open inside.');
    expect(document.querySelectorAll('path')).toHaveLength(2);
  });
  it('alone, draws one line', () => {
    render(<WaveChart well={wave(12_000)} ill={undefined} illName="" />);
    expect(document.querySelectorAll('path')).toHaveLength(1);
  });
});

describe('a drowned engine', () => {
  const clearing: Clearing = {
    celsius: 20,
    strokes: 34,
    seconds: 22.4,
    bursts: 3,
    pulls: null,
    turning: 2.4,
    plugsOut: 9.1,
    first: 'turn it over',
  };
  const titles = () => screen.getAllByRole('heading').map((h) => h.textContent);
  it('is turned over first where that is soon done, plugs out first where it is not', () => {
    const { unmount } = render(<ClearingSteps clearing={clearing} />);
    expect(titles()).toEqual(['Turned over, 2 min', 'Plugs out, 9 min']);
    expect(screen.getByText(/22 seconds of the starter: 3 bursts of ten seconds/)).toBeTruthy();
    unmount();
    render(<ClearingSteps clearing={{ ...clearing, bursts: 7, seconds: 66, turning: 7.1, first: 'plugs out' }} />);
    expect(titles()).toEqual(['Plugs out, 9 min', 'Turned over, 7 min']);
  });
  it('with a cord it is pulls', () => {
    render(<ClearingSteps clearing={{ ...clearing, bursts: null, pulls: 12, turning: 0.8 }} />);
    expect(screen.getByText(/^12 pulls of the cord\./)).toBeTruthy();
    expect(titles()[0]).toBe('Turned over, under a minute');
  });
});
