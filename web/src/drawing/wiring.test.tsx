import { drawingView, liveView, TracerCache } from '@pondu/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import ELK from 'elkjs/lib/elk.bundled.js';
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { house, machine } from '../__tests__/support.tsx';
import { svgText } from '../screens/drawing/saveSvg.ts';
import { amps, differs, figureOf, volts } from './figures.ts';
import { layOut, type Laid } from './layout.ts';
import type { WiringProps } from './shown.ts';
import { Wiring } from './Wiring.tsx';

const { model } = new TracerCache(1).for(machine, house);
const { drawing } = drawingView(model);
let laid: Laid;
beforeAll(async () => {
  laid = await layOut(drawing, new ELK());
});
afterEach(cleanup);

function show(props: Partial<WiringProps & { probing: boolean }> = {}) {
  const [onPick, onTerminal] = [vi.fn(), vi.fn()];
  const all = {
    laid,
    shown: liveView(model, 'on'),
    picked: undefined,
    failed: undefined,
    leads: undefined,
    suspicion: new Map<string, number>(),
    taken: [],
    proven: new Set<string>(),
    probing: false,
    onPick,
    onTerminal,
    ...props,
  };
  render(
    <svg>
      <Wiring {...all} />
    </svg>,
  );
  return { onPick, onTerminal };
}

describe('the wiring, alive', () => {
  it('each part is a button that says what flows in it; keys pick it as a tap does', () => {
    const { onPick } = show();
    const coil = screen.getByRole('button', { name: /^Coil, [34]\.\d+ A$/ });
    fireEvent.keyDown(coil, { key: 'Enter' });
    fireEvent.click(screen.getByRole('button', { name: /^Fuse, / }));
    fireEvent.keyDown(coil, { key: 'x' });
    expect(onPick.mock.calls).toEqual([['coil'], ['fuse']]);
  });
  it('what a fault changes is said in words beside what it was', () => {
    show({ shown: liveView(model, 'on', undefined, 'fuse.blown', 1), failed: 'fuse' });
    expect(screen.getByRole('button', { name: /^Coil, [34]\.\d+ A when well, now 0 A$/ })).toBeTruthy();
    expect(screen.getByRole('button', { name: /^Fuse, shown as failed/ })).toBeTruthy();
    expect(screen.getAllByText(/^now 0 V$/).length).toBeGreaterThan(2);
    // Before the fuse nothing has changed by more than a meter would show.
    expect(document.querySelector('[data-volts="post"]')!.textContent).not.toContain('now');
  });
  it('shows where a check’s leads go, and what is unplugged for it', () => {
    show({ leads: { red: 'coil-', black: 'block', unplugged: ['condenser'] } });
    expect(document.querySelectorAll('[data-lead]')).toHaveLength(2);
    expect(screen.getByRole('button', { name: /^Condenser, unplugged for this check/ })).toBeTruthy();
  });
  it('terminals take a tap or a key while a probe is placed, and are not there otherwise', () => {
    const { onTerminal } = show({ probing: true });
    fireEvent.click(screen.getByRole('button', { name: 'Lead on Fuse, a' }));
    fireEvent.keyDown(screen.getByRole('button', { name: 'Lead on Points, a' }), { key: ' ' });
    expect(onTerminal.mock.calls).toEqual([['fuse-in'], ['points']]);
    cleanup();
    show();
    expect(screen.queryByRole('button', { name: /^Lead on/ })).toBeNull();
  });
  it('suspicion is said with the part', () => {
    show({ suspicion: new Map([['points', 0.42]]) });
    expect(screen.getByRole('button', { name: /^Points.*suspected, 42 %$/ })).toBeTruthy();
  });
  it('what was read stands at its place, and what is proven is drawn so', () => {
    show({
      taken: [
        { node: 'post', words: '12.6 V' },
        { node: 'post', words: '10.4 V' },
        { node: 'nowhere', words: '1 V' },
      ],
      proven: new Set(['battery']),
    });
    const at = [...document.querySelectorAll('[data-taken=post]')];
    expect(at.map((e) => e.textContent)).toEqual(['12.6 V', '10.4 V']);
    expect(new Set(at.map((e) => e.getAttribute('transform'))).size).toBe(2);
    expect(document.querySelectorAll('[data-taken=nowhere]')).toHaveLength(0);
    expect(screen.getByRole('button', { name: /^Battery, proven/ })).toBeTruthy();
  });
  it('leaves as a file of its own, with its looks and without what only a page needs', () => {
    show();
    const text = svgText(document.querySelector('svg')!, 800, 600);
    expect(text).toContain('xmlns="http://www.w3.org/2000/svg"');
    expect(text).toContain('viewBox="-10 -10 820 620"');
    expect(text).not.toMatch(/class=|tabindex=/);
    expect(text).toContain('Ballast');
  });
});

describe('figures on it', () => {
  it('differ where a meter would say so', () => {
    expect(differs(12.5, 12.4)).toBe(false);
    expect(differs(12.5, 11.9)).toBe(true);
    expect(differs(0, 0.015)).toBe(false);
    expect(differs(undefined, 3)).toBe(false);
  });
  it('are short, and nothing where nothing flows', () => {
    expect(volts(12.5)).toBe('12.5 V');
    expect(volts(1e-5)).toBe('0 V');
    expect(amps(-3.85)).toBe('3.85 A');
    expect(amps(0)).toBe('');
    const live = { volts: { n: 12 }, amps: {} };
    expect(figureOf('volts', 'n', live, { volts: { n: 0 }, amps: {} })).toEqual({ well: '12 V', bad: '0 V' });
  });
});
