import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { Around, machine, stored } from '../../__tests__/support.tsx';
import { DwellChange } from './DwellChange.tsx';
import { TopBench } from './TopBench.tsx';

const Both = () => (
  <Around>
    <div>
      <TopBench machine={machine} parts="distributor" markOff={0} stored={stored()} />
      <DwellChange jobId="j" cam={{ lobes: 4, crankTurns: 2 }} />
    </div>
  </Around>
);

beforeEach(() => localStorage.clear());
afterEach(cleanup);
const part = (name: string) => within(screen.getByRole('region', { name, hidden: true }));
async function type(name: string, figures: readonly (readonly [label: string, text: string])[]): Promise<string> {
  const own = part(name);
  for (const [label, text] of figures) await userEvent.type(own.getByLabelText(label), text);
  return own.queryByRole('status', { hidden: true })?.textContent ?? '';
}

describe('what a setting asks to be worked out', () => {
  beforeEach(() => void render(<Both />));
  it('true top: 26 before and 38 after, the mark is six degrees early', async () => {
    // At true top the mark is six degrees past: a spark that a light shows at 10° before it comes 16° before true top.
    expect(
      await type('True top', [
        ['Stops before the mark, degrees', '26'],
        ['Stops after the mark, degrees', '38'],
      ]),
    ).toMatch(/6\.0° before true top: what a light shows is that much more/);
  });
  it('compression to expect: less on a mountain than by the sea', async () => {
    const by = async (height: string) => {
      const says = await type('Expected compression', [
        ['Compression ratio', '8.5'],
        ['Engine size, litres', '2 l'],
        ['Above the sea, m', height],
      ]);
      for (const box of part('Expected compression').getAllByRole('textbox', { hidden: true }))
        await userEvent.clear(box);
      return Number(/[\d.]+/.exec(says)![0]);
    };
    const [sea, mountain] = [await by('0'), await by('2000')];
    expect(sea).toBeGreaterThan(700);
    expect(mountain / sea).toBeCloseTo(0.785, 1);
  });
  it('a millimetre a degree on a pulley of 114.6', async () => {
    expect(
      await type('Degrees on the rim', [
        ['Pulley across, mm', '114.6 mm'],
        ['Degrees of the crank', '10'],
      ]),
    ).toMatch(/^10(\.0)? mm along the rim/);
  });
  it('a piston below its stroke is refused in words', async () => {
    expect(
      await type('Piston’s place in degrees', [
        ['Stroke, mm', '57 mm'],
        ['Rod, mm', '110 mm'],
        ['Below top, mm', '60 mm'],
      ]),
    ).toMatch(/No place of this piston/);
  });
  it('dwell: two thirds of four cylinders’ time, and what a change does to the timing', async () => {
    const words = await type('Dwell', [
      ['Dwell found, degrees or %', '60'],
      ['Dwell left, degrees or %', '57'],
    ]);
    expect(words).toContain('63 % of the time');
    expect(words).toContain('3.0° earlier');
  });
  it('what is no figure is said at its field, and keeps standing there', async () => {
    await type('Dwell', [['Dwell found, degrees or %', 'much']]);
    expect(part('Dwell').getByRole('alert', { hidden: true }).textContent).toMatch(/figure|number|read/);
    expect(part('Dwell').getByLabelText<HTMLInputElement>('Dwell found, degrees or %').value).toBe('much');
  });
});
