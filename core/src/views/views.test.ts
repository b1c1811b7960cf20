import { describe, expect, it } from 'vitest';
import { failing, fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { traceCauses } from '../tracing/causes.ts';
import { Tracer } from '../tracing/trace.ts';
import { causesView, proofView } from './proof.ts';
import { platesView, settingsView } from './plates.ts';
import { checkView, repairsView, traceView } from './views.ts';

const tracer = new Tracer(machine({ cylinders: 4 }), house);
const events = [reading('ballast-volts', 12.4), reading('coil-feed-closed', 0.01), reading('ballast-ohms', 'OL')];

/** What a worker's structured clone and the network's JSON both carry. */
const survives = (value: unknown) => expect(JSON.parse(JSON.stringify(value))).toEqual(value);

describe('what crosses a worker or the network', () => {
  it('is plain data, through and through', () => {
    survives(traceView(tracer, noFire, events, failing));
    survives(proofView(tracer, noFire, [...events, fix('ballast.replace')]));
    survives(causesView(traceCauses(tracer, 'points.burnt', noFire, events)!));
    survives(platesView(tracer.model));
    survives(repairsView(tracer.model));
    for (const check of tracer.model.checks) survives(checkView(check));
  });
  it('tells which readings a sound machine would not give', () => {
    const view = traceView(tracer, noFire, events, failing);
    const failed = events.flatMap((e) => {
      const off = e.type === 'reading' ? view.failed.find((f) => f.readingId === e.reading.id) : undefined;
      return off && e.type === 'reading' ? [[e.reading.checkId, off.standing]] : [];
    });
    // Nothing flows through an open ballast, so that more stands before it than when well.
    expect(failed).toEqual([
      ['ballast-volts', 'above'],
      ['coil-feed-closed', 'below'],
      ['ballast-ohms', 'off'],
    ]);
  });
  it('says of a setting outside its plate that it is not what stops it', () => {
    const gap = reading('points-gap', 0.25e-3);
    const { failed } = traceView(tracer, noFire, [...events, gap], failing);
    expect(failed.at(-1)).toMatchObject({ standing: 'below', explained: false });
    expect(failed.find((f) => f.standing === 'off')).toMatchObject({ explained: true });
  });
  it('names the repair that is called for, with what it costs and what goes with it', () => {
    const { verdict, suspects } = traceView(tracer, noFire, events, failing);
    expect(verdict).toMatchObject({ kind: 'fix', repair: { id: 'ballast.replace', minutes: 15, money: 18 } });
    expect(suspects[0]).toMatchObject({
      part: 'Ballast resistor',
      how: 'burnt out',
      cost: 18 + (15 * house.ratePerHour) / 60,
    });
  });
  it('offers a reading that may be a slip once more, and says so', () => {
    const once = traceView(tracer, noFire, [reading('coil-feed-closed', 0), reading('battery-rest', 12.5)], failing);
    const offered = (view: typeof once, id: string) => view.ranked.find((r) => r.id === id)?.again;
    expect(offered(once, 'coil-feed-closed')).toBe(true);
    expect(offered(once, 'battery-rest')).toBeUndefined();
    expect(offered(once, 'coil-primary')).toBe(false);
  });
  it('ranks checks with the minutes that they take now', () => {
    const opened = traceView(tracer, noFire, [reading('points-gap', 0.4e-3)], failing);
    const drop = opened.ranked.find((r) => r.id === 'points-drop')!;
    expect(opened.opened).toEqual(['cap off']);
    expect(drop.minutesNow).toBeCloseTo(drop.minutes, 9);
    const closed = traceView(tracer, noFire, [], failing).ranked.find((r) => r.id === 'points-drop')!;
    expect(closed.minutesNow).toBeGreaterThan(closed.minutes);
  });
});

describe('plates', () => {
  it('lists what a person would look up, once for all cylinders', () => {
    const plates = platesView(tracer.model);
    expect(plates.map((p) => p.id)).toEqual(
      expect.arrayContaining(['coil.primaryOhms', 'points.gapMetres', 'plug-1.gapMetres', 'lead-1.ohms']),
    );
    expect(plates.some((p) => p.id === 'plug-2.gapMetres')).toBe(false);
    expect(plates.find((p) => p.id === 'plug-1.gapMetres')!.part).toBe('Plugs');
    expect(plates.every((p) => p.source === 'typical')).toBe(true);
  });
});

describe('the set-up sheet', () => {
  const set = (figure: string, foundAt: number | null, leftAt: number) =>
    ({
      type: 'setting',
      setting: { id: `${figure}${leftAt}`, figure, foundAt, leftAt, at: '2026-01-01T00:00:00Z' },
    }) as const;
  it('says whether a figure was left within its band; the last entry stands', () => {
    const of = (...entries: ReturnType<typeof set>[]) =>
      settingsView(tracer.model, entries).find((s) => s.figure === 'points.gapMetres')!;
    expect(of()).toMatchObject({ setting: null, within: null });
    expect(of(set('points.gapMetres', 0.2e-3, 0.38e-3)).within).toBe(true);
    expect(of(set('points.gapMetres', 0.2e-3, 0.38e-3), set('points.gapMetres', null, 0.6e-3)).within).toBe(false);
  });
  it('has gap, dwell and plugs', () => {
    expect(settingsView(tracer.model, []).map((s) => s.label)).toEqual(['Points gap', 'Dwell', 'Plug gap, all']);
  });
});

describe('the proof', () => {
  it('shows before and after side by side', () => {
    const { proofs, proven } = proofView(tracer, noFire, [
      ...events,
      fix('ballast.replace'),
      reading('ballast-ohms', 1.5),
    ]);
    expect(proven).toBe(false);
    const ballast = proofs.find((p) => p.check.id === 'ballast-ohms')!;
    expect(ballast).toMatchObject({
      state: 'passed',
      before: { value: { kind: 'open' } },
      reading: { value: { value: 1.5 } },
    });
    expect(proofs.find((p) => p.check.id === 'coil-feed-closed')!.state).toBe('to do');
  });
});
