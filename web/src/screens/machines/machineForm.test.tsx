import { cleanup, render, screen, within } from '@testing-library/react';
import type { FitOut } from '@pondu/core';
import {
  airOptions,
  compressionOptions,
  crankOptions,
  fitOutSchema,
  fuelOptions,
  sparkOptions,
  type TrailFit,
} from '@pondu/core/schema';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import type { z } from 'zod';
import { Around, machine as known } from '../../__tests__/support.tsx';
import { formFit, typedFit } from './formFit.ts';
import { MachineForm } from './MachineForm.tsx';
import { pickFrom } from '../../__tests__/pickFrom.ts';

interface SentTrail {
  trail: string;
  kind: string;
  options: Record<string, unknown>;
}
interface Sent {
  fitOut: { trails: SentTrail[] } & Record<string, unknown>;
}
let sent: Sent[];

beforeAll(() => {
  globalThis.ResizeObserver = class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
});
beforeEach(() => {
  localStorage.clear();
  sent = [];
  vi.stubGlobal('fetch', (_url: string, init?: RequestInit) => {
    sent.push(JSON.parse(String(init?.body)) as Sent);
    const body = { id: 'm1', version: 1, updatedAt: '', machine: JSON.parse(String(init?.body)) as unknown };
    return Promise.resolve(new Response(JSON.stringify(body), { status: 201 }));
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const spark = () => sent[0]!.fitOut.trails.find((t) => t.trail === 'spark')!;
const pick = (name: RegExp) => userEvent.click(screen.getByRole('radio', { name }));
const yes = (what: string) =>
  userEvent.click(within(screen.getByRole('radiogroup', { name: what })).getByRole('radio', { name: 'Yes' }));
const save = () => userEvent.click(screen.getByRole('button', { name: 'Save the machine' }));
async function form(): Promise<void> {
  render(
    <Around>
      <MachineForm draftKey="t" onSaved={() => undefined} />
    </Around>,
  );
  await userEvent.type(screen.getByLabelText('Name'), 'Borrowed');
}

describe('a machine by what one sees', () => {
  it('asks one question after the other, and no more of what the kind does not have', async () => {
    await form();
    expect(screen.getByText('What is under the cap?')).toBeTruthy();
    await pick(/^Magnets/);
    expect(screen.getByText('What is under the flywheel?')).toBeTruthy();
    expect(screen.queryByText('What is under the cap?')).toBeNull();
    expect(screen.queryByText('Which post goes to the chassis')).toBeNull();
    await pick(/^A magneto of its own/);
    await save();
    expect(sent[0]!.fitOut).toMatchObject({
      cylinders: 4,
      trails: [{ trail: 'spark', kind: 'rotating-magneto', options: { ballast: 'none' } }],
    });
  });
  it('an electronic trigger asks where its module sits', async () => {
    await form();
    await pick(/^A cup with windows/);
    await pick(/^Apart, told by a computer/);
    await save();
    expect(spark()).toMatchObject({ kind: 'electronic', options: { trigger: 'hall', module: 'commanded' } });
  });
  it('keeps the number of cylinders where the new kind can have it, else takes one that it can', async () => {
    await form();
    await pick(/^8$/);
    await pick(/^A coil on each plug/);
    expect(screen.getByRole('radio', { name: '8' }).getAttribute('aria-checked')).toBe('true');
    await pick(/^Coils beside/);
    const cylinders = within(screen.getByRole('radiogroup', { name: 'Cylinders' }));
    expect(cylinders.getAllByRole('radio').map((r) => r.textContent)).toEqual(['1', '2']);
    expect(cylinders.getByRole('radio', { name: '2' }).getAttribute('aria-checked')).toBe('true');
  });
  it('takes starter and charging by what one sees, asks only what such a one has, and leaves out what is not told', async () => {
    await form();
    expect(screen.queryByLabelText('Watts')).toBeNull();
    await pick(/^A starter, through a relay/);
    await userEvent.type(screen.getByLabelText(/must be closed before it turns/), 'neutral,  clutch');
    await pick(/^A generator and a regulator box/);
    await pick(/^To earth in the generator/);
    await pick(/^An ammeter/);
    await userEvent.click(screen.getByRole('button', { name: 'Something that takes current' }));
    await userEvent.type(screen.getByLabelText('What'), 'Lamps');
    await userEvent.type(screen.getByLabelText('Watts'), '90');
    await save();
    expect(sent[0]!.fitOut.trails.slice(1)).toEqual([
      { trail: 'crank', kind: 'relay', options: { interlocks: ['neutral', 'clutch'] } },
      {
        trail: 'charge',
        kind: 'generator',
        options: { field: 'B', tells: 'ammeter', loads: [{ label: 'Lamps', watts: 90 }] },
      },
    ]);
  });
  it('takes fuel and timing by what one sees; a draft from before has neither', async () => {
    await form();
    expect(screen.queryByText('Carburettors')).toBeNull();
    await pick(/^An electric pump/);
    await pick(/^An enricher/);
    await userEvent.click(
      within(screen.getByRole('radiogroup', { name: 'Carburettors' })).getByRole('radio', { name: '2' }),
    );
    await pick(/^By weights and vacuum/);
    await pick(/^A throttle and its idle/);
    await yes('A pump that squirts as the throttle opens');
    await yes('Brakes helped by vacuum');
    await pick(/^Four strokes/);
    expect(screen.queryByText('Reed petals before the crankcase')).toBeNull();
    await save();
    expect(sent[0]!.fitOut.trails.slice(1)).toEqual([
      {
        trail: 'fuel',
        kind: 'electric',
        options: { carburettors: 2, sealed: false, enriching: 'enricher', accelerator: true },
      },
      { trail: 'timing', kind: 'weights-vacuum', options: {} },
      { trail: 'air', kind: 'throttled', options: { servo: true } },
      { trail: 'compression', kind: 'four-stroke', options: { cooling: 'water', reeds: false } },
    ]);
    const { fuel: _f, timing: _t, carburettors: _c, sealed: _s, enriching: _e, ...before } = typedFit(known.fitOut);
    expect(formFit.parse(before).trails.map((t) => t.trail)).toEqual(['spark']);
  });
  it('takes two strokes with their reeds, oil in the fuel and fins; kept, they come back as they were', async () => {
    await form();
    await pick(/^The tank stands above/);
    await yes('Oil is mixed into the fuel');
    await pick(/^Two strokes/);
    await userEvent.click(
      within(screen.getByRole('radiogroup', { name: 'Cooled by' })).getByRole('radio', { name: /^Air/ }),
    );
    await yes('Reed petals before the crankcase');
    await save();
    const { fitOut } = sent[0]!;
    expect(fitOut.trails.slice(1)).toEqual([
      { trail: 'fuel', kind: 'gravity', options: { carburettors: 1, sealed: false, enriching: 'choke', mixed: true } },
      { trail: 'compression', kind: 'two-stroke', options: { cooling: 'air', reeds: true } },
    ]);
    expect(formFit.parse(typedFit(fitOut as FitOut))).toEqual(fitOut);
    const told = { ...(fitOut as FitOut), altitudeMetres: 1480, idleRpm: 480, topRpm: 1800 };
    expect(formFit.parse(typedFit(told))).toEqual(told);
    const wrong = formFit.safeParse({ ...typedFit(told), topRpm: 'fast' }).error?.issues[0];
    expect(wrong).toMatchObject({ path: ['topRpm'], message: '“fast”: rev/min, from 400 to 14000, or nothing.' });
  });
  it('keeps every option that a trail may have, also one added tomorrow: read from the schemas themselves', () => {
    const yes = (shape: Readonly<Record<string, z.ZodType>>) =>
      Object.fromEntries(
        Object.entries(shape).flatMap(([name, of]) => (of.safeParse(true).success ? [[name, true]] : [])),
      );
    const trails: TrailFit[] = [
      {
        trail: 'spark',
        kind: 'battery-points',
        options: { ballast: 'none', added: [], ...yes(sparkOptions.shape) } as never,
      },
      { trail: 'crank', kind: 'relay', options: { interlocks: [], ...yes(crankOptions.shape) } },
      {
        trail: 'fuel',
        kind: 'gravity',
        options: { carburettors: 2, enriching: 'choke', ...yes(fuelOptions.shape) } as never,
      },
      { trail: 'air', kind: 'throttled', options: yes(airOptions.shape) },
      {
        trail: 'compression',
        kind: 'two-stroke',
        options: { cooling: 'air', ...yes(compressionOptions.shape) } as never,
      },
    ];
    const whole = fitOutSchema.parse({ ...known.fitOut, trails });
    expect(formFit.parse(typedFit(whole))).toEqual(whole);
  });
  it('an engine without a spark is kept without one: a diesel that is changed gets no coil', async () => {
    const fitOut: FitOut = {
      ...known.fitOut,
      trails: [{ trail: 'crank', kind: 'glow', options: { interlocks: [], heat: 'plugs' } }],
    };
    const stored = { id: 'm', version: 1, updatedAt: '', awayAt: null, machine: { ...known, fitOut } };
    render(
      <Around>
        <MachineForm stored={stored} draftKey="d" onSaved={() => undefined} />
      </Around>,
    );
    expect(screen.queryByText('What is under the cap?')).toBeNull();
    expect(screen.queryByText('What feeds the coil')).toBeNull();
    expect(screen.queryByText('Carburettors')).toBeNull();
    await pick(/^Vacuum/);
    await save();
    expect(sent[0]!.fitOut.trails).toEqual([...fitOut.trails, { trail: 'stop', kind: 'vacuum', options: {} }]);
  });
  it('takes what an earlier owner added, in its order, and wants a name for it', async () => {
    await form();
    await userEvent.click(screen.getByRole('button', { name: 'Something stands in the feed' }));
    await save();
    expect(sent).toEqual([]);
    expect(screen.getByText('Say what it is.')).toBeTruthy();
    await userEvent.type(screen.getByLabelText('Its name here'), 'Hidden relay');
    await pickFrom('What it is', 'relay');
    await userEvent.click(screen.getByRole('button', { name: 'Something stands in the feed' }));
    expect(screen.getAllByLabelText('Its name here')).toHaveLength(2);
    await userEvent.click(screen.getByRole('button', { name: 'Take out 2' }));
    await save();
    expect(spark().options['added']).toEqual([{ what: 'relay', label: 'Hidden relay' }]);
  });
  it('takes where it stands; another kind without such a place moves it back into the feed', async () => {
    await form();
    await userEvent.click(screen.getByRole('button', { name: 'Something stands in the feed' }));
    await userEvent.type(screen.getByLabelText('Its name here'), 'Alarm');
    await pickFrom('Where it stands', 'after the coil');
    expect(screen.getByLabelText<HTMLButtonElement>('Where it stands').value).toBe('after the coil');
    await pick(/^A coil on each plug/);
    await userEvent.click(screen.getByRole('combobox', { name: 'Where it stands' }));
    const places = screen.getAllByRole('option').map((o) => o.dataset['value']);
    expect(places).toEqual(['before the switch', 'after the switch']);
    await userEvent.keyboard('{Escape}');
    await save();
    expect(spark().options['added']).toEqual([{ what: 'box', label: 'Alarm' }]);
  });
  it('shows a stored machine as its answers', () => {
    const fitOut: FitOut = {
      ...known.fitOut,
      cylinders: 3,
      trails: [
        { trail: 'spark', kind: 'capacitor-discharge', options: { ballast: 'none', fused: false } },
        { trail: 'crank', kind: 'relay', options: { interlocks: ['neutral', 'tether'] } },
        {
          trail: 'charge',
          kind: 'stator-three',
          options: { control: 'series', loads: [{ label: 'Lamp', watts: 35 }] },
        },
      ],
    };
    const stored = { id: 'm', version: 1, updatedAt: '', awayAt: null, machine: { ...known, fitOut } };
    render(
      <Around>
        <MachineForm stored={stored} draftKey="s" onSaved={() => undefined} />
      </Around>,
    );
    expect(screen.getByLabelText<HTMLInputElement>(/must be closed before it turns/).value).toBe('neutral, tether');
    expect(screen.getByLabelText<HTMLInputElement>('Watts').value).toBe('35');
    for (const name of [/^Magnets/, /^A sealed box/, /^3$/, /through a relay/, /three wires/, /^Switched off/])
      expect(screen.getByRole('radio', { name }).getAttribute('aria-checked'), String(name)).toBe('true');
  });
});
