import { adviceView, TracerCache } from '@pondu/core';
import { houseSchema, machineBodySchema } from '@pondu/core/schema';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ExcitingPanel } from './ExcitingPanel.tsx';
import { UsedPanel } from './UsedPanel.tsx';
import { emptyRow, usedSchema, type Asked } from './usedRow.ts';
import { WaysPanel } from './WaysPanel.tsx';

vi.mock('../../tracer/useTracer.ts', () => ({ wayNetlist: vi.fn() }));

const house = houseSchema.parse({});
const machine = (trail: object, cylinders = 1) =>
  machineBodySchema.parse({
    name: 'Any',
    kind: 'ATV',
    fitOut: { volts: 12, earth: 'negative', cylinders, compressionRatio: 9, trails: [trail] },
  });
const asked: readonly Asked[] = [
  { id: 'amps', label: 'Amperes', low: 1, high: 500 },
  { id: 'brush', label: 'Brush, mm', low: 0, high: 60, optional: true },
  { id: 'teeth', label: 'Teeth', words: ['good', 'chipped'] },
];
afterEach(() => {
  cleanup();
  localStorage.clear();
});

describe('ways of wiring', () => {
  const one = machine({
    trail: 'charge',
    kind: 'stator-single',
    options: { wave: 'half', control: 'shunt', loads: [{ label: 'Lamp', watts: 75 }] },
  });
  const advice = adviceView(new TracerCache(1), one, house);
  it('marks the one to fit, and says what has to be done to the machine for it', () => {
    render(<WaysPanel machine={one} house={house} advice={advice} />);
    const row = screen.getByText('fit this').closest('tr')!;
    expect(
      within(row)
        .getByRole('button', { name: /Both ends/ })
        .getAttribute('aria-pressed'),
    ).toBe('true');
    expect(screen.getByText(/Lift the coil’s earthed end/)).toBeTruthy();
  });
  it('draws and describes the one that is chosen', () => {
    render(<WaysPanel machine={one} house={house} advice={advice} />);
    fireEvent.click(screen.getByRole('button', { name: /One wire, half wave, series/ }));
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(
      /one leg to the unit.*the other end of the coil on the core/,
    );
    expect(screen.getByText(/The unit must stand \d+ V/)).toBeTruthy();
    expect(screen.queryByText(/Lift the coil/)).toBeNull();
  });
});

describe('what excites', () => {
  it('names a lamp, and that an LED alone never starts it', () => {
    const one = machine({ trail: 'charge', kind: 'alternator', options: { tells: 'lamp', loads: [] } }, 4);
    const { exciting, bestExciting } = adviceView(new TracerCache(1), one, house);
    render(<ExcitingPanel exciting={exciting!} best={exciting![bestExciting!]} />);
    expect(screen.getByText(/^A lamp of [\d.]+ W starts it/)).toBeTruthy();
    expect(within(screen.getByRole('row', { name: /LED alone/ })).getByText('not at all')).toBeTruthy();
  });
});

describe('used parts', () => {
  it('reads figures with a comma, leaves out what is empty, and names what is wrong by its field', () => {
    const schema = usedSchema(asked);
    const row = { ...emptyRow(asked), name: 'one', amps: '12,5' };
    expect(schema.parse({ rows: [row] }).rows[0]).toEqual({ name: 'one', amps: 12.5, brush: undefined, teeth: 'good' });
    const wrong = schema.safeParse({ rows: [{ ...row, name: ' ', amps: 'many', brush: '-3' }] });
    expect(wrong.error!.issues.map((i) => i.path[2]).sort()).toEqual(['amps', 'brush', 'name']);
  });
  it('keeps what was typed, shows the best first, and says what failed', async () => {
    const compare = vi.fn().mockResolvedValueOnce([
      {
        name: 'one',
        cost: 61.4,
        wants: [{ what: 'new brushes now' }],
        does: true,
        why: ['It gives 40 A.'],
        problem: undefined,
      },
      { name: 'two', cost: 10, wants: [], does: false, why: [], problem: 'Measure again.' },
    ]);
    const panel = <UsedPanel title="Used" how="So." asked={asked} draftKey="fit.test" currency="€" compare={compare} />;
    render(panel);
    fireEvent.change(screen.getByLabelText('Which one'), { target: { value: 'one' } });
    fireEvent.click(screen.getByRole('button', { name: 'Compare' }));
    expect((await screen.findByRole('alert')).textContent).toMatch(/Between 1 and 500/);
    expect(compare).not.toHaveBeenCalled();
    fireEvent.change(screen.getByLabelText('Amperes'), { target: { value: '40' } });
    fireEvent.click(screen.getByRole('button', { name: 'Compare' }));
    const [first, second] = await screen.findAllByRole('listitem');
    expect(first!.textContent).toMatch(/one.*fit this.*€ 61.*It gives 40 A.*new brushes now/);
    expect(second!.textContent).toMatch(/not judged.*Measure again/);
    compare.mockRejectedValueOnce(new Error('Too much at once.'));
    fireEvent.click(screen.getByRole('button', { name: 'Compare' }));
    expect((await screen.findByRole('alert')).textContent).toBe('Too much at once.');
    cleanup();
    render(panel);
    expect(screen.getByLabelText<HTMLInputElement>('Amperes').value).toBe('40');
  });
});
