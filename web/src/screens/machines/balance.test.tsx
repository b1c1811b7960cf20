import { modelView, TracerCache } from '@pondu/core';
import { houseSchema, machineBodySchema } from '@pondu/core/schema';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { BalancePanel } from './BalancePanel.tsx';

const house = houseSchema.parse({});
const of = (watts: number) => {
  const machine = machineBodySchema.parse({
    name: 'Quad',
    kind: 'ATV',
    fitOut: {
      volts: 12,
      earth: 'negative',
      cylinders: 1,
      compressionRatio: 9,
      trails: [{ trail: 'charge', kind: 'stator-three', options: { loads: [{ label: 'Lamp', watts }] } }],
    },
  });
  return modelView(new TracerCache(1), machine, house).balance!;
};
afterEach(cleanup);

describe('the balance of charging', () => {
  it('says in words what it draws', () => {
    render(<BalancePanel balance={of(55)} />);
    const drawing = screen.getByRole('img').getAttribute('aria-label')!;
    expect(drawing).toMatch(/All on it takes \d/);
    expect(drawing).toMatch('Idling, the battery holds.');
    expect(screen.getByText(/^Lamp \d/)).toBeTruthy();
  });
  it('says when more is taken than it ever gives', () => {
    render(<BalancePanel balance={of(400)} />);
    expect(screen.getByText('It never gives as much as is taken.')).toBeTruthy();
    expect(screen.getByText(/the battery is down in \d/)).toBeTruthy();
    expect(screen.getByText('Fast, it is not filled.')).toBeTruthy();
  });
});
