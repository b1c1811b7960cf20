import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { unitsSchema } from '@pondu/core/schema';
import { FastenersBench } from '../screens/setUp/FastenersBench.tsx';
import { FigureField, useJet } from '../screens/setUp/figure.tsx';
import { example } from '../words/failures.ts';
import { habits } from './habits.ts';
import { bareSymbol, labelled, meant, readHeight, readQuantity, showQuantity, typedHeight } from './quantity.ts';

const USUAL = unitsSchema.parse({});

afterEach(() => {
  cleanup();
  habits.ofDevice({});
  habits.ofShop(USUAL);
  localStorage.clear();
});

describe('units by habit, on the page', () => {
  it('the shop’s are shown, and a device’s own go before them', () => {
    habits.ofShop({ ...USUAL, length: 'thou', vacuum: 'inHg' });
    expect(showQuantity(0.4e-3, 'length')).toBe('15.7 thou');
    expect(showQuantity(-60e3, 'pressure')).toBe('−17.7 inHg');
    habits.ofDevice({ length: 'mm' });
    expect(showQuantity(0.4e-3, 'length')).toBe('0.4 mm');
    expect(showQuantity(-60e3, 'pressure')).toBe('−17.7 inHg');
    expect(JSON.parse(localStorage.getItem('pondu.units')!)).toEqual({ length: 'mm' });
  });
  it('whoever watches is told once for a change, and not for the same again', () => {
    const told = vi.fn();
    const stop = habits.watch(told);
    habits.ofShop({ ...USUAL, torque: 'lb ft' });
    habits.ofShop({ ...USUAL, torque: 'lb ft' });
    expect(told).toHaveBeenCalledOnce();
    stop();
  });
  it('a bare number is read, labelled and kept in them', () => {
    habits.ofShop({ ...USUAL, length: 'thou', temperature: '°F', height: 'ft' });
    expect(meant('15', 'length')).toBe('15 thou');
    const read = readQuantity('212', 'temperature');
    expect(read.ok && read.value).toBeCloseTo(100, 6);
    expect([labelled('Edge gap', 'length'), labelled('Stroke', 'length', { long: true })]).toEqual([
      'Edge gap, thou',
      'Stroke, in',
    ]);
    expect([bareSymbol('temperature'), bareSymbol('voltage')]).toEqual(['°F', 'V']);
    expect(example('length')).toBe('15, .015 or 0.4 mm');
    const high = readHeight('5000');
    expect(high.ok && high.value).toBeCloseTo(1524, 6);
    expect(typedHeight(1524)).toBe('5000');
  });
  it('a torque stands in both units, the shop’s own first, both ends of it', () => {
    habits.ofShop({ ...USUAL, torque: 'lb ft' });
    render(<FastenersBench jobId="j" />);
    expect(screen.getAllByRole('status')[0]!.textContent).toMatch(/^\d+–\d+ lb ft \(\d+–\d+ N m\)/);
  });
});

function Jet() {
  const jet = useJet('jet');
  return (
    <>
      <FigureField label="Main jet" figure={jet} />
      <output>{jet.value === undefined ? '' : (jet.value * 1e3).toFixed(2)}</output>
    </>
  );
}
describe('a jet', () => {
  it.each([
    ['120', '1.20'],
    ['95', '0.95'],
    ['1.2', '1.20'],
    ['1.2 mm', '1.20'],
    ['47 thou', '1.19'],
  ])('“%s” has a bore of %s mm', async (typed, bore) => {
    render(<Jet />);
    await userEvent.type(screen.getByLabelText('Main jet'), typed);
    expect(screen.getByRole('status').textContent).toBe(bore);
  });
});
