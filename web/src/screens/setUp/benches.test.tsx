import { setUpView, sparkBench, Tracer, type JobEvent } from '@pondu/core';
import { MOST_PAIRS, storedMachineSchema } from '@pondu/core/schema';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Around, house, machine, stored, tracer } from '../../__tests__/support.tsx';
import { CarburettorBench } from './CarburettorBench.tsx';
import { ChargingBench } from './ChargingBench.tsx';
import { CoilBench, triedOf } from './CoilBench.tsx';
import { DrainBench } from './DrainBench.tsx';
import { EdgeBench } from './EdgeBench.tsx';
import { FastenersBench } from './FastenersBench.tsx';
import { JetsPart } from './JetsPart.tsx';
import { OilPart } from './OilPart.tsx';
import { LeadsBench } from './LeadsBench.tsx';
import { PointsBench } from './PointsBench.tsx';
import { MixturePart } from './MixturePart.tsx';
import { PumpPart } from './PumpPart.tsx';
import { TrialPart } from './TrialPart.tsx';
import { RoadBench } from './RoadBench.tsx';
import { TimingBench } from './TimingBench.tsx';
import { TimingUntold } from './TimingUntold.tsx';
import { pickFrom } from '../../__tests__/pickFrom.ts';

const sent: { path: string; body: unknown }[] = [];
beforeEach(() => {
  localStorage.clear();
  sent.length = 0;
  vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
    sent.push({ path, body: JSON.parse(String(init.body)) as unknown });
    return Promise.resolve(new Response(JSON.stringify(stored()), { status: 201 }));
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
const shown = (bench: React.ReactElement) => render(<Around>{bench}</Around>);
const fill = (label: string, text: string) => userEvent.type(screen.getByLabelText(label), text);
const statuses = () =>
  screen
    .getAllByRole('status')
    .map((s) => s.textContent)
    .join(' ');

describe('timing that nobody told', () => {
  it('is told here with one tap, beside the trails that are told', async () => {
    const kept = { id: 'machine-1', version: 7, updatedAt: '', awayAt: null, machine };
    vi.stubGlobal('fetch', (path: string, init: RequestInit = {}) => {
      if (init.method === 'PUT')
        sent.push({
          path,
          body: { ...(JSON.parse(String(init.body)) as object), of: new Headers(init.headers).get('if-match') },
        });
      return Promise.resolve(new Response(JSON.stringify(kept), { status: 200 }));
    });
    shown(<TimingUntold machineId="machine-1" />);
    const tell = screen.getByRole('button', { name: 'Tell it' });
    expect(tell).toHaveProperty('disabled', true);
    await userEvent.click(screen.getByRole('radio', { name: /^By weights and springs/ }));
    await vi.waitFor(() => expect(tell).toHaveProperty('disabled', false));
    await userEvent.click(tell);
    await vi.waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      path: '/api/machines/machine-1',
      body: {
        name: machine.name,
        of: '"7"',
        fitOut: { trails: [...machine.fitOut.trails, { trail: 'timing', kind: 'weights', options: {} }] },
      },
    });
  });
});

describe('edge gap', () => {
  const magneto = storedMachineSchema.parse({
    name: 'Pump engine',
    kind: 'tractor',
    fitOut: {
      version: 2,
      ...machine.fitOut,
      cylinders: 1,
      trails: [{ trail: 'spark', kind: 'flywheel-magneto', options: { ballast: 'none', fused: false } }],
    },
  });
  const { edge } = setUpView(new Tracer(magneto, house), []);

  it('on its plate it is as good as it gets; far past it, it fires only when turned faster', async () => {
    shown(<EdgeBench jobId="job-1" edge={edge!} />);
    await fill('Edge gap, mm', '13');
    // 13 mm on 150 mm across.
    expect(statuses()).toMatch(/^9\.9° after neutral: (99|100) % of the best current/);
    const from = (text: string) => Number(/It fires from (\d+) rev/.exec(text)![1]);
    const sound = from(statuses());
    await userEvent.clear(screen.getByLabelText('Edge gap, mm'));
    await fill('Edge gap, mm', '70');
    expect(from(statuses())).toBeGreaterThan(sound * 1.2);
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('most at');
  });
  it('what cannot be is asked about, and a coil with a battery has no such bench', async () => {
    shown(<EdgeBench jobId="job-2" edge={edge!} />);
    await fill('Edge gap, mm', '300');
    expect(statuses()).toContain('Further off than points can be set');
    expect(setUpView(tracer, []).edge).toBeNull();
  });
});

describe('jets for the height', () => {
  it('are reckoned from the machine’s own height, and a place that is none is said', async () => {
    shown(<JetsPart jobId="job-1" altitude={1500} />);
    await fill('Main jet', '140');
    expect(statuses()).toBe('8 % richer there. Fit 135 (1.35 mm).');
    await fill('It works at, m', '100');
    expect(statuses()).toBe('Leave the jets: nothing that shows.');
    await fill('It works at, m', '00');
    expect(statuses()).toBe('');
    expect(screen.getByText(/^Above the sea, from −400 m to 5000 m\.$/, { selector: 'p.text-warn' })).toBeTruthy();
  });
});

describe('oil in the fuel', () => {
  it('is reckoned for fresh petrol, and a tankful of another mix is put right', async () => {
    shown(<OilPart jobId="job-1" />);
    await fill('Petrol to one of oil', '50');
    await fill('Petrol, l', '5');
    expect(statuses().trim()).toBe('100 ml of oil.');
    await fill('In the tank, l', '5.1');
    await fill('Mixed, petrol to one of oil', '100');
    // 50.5 ml of oil lie in 5.05 l of petrol; fifty to one asks for 101 ml.
    expect(statuses()).toContain('Add 50.5 ml of oil.');
  });
  it('too much oil asks for petrol; a mix that nobody uses is asked about', async () => {
    shown(<OilPart jobId="job-2" />);
    await fill('Petrol to one of oil', '50');
    await fill('In the tank, l', '2.6');
    await fill('Mixed, petrol to one of oil', '25');
    expect(statuses()).toContain('Add 2.5 l of petrol.');
    await fill('Mixed, petrol to one of oil', '3');
    expect(statuses()).not.toContain('Add');
    expect(screen.getByText(/^Parts of petrol to one of oil, from 10 to 120\.$/)).toBeTruthy();
  });
});

describe('firing order', () => {
  it('says which leads are swapped once the towers are set as found', async () => {
    shown(<LeadsBench stored={stored()} machine={{ ...machine, firingOrder: '1-3-4-2' }} />);
    // Nothing is taken for right that nobody has looked at.
    expect(statuses()).toContain('Set each tower');
    for (const [tower, lead] of Object.entries({ 'Tower 1': '1', 'Tower 2': '4', 'Tower 4': '2' }))
      await pickFrom(tower, lead);
    await pickFrom('Tower 3', '4');
    expect(screen.getByRole('alert').textContent).toContain('Lead 4 stands in two towers');
    expect(statuses()).toContain('Set each tower');
    await pickFrom('Tower 3', '3');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(statuses()).toContain('Leads 3 and 4 are swapped');
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('tower 2: 3, found 4');
    await userEvent.click(screen.getByRole('button', { name: 'Write it down' }));
    expect(sent[0]).toMatchObject({
      path: '/api/jobs/job-1/sheets',
      body: { body: { kind: 'leads', found: [1, 4, 3, 2] } },
    });
  });
  it('two dead cylinders name the swap; an order that cannot be is said at its field and kept', async () => {
    shown(<LeadsBench stored={stored()} machine={{ ...machine, firingOrder: '1-3-4-2' }} />);
    await userEvent.click(screen.getByRole('button', { name: '1' }));
    await userEvent.click(screen.getByRole('button', { name: '2' }));
    expect(statuses()).toMatch(/Leads 1 and 2 swapped.*180°.*neighbours/);
    await userEvent.clear(screen.getByLabelText('Firing order'));
    await fill('Firing order', '1-3-3-2');
    expect(screen.getByRole('alert').textContent).toBe('Cylinder 3 stands there twice.');
    expect(screen.getByLabelText<HTMLInputElement>('Firing order').value).toBe('1-3-3-2');
    await userEvent.clear(screen.getByLabelText('Firing order'));
    await fill('Firing order', '1-2-4-3');
    expect(screen.getByText(/own page says 1-3-4-2/)).toBeTruthy();
  });
  it('the leads are stabbed one by one, the way the rotor turns', async () => {
    shown(<LeadsBench stored={stored()} machine={{ ...machine, firingOrder: '1-3-4-2' }} />);
    const stab = within(screen.getByRole('region', { name: 'Stab the leads anew' }));
    expect(stab.getByText(/1 of 4/).textContent).toContain('lead of cylinder 1 into tower 1');
    await userEvent.click(screen.getByRole('radio', { name: 'Anticlockwise' }));
    await userEvent.click(stab.getByRole('button', { name: 'It is in' }));
    expect(stab.getByText(/2 of 4/).textContent).toContain('lead of cylinder 3 into tower 4');
  });
});

describe('points', () => {
  const points = (of: typeof machine) => (
    <PointsBench stored={stored()} machine={of} plate={setUpView(tracer, []).points!} />
  );
  it('a cam on the crank: its degrees are the crank’s, and half of a change is the timing’s', async () => {
    const spark = { trail: 'spark', kind: 'flywheel-magneto', options: { ballast: 'none', fused: false } };
    const fitOut = { ...machine.fitOut, cylinders: 2, trails: [spark] };
    shown(points(storedMachineSchema.parse({ ...machine, fitOut })));
    expect(
      screen.getByText('Their cam is on the crank: a degree less of dwell is half a degree earlier.'),
    ).toBeTruthy();
    await fill('Dwell found, degrees or %', '130');
    // 130 of 360 degrees; at 800 rev/min a degree takes 1/4800 s.
    expect(statuses()).toContain('36 % of the time, 27.1 ms at 800 rev/min');
    await fill('Dwell left, degrees or %', '120');
    expect(statuses()).toMatch(/The timing has moved 5(\.0)?° earlier/);
  });
  it('one set for each coil has one lobe: 170° is under half of the time', async () => {
    const spark = {
      trail: 'spark',
      kind: 'points-coils',
      options: { ballast: 'none', fused: true, coils: 'one each' },
    };
    const fitOut = { ...machine.fitOut, cylinders: 2, trails: [spark] };
    shown(points(storedMachineSchema.parse({ ...machine, fitOut })));
    await fill('Dwell found, degrees or %', '170');
    expect(statuses()).toContain('47 % of the time');
    await fill('Dwell left, degrees or %', '50 %');
    // Half of one turn: 180°, ten more than was found.
    expect(statuses()).toMatch(/50 % of the time.*10\.0° later/);
  });
  it('a gap of four millimetres, a dwell beyond its turn and a regulator at 900 °C are asked about', async () => {
    shown(points(machine));
    await fill('Gap 1', '4');
    await fill('Dwell found, degrees or %', '400');
    expect(screen.getAllByRole('alert').map((a) => a.textContent)).toEqual([
      '“4” is far from anything here: is the unit right?',
      '“400” is far from anything here: is the unit right?',
    ]);
    await userEvent.clear(screen.getByLabelText('Gap 1'));
    await fill('Gap 1', '16 thou');
    expect(screen.getAllByRole('alert')).toHaveLength(1);
  });
  it('dwell that falls with speed asks for the hose first; a lobe that opens more is not called worn', async () => {
    shown(points(machine));
    await fill('Dwell idling, degrees or %', '50');
    await fill('Dwell at speed, degrees or %', '44');
    expect(statuses()).toMatch(/It falls with speed. Take the vacuum hose off/);
    await fill('Gaps', '0.40 0.40 0.49 0.40');
    expect(statuses()).toMatch(/Lobe 3\. It opens more than the others/);
  });
  it('two gaps with their dwell give the third, and a bent shaft is told from a worn lobe', async () => {
    shown(<PointsBench stored={stored()} machine={machine} plate={setUpView(tracer, []).points!} />);
    await fill('Gap 1', '0.3');
    await fill('Dwell 1, degrees or %', '60');
    await fill('Gap 2', '0.5');
    await fill('Dwell 2, degrees or %', '50');
    await fill('Gap wanted', '0.4');
    expect(statuses()).toContain('55.0° of dwell; a tenth of a millimetre is 5.0°');
    await fill('Gaps', '0.40 0.40 0.31 0.40');
    expect(statuses()).toContain('Lobe 3.');
    await fill('Dwell idling, degrees or %', '55');
    await fill('Dwell at speed, degrees or %', '48');
    expect(statuses()).toContain('the points float');
    await userEvent.click(screen.getByRole('radio', { name: 'Pit in the fixed contact' }));
    expect(statuses()).toContain('too small');
  });
});

describe('coil and plugs', () => {
  const view = setUpView(tracer, []);
  it('says where the spark runs short, and takes figures to try', async () => {
    const setTyped = vi.fn();
    const bench = sparkBench(tracer.model, { 'ballast.ohms': 0.01 })!;
    shown(<CoilBench bench={bench} figures={view.tried} typed={{ 'coil.primaryOhms': 'much' }} setTyped={setTyped} />);
    expect(screen.getByText(/Too much current for points/)).toBeTruthy();
    expect(screen.getByRole('status').textContent).toMatch(/^Fit .*Ω before the coil/);
    expect(screen.getByRole('alert')).toBeTruthy();
    await userEvent.type(screen.getByLabelText(/primary resistance/i), '3');
    expect(setTyped).toHaveBeenCalledWith({ 'coil.primaryOhms': 'much3' });
  });
  it('only what can be read is tried', () => {
    expect(triedOf({ 'coil.primaryOhms': '3.2', 'ballast.ohms': 'x' }, view.tried)).toEqual({
      'coil.primaryOhms': 3.2,
    });
  });
});

describe('timing', () => {
  const timedBy = (kind: 'weights' | 'map') =>
    new Tracer(
      storedMachineSchema.parse({
        ...machine,
        fitOut: { ...machine.fitOut, trails: [...machine.fitOut.trails, { trail: 'timing', kind, options: {} }] },
      }),
      house,
    );
  const timed = timedBy('weights');
  it('is found by gauge or ear only where it can be turned', () => {
    for (const [tracer, turns] of [
      [timed, true],
      [timedBy('map'), false],
    ] as const) {
      const { unmount } = shown(<TimingBench stored={stored()} timing={setUpView(tracer, []).timing!} />);
      expect(screen.queryAllByRole('region', { name: /gauge or.* ear/i }).length > 0).toBe(turns);
      unmount();
    }
  });
  it('a reading goes up as a probe, hot; nothing is sent before both figures can be read', async () => {
    shown(<TimingBench stored={stored()} timing={setUpView(timed, []).timing!} />);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Add' }).disabled).toBe(true);
    await fill('Engine held at, rev/min', '2000');
    await fill('Light shows, degrees before top', '19');
    await userEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect(sent[0]).toMatchObject({
      path: '/api/jobs/job-1/readings',
      body: { typed: '19', warmth: 'hot', probe: { instrument: 'timing light', rpm: 2000, hose: 'off' } },
    });
  });
  it('names the part that explains the curve, with its repair, and the base for a total', async () => {
    const row = (id: string, rpm: number, degrees: number): JobEvent => ({
      type: 'reading',
      reading: {
        id,
        checkId: `light-${rpm}`,
        probe: {
          instrument: 'timing light',
          live: 'timing-body',
          earth: '',
          state: 'fast',
          unplugged: [],
          rpm,
          hose: 'off',
        },
        value: { kind: 'number', value: degrees },
        typed: '',
        note: '',
        at: '2026-01-01T10:00:00Z',
        warmth: 'hot',
        faultPresent: 'yes',
      },
    });
    const timing = setUpView(timed, [row('a', 800, 8), row('b', 3200, 12)]).timing!;
    shown(<TimingBench stored={stored()} timing={timing} />);
    expect(screen.getAllByRole('status')[0]!.textContent).toMatch(/seized: no advance.*Free and oil the weights/);
    await fill('Total wanted, degrees', '34');
    expect(statuses()).toMatch(/gains 4° from idle to speed: set 30° at idle.*kicks back/);
  });
  it('a curve of one’s own says what to make of stop and springs, and what it runs into', async () => {
    shown(<TimingBench stored={stored()} timing={setUpView(timed, []).timing!} />);
    const design = within(screen.getByRole('region', { name: 'A curve of your own' }));
    const put = (label: string, text: string) => userEvent.type(design.getByLabelText(label), text);
    await put('At idle, degrees', '10');
    await put('All of it, degrees', '34');
    await put('Begins at, rev/min', '1200');
    expect(design.queryByRole('img')).toBeNull();
    await put('All in at, rev/min', '2800');
    expect(design.getByRole('status').textContent).toMatch(/Springs taken up \d\.\d\d times as hard as now/);
    await put('It knocked at, rev/min', '2000');
    await put('With so many degrees', '15');
    expect(design.getByText(/At 2000 rev\/min it would have 22°, and knocked with 15°/)).toBeTruthy();
    await userEvent.clear(design.getByLabelText('All of it, degrees'));
    await put('All of it, degrees', '8');
    expect(design.getByText('All of it must be more than it has at idle.')).toBeTruthy();
    expect(design.getByRole('status').textContent).toBe('');
  });
});

describe('an idle mixture screw', () => {
  it('by speed: fastest, then down on the lean side, and written down', async () => {
    shown(<MixturePart stored={stored()} />);
    for (const [turns, rpm] of [
      ['1', '810'],
      ['1.5', '840'],
      ['2', '850'],
      ['3', '810'],
    ] as const) {
      await fill('Turns out', turns);
      await fill('Idle speed, rev/min', `${rpm}{Enter}`);
    }
    expect(document.activeElement).toBe(screen.getByLabelText('Turns out'));
    expect(statuses()).toMatch(/Fastest 2\.0 turns out, at 850 rev\/min\. Leave the screw 1\.3 turns out/);
    await userEvent.click(screen.getByRole('radio', { name: 'Turning it in makes it richer' }));
    expect(statuses()).toContain('Leave the screw 2.7 turns out');
    await fill('Lean drop, rev/min', '40');
    expect(statuses()).toContain('Leave the screw 3.0 turns out');
    await userEvent.click(screen.getByRole('button', { name: 'Write it down' }));
    await vi.waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ body: { kind: 'mixture', screw: 'air', rows: { length: 4 } } });
  });
  it('says where to look when it does nothing', async () => {
    shown(<MixturePart stored={stored()} />);
    for (const turns of ['1', '2', '3']) {
      await fill('Turns out', turns);
      await fill('Idle speed, rev/min', '800{Enter}');
    }
    expect(statuses()).toMatch(/The screw does nothing: the throttle is open too far at idle/);
  });
});

describe('timing by other ways', () => {
  const pulls = async (...rows: [string, string][]) => {
    for (const [pull, degrees] of rows) {
      await fill('Vacuum, kPa', pull);
      await fill('Timing light, degrees', degrees);
      await userEvent.click(screen.getByRole('button', { name: 'Add reading' }));
    }
  };
  it('a vacuum advance on a hand pump: where it begins, what it gives, and written down', async () => {
    shown(<PumpPart stored={stored()} plate={{ low: 10, high: 16 }} />);
    await pulls(['0', '8'], ['12', '8'], ['24', '14'], ['36', '20']);
    expect(statuses()).toContain('As it should be.');
    await pulls(['50', '20']);
    expect(statuses()).toMatch(/It advances 12\.0°, starts at −12 kPa and is all in at −36 kPa\./);
    expect(screen.getByText(/Most start at −10 to −20 kPa and are all in by −35 to −50 kPa/)).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: 'It drops' }));
    expect(statuses()).toContain('The diaphragm leaks: renew the vacuum advance unit.');
    await userEvent.click(screen.getByRole('button', { name: 'Remove the last' }));
    await userEvent.click(screen.getByRole('button', { name: 'Write it down' }));
    await vi.waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ path: '/api/jobs/job-1/sheets', body: { body: { kind: 'pump', holds: false } } });
    expect((sent[0]!.body as { body: { rows: unknown[] } }).body.rows).toHaveLength(4);
  });
  it('takes as many pairs as the workshop keeps, and says so before one too many', async () => {
    const rows = Array.from({ length: MOST_PAIRS }, (_, k) => ({ turns: 0.5 + k / 10, rpm: 800 + k }));
    const body = { kind: 'mixture' as const, rows, screw: 'fuel' as const };
    shown(<MixturePart stored={stored([{ type: 'sheet', sheet: { id: 's', at: '2026-01-01T10:00:00Z', body } }])} />);
    await fill('Turns out', '3');
    await fill('Idle speed, rev/min', '850');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Add reading' }).disabled).toBe(true);
    expect(screen.getByText(/That is all it takes: 20/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Remove the last' }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Add reading' }).disabled).toBe(false);
  });
  it('by gauge it is turned back by an inch of mercury; what is written down are its degrees', async () => {
    shown(<TrialPart stored={stored()} />);
    await fill('Highest vacuum, kPa', '67.7');
    expect(statuses()).toContain('Retard until the gauge shows −64.3 kPa.');
    const save = screen.getByRole<HTMLButtonElement>('button', { name: 'Write it down' });
    expect(save.disabled).toBe(true);
    await fill('Timing now, degrees before top', '9');
    await userEvent.click(save);
    await vi.waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ body: { kind: 'found', by: 'gauge', shown: 9, bestPascal: 67_700 } });
  });
});

describe('road test, carburettor, charging, tightening', () => {
  it('a round is written down with what was noticed, and the next is proposed', async () => {
    const rounds = [{ degrees: 8, noticed: [], words: '' }];
    const events: JobEvent[] = [
      { type: 'sheet', sheet: { id: 's', at: '2026-01-01T10:00:00Z', body: { kind: 'road', school: 'book', rounds } } },
    ];
    shown(<RoadBench stored={stored(events)} house={house} />);
    expect(statuses()).toContain('Next round: 10');
    await fill('Set to, degrees before top at idle', '10');
    await userEvent.click(screen.getByRole('button', { name: 'Knocks' }));
    await userEvent.click(screen.getByRole('button', { name: 'Round done' }));
    expect(sent[0]!.body).toMatchObject({ body: { rounds: [rounds[0], { degrees: 10, noticed: ['knock'] }] } });
  });
  it('a step waits for those before it, and may be passed over with a word', async () => {
    const steps = setUpView(tracer, []).steps;
    expect(steps).toEqual([]);
    shown(
      <CarburettorBench
        stored={stored()}
        carburettors={2}
        gauge={null}
        steps={[
          { id: 'timing', label: 'Timing', why: 'First.', after: [] },
          { id: 'mixture', label: 'Mixture', why: 'Then.', after: ['timing'] },
        ]}
      />,
    );
    const [, mixture] = screen.getAllByRole('listitem');
    expect(within(mixture!).getByRole<HTMLButtonElement>('button', { name: 'Done' }).disabled).toBe(true);
    expect(within(mixture!).getByText('First: timing.')).toBeTruthy();
    await userEvent.click(within(mixture!).getByRole('button', { name: 'Pass over' }));
    await userEvent.type(within(mixture!).getByLabelText('Because'), 'screw sealed');
    await userEvent.click(within(mixture!).getByRole('button', { name: 'Pass it over' }));
    expect(sent[0]!.body).toMatchObject({ body: { overruled: [{ step: 'mixture', why: 'screw sealed' }] } });
    await fill('Carburettor 1', '60');
    await fill('Carburettor 2', '50');
    expect(statuses()).toMatch(/18 % apart\. 1 holds back: open it; 2 runs ahead: close it/);
  });
  it('the set point follows the temperature, and a cut-out above it is said first', async () => {
    const charge = { trail: 'charge', kind: 'generator', options: { field: 'A' } };
    const fitOut = { ...machine.fitOut, trails: [...machine.fitOut.trails, charge] };
    shown(<ChargingBench stored={stored()} machine={storedMachineSchema.parse({ ...machine, fitOut })} />);
    await fill('Regulator’s temperature, °C', '65');
    expect(screen.getByText(/At 65 °C it should hold/).textContent).toMatch(/13\.5.*14\.2/);
    await fill('It holds, volts', '13');
    await fill('Cut-out closes at, volts', '13.2');
    expect(statuses()).toContain('never charges at all');
    expect(screen.getByText(/polarised anew/).textContent).toContain('main terminal');
  });
  it('goes by the machine’s own plate, and asks for no belt where none turns', async () => {
    const charge = { trail: 'charge', kind: 'stator-three', options: { control: 'shunt' } };
    const fitOut = { ...machine.fitOut, trails: [...machine.fitOut.trails, charge] };
    const plates = { 'charge-regulator.setVolts': { low: 14.6, high: 14.8, source: 'manual', note: '' } };
    shown(<ChargingBench stored={stored()} machine={storedMachineSchema.parse({ ...machine, fitOut, plates })} />);
    expect(screen.queryByLabelText('Belt pressed, mm')).toBeNull();
    expect(screen.queryByText(/The belt gives/)).toBeNull();
    expect(screen.getByText(/At 25 °C it should hold/).textContent).toMatch(/14\.6–14\.8 V.*its own plate/);
    await fill('It holds, volts', '14.2');
    expect(statuses()).toContain('It holds low');
  });
  it('an M10 of 8.8 takes 50, oiled 38; a plug its turns', async () => {
    shown(<FastenersBench jobId="j" />);
    await pickFrom('Thread', 'M10');
    expect(statuses()).toMatch(/5[01] N m \(37 lb ft\)/);
    await userEvent.click(screen.getByRole('radio', { name: 'Oiled' }));
    expect(statuses()).toMatch(/38 N m/);
    expect(statuses()).toMatch(/half a turn past finger-tight new, a twelfth of a turn used/);
  });
});

describe('drain at rest', () => {
  const bench = () => shown(<DrainBench stored={stored()} machine={machine} ampHours={55} />);
  const pull = async (circuit: string, amps: string) => {
    await fill('Circuit pulled', circuit);
    await fill('Still flows, amperes', `${amps}{Enter}`);
  };
  it('names the circuit that stays on, and how long the battery lasts', async () => {
    bench();
    await fill('At rest, all in, amperes', '0.62');
    // Three quarters of 55 Ah at 0.62 A: 66 hours, not quite three days.
    expect(statuses()).toMatch(/Too much flows still.*lasts 3 days/);
    await pull('Headlamps', '0.62');
    await pull('Glove box lamp', '0.02');
    expect(statuses()).toMatch(/Stays on: Glove box lamp \(0.6 A\)\. What is left may flow\./);
    await userEvent.click(screen.getByRole('button', { name: 'Write it down' }));
    expect(sent.at(-1)!.body).toMatchObject({
      body: {
        kind: 'drain',
        restAmps: 0.62,
        pulled: [
          { circuit: 'Headlamps', amps: 0.62 },
          { circuit: 'Glove box lamp', amps: 0.02 },
        ],
        all: false,
      },
    });
  });
  it('takes one back, and says when no fuse stands before it', async () => {
    bench();
    await fill('At rest, all in, amperes', '0.9');
    await pull('Radio', '0.9');
    await pull('Horn', '0.01');
    await userEvent.click(screen.getByRole('button', { name: 'Take back: Horn' }));
    await userEvent.click(screen.getByRole('button', { name: 'There is nothing left to pull' }));
    expect(statuses()).toContain('No fuse stands before it');
  });
  it('reads no nonsense, and keeps it as it was typed', async () => {
    bench();
    await fill('At rest, all in, amperes', 'lots');
    expect(screen.getByLabelText('At rest, all in, amperes').getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByRole('button', { name: 'Pulled' }).hasAttribute('disabled')).toBe(true);
  });
});
