import type { Clearing, Wave } from '@pondu/core';
import { act, cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Around, stored } from '../../__tests__/support.tsx';
import { ClearingSteps } from './ClearingPanel.tsx';
import { HeatBox } from './HeatBox.tsx';
import { SoakPanel } from './SoakPanel.tsx';
import { WaveChart } from './WavePanel.tsx';
import { pickFrom } from '../../__tests__/pickFrom.ts';

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
    act(() => void vi.advanceTimersByTime(22 * 60_000));
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
    act(() => void vi.advanceTimersByTime(5 * 60_000));
    render(<SoakPanel jobId="j" advice={null} onSoaked={() => undefined} />);
    act(() => void vi.advanceTimersByTime(1000));
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

describe('when it last ran', () => {
  const proof = (wanted: object, state = 'to do') =>
    ({ wanted: { warmth: null, under: null, restHours: 0, ...wanted }, state }) as never;
  const sent: { path: string; body: unknown }[] = [];
  beforeEach(() => {
    sent.length = 0;
    vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
      sent.push({ path, body: JSON.parse(String(init.body)) as unknown });
      return Promise.resolve(new Response(JSON.stringify(stored()), { status: 201 }));
    });
  });
  afterEach(() => vi.unstubAllGlobals());
  const shown = (...proofs: never[]) =>
    render(
      <Around>
        <HeatBox stored={stored()} proofs={proofs} />
      </Around>,
    );
  it('is asked where a proof hangs on heat, and not where it does not or is passed', () => {
    shown(proof({}), proof({ warmth: 'hot' }, 'passed'));
    expect(screen.queryByText('When did it last run?')).toBeNull();
    cleanup();
    shown(proof({ restHours: 6 }));
    expect(screen.getByText('When did it last run?')).toBeTruthy();
  });
  it('goes into the job with its time', async () => {
    vi.useRealTimers();
    shown(proof({ warmth: 'hot' }));
    const before = Date.now();
    await pickFrom('It stopped', 'some hours ago');
    await pickFrom('It ran for', 'ten minutes');
    await userEvent.click(screen.getByRole('button', { name: 'Write it down' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    const { body } = sent[0]!.body as { body: { kind: string; ranMinutes: number; stoppedAt: string } };
    expect(body).toMatchObject({ kind: 'heat', ranMinutes: 10 });
    expect(Math.abs(before - 3 * 3_600_000 - Date.parse(body.stoppedAt))).toBeLessThan(60_000);
  });
});
