import { rockingOf } from '@pondu/core';
import { storedMachineSchema } from '@pondu/core/schema';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { pickFrom } from '../../__tests__/pickFrom.ts';
import { Around, machine, stored } from '../../__tests__/support.tsx';
import { AbreastBench } from './AbreastBench.tsx';
import { FloatPart } from './FloatPart.tsx';
import { GasPart } from './GasPart.tsx';
import { TipsPart } from './TipsPart.tsx';
import { PointsBench } from './PointsBench.tsx';
import { ValvesBench } from './ValvesBench.tsx';

const sent: unknown[] = [];
beforeEach(() => {
  localStorage.clear();
  sent.length = 0;
  vi.stubGlobal('fetch', (_path: string, init: RequestInit) => {
    sent.push((JSON.parse(String(init.body)) as { body: unknown }).body);
    return Promise.resolve(new Response(JSON.stringify(stored()), { status: 201 }));
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
const shown = (part: React.ReactElement) => render(<Around>{part}</Around>);
const fill = (label: string, text: string) => userEvent.type(screen.getByLabelText(label), text);
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));
const statuses = () =>
  screen
    .getAllByRole('status')
    .map((s) => s.textContent)
    .join(' ');
const written = () => vi.waitFor(() => expect(sent).toHaveLength(1));

describe('carburettor parts', () => {
  it('a float found 3 mm off says which way to bend, by how much, and what it did to the mixture', async () => {
    shown(<FloatPart stored={stored()} />);
    await fill('Found, mm', '18');
    await fill('Wanted, mm', '15');
    expect(statuses()).toMatch(/3 mm too low: bend the tongue away from the needle by about 0\.75 mm/);
    expect(statuses()).toMatch(/Leaner by about 4 % as the main jet comes in/);
    expect(statuses()).not.toContain('wide open');
    await press('Write it down');
    await written();
    expect(sent[0]).toMatchObject({ kind: 'float', by: 'height' });
    expect((sent[0] as { found: number }).found).toBeCloseTo(0.018, 9);
  });
  it('carbon monoxide alone gives a mixture; with the rest a leak in the exhaust is told from a lean one', async () => {
    shown(<GasPart stored={stored()} />);
    await fill('CO, %', '6');
    expect(statuses()).toMatch(/Too rich.*Lambda about 0\.8[345]/);
    await userEvent.clear(screen.getByLabelText('CO, %'));
    await fill('CO, %', '0.8');
    expect(statuses()).toContain('Too lean');
    await fill('CO₂, %', '6');
    expect(statuses()).toMatch(/Air has got in behind the engine.*about 1\.8 %/);
    await press('Write it down');
    await written();
    expect(sent[0]).toMatchObject({ kind: 'gas', co: 0.8, co2: 6 });
  });
});

describe('plugs and points', () => {
  it('plugs are looked at one after the other; white all over is mixture and timing first', async () => {
    shown(<TipsPart stored={stored()} cylinders={2} />);
    expect(screen.queryByLabelText('Plug 2')).toBeNull();
    await pickFrom('Plug 1', 'White');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Write it down' }).disabled).toBe(true);
    await pickFrom('Plug 2', 'White');
    expect(statuses()).toContain('First see to mixture and timing');
    await userEvent.click(screen.getByRole('radio', { name: 'Checked and right' }));
    expect(statuses()).toContain('Plugs one step colder');
    await press('Write it down');
    await written();
    expect(sent[0]).toEqual({ kind: 'tips', tips: ['white', 'white'], ruledOut: true });
  });
  it('a weak spring says from which speed its points float, in ounces as in grams', async () => {
    const plate = { gap: { low: 0.35e-3, high: 0.45e-3 }, dwell: { low: 35, high: 41 } };
    shown(<PointsBench stored={stored()} machine={machine} plate={plate} topRpm={5000} />);
    expect(screen.getByText(/Usual: 479.*714 g, or 17 to 25 oz/)).toBeTruthy();
    await fill('Pull as they part, g', '240');
    // Half of the least pull holds to the root of a half of the top speed.
    expect(statuses()).toMatch(/Too weak.*from about 3550 rev\/min/);
    await userEvent.clear(screen.getByLabelText('Pull as they part, g'));
    await fill('Pull as they part, g', '20 oz');
    expect(statuses()).toContain('As it should be.');
    await press('Write it down');
    await written();
    expect((sent[0] as { pullNewtons: number }).pullNewtons).toBeCloseTo(5.56, 2);
  });
});

describe('valves', () => {
  const four = storedMachineSchema.parse({
    ...machine,
    firingOrder: '1-3-4-2',
    fitOut: { ...machine.fitOut, cylinders: 4 },
  });
  it('each row against its book; tight ones named; the order in which they are set', async () => {
    shown(<ValvesBench stored={stored()} machine={four} />);
    for (const { set, rocks } of rockingOf([1, 3, 4, 2]))
      expect(screen.getByText(`Valves of ${rocks} rock: set both of ${set}. Then 180° on.`)).toBeTruthy();
    const [inlet, exhaust] = screen.getAllByLabelText('Wanted, mm');
    await userEvent.type(inlet!, '0.25');
    await userEvent.type(exhaust!, '0.3');
    const [foundInlet, foundExhaust] = screen.getAllByLabelText('Found, 1 to 4, mm');
    await userEvent.type(foundInlet!, '0.25 0.25 0.26 0.25');
    await userEvent.type(foundExhaust!, '0.3 0.1 0.3 0.4');
    expect(statuses()).toMatch(/2 is too tight: 0\.2 mm more\. 4 is too wide: 0\.1 mm less\. Tight valves burn/);
    await press('All set as wanted');
    await written();
    expect(sent[0]).toMatchObject({
      kind: 'valves',
      warmth: 'cold',
      inlet: { wanted: 0.25e-3 },
      exhaust: { wanted: 0.3e-3, found: [0.3e-3, 0.1e-3, 0.3e-3, 0.4e-3] },
      leftAsWanted: true,
    });
  });
  it('more figures than cylinders are refused, nothing is written, and a shim is worked out', async () => {
    shown(<ValvesBench stored={stored()} machine={four} />);
    const [inlet] = screen.getAllByLabelText('Found, 1 to 4, mm');
    await userEvent.type(inlet!, '0.2 0.2 0.2 0.2 0.2');
    expect(screen.getByText('This engine has 4 cylinders.')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'All set as wanted' }).disabled).toBe(true);
    await fill('Shim now, mm', '2.7');
    await fill('Found, mm', '0.12');
    await userEvent.type(screen.getAllByLabelText('Wanted, mm').at(-1)!, '0.2');
    expect(statuses()).toContain('Fit a shim of 2.62 mm.');
  });
});

describe('two engines side by side', () => {
  it('swells counted say how far they are apart, and two counters what should be heard', async () => {
    const { cylinders } = machine.fitOut;
    shown(<AbreastBench jobId="job-1" machine={machine} />);
    await fill('Beats', '10');
    await fill('In seconds', '10');
    expect(statuses()).toContain(`${(60 / (cylinders / 2)).toFixed(0)} rev/min apart`);
    await fill('One, rev/min', '1500');
    await fill('The other, rev/min', '1500');
    expect(statuses()).toContain('No beat.');
  });
});
