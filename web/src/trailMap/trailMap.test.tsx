import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { TrailMap } from './TrailMap.tsx';

const stations = ['battery', 'switch', 'coil'].map((id) => ({ id, label: id, picture: id }));
const states = [
  { id: 'battery', share: 0.001, state: 'proven' },
  { id: 'switch', share: 0.1, state: 'unknown' },
  { id: 'coil', share: 0.85, state: 'lost here' },
  { id: 'cap', share: 0, state: 'cleared' },
] as const;
afterEach(cleanup);

it('tells proven, unknown and cold stretches apart in words as well as lines', () => {
  render(<TrailMap stations={stations} states={states} selected={undefined} onSelect={() => undefined} />);
  const names = screen.getAllByRole('button').map((b) => b.textContent);
  expect(names).toEqual(['batteryproven', 'switch10 %not proven', 'coil85 %lost here']);
});

it('does not call proven what was only reasoned away', () => {
  const cap = { id: 'cap', label: 'cap', picture: 'cap' };
  render(<TrailMap stations={[cap]} states={states} selected={undefined} onSelect={() => undefined} />);
  expect(screen.getByRole('button').textContent).toBe('capcleared, not measured');
});

it('is walked with the arrow keys and picked with Enter', async () => {
  const onSelect = vi.fn();
  render(<TrailMap stations={stations} states={states} selected={undefined} onSelect={onSelect} />);
  screen.getAllByRole('button')[0]!.focus();
  await userEvent.keyboard('{ArrowRight}{ArrowRight}{ArrowRight}{Enter}');
  expect(onSelect).toHaveBeenCalledWith('coil');
});

it('draws what comes in at the side as lines of their own, named by where they join, walked with the same keys', async () => {
  const branching = [
    ...stations,
    { id: 'stop', label: 'stop', picture: 'stop', lane: { name: 'Stop', joins: 'coil' } },
  ];
  const onSelect = vi.fn();
  render(<TrailMap stations={branching} states={states} selected={undefined} onSelect={onSelect} />);
  expect(within(screen.getByRole('list', { name: 'Trail' })).getAllByRole('button')).toHaveLength(3);
  expect(within(screen.getByRole('list', { name: 'Stop, into coil' })).getByRole('button').textContent).toBe(
    'stopnot proven',
  );
  screen.getAllByRole('button')[2]!.focus();
  await userEvent.keyboard('{ArrowRight}{Enter}');
  expect(onSelect).toHaveBeenCalledWith('stop');
});

it('shows what else hangs on a station, and what it did when it was tried', async () => {
  const onTap = vi.fn();
  const tap = (word: string | undefined) => ({ checkId: 'other', label: 'Gauges', joins: 'switch', word });
  const draw = (word: string | undefined) =>
    render(
      <TrailMap
        {...{ stations, states, onTap }}
        selected={undefined}
        onSelect={() => undefined}
        taps={[tap(word), { ...tap('works'), checkId: 'elsewhere', joins: 'not on this line' }]}
      />,
    );
  draw('dead');
  const cell = within(screen.getByRole('list', { name: 'Also on switch' })).getByRole('button');
  expect(cell.textContent).toBe('Gaugesdead');
  expect(cell.closest('li')!.dataset['state']).toBe('lost here');
  await userEvent.click(cell);
  expect(onTap).toHaveBeenCalledWith('other');
  cleanup();
  draw(undefined);
  expect(screen.getAllByRole('list')).toHaveLength(2);
  expect(screen.getByText('not tried')).toBeTruthy();
});
