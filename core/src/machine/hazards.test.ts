import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../__tests__/everyKind.ts';
import { cranked } from '../__tests__/crankMachines.ts';
import { house } from '../__tests__/machines.ts';
import { INSTRUMENT_IDS } from '../schema/house.ts';
import type { MachineBody } from '../schema/machine.ts';
import { BENCH_IDS, benchCautions } from '../setup/benchDoings.ts';
import { buildModel } from '../tracing/model.ts';
import { freeCheck } from '../trails/freeProbe.ts';
import type { CautionId } from '../schema/cautions.ts';
import { cautionsOf } from './hazards.ts';

const everything = { ...house, owns: [...INSTRUMENT_IDS] };
const all = (body: MachineBody) => {
  const model = buildModel(body, everything);
  return { model, checks: [...model.checks, ...model.beyond].filter((c) => !c.elective) };
};
const launch = cranked(
  [
    { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } },
    { trail: 'crank', kind: 'direct', options: { interlocks: [] } },
    { trail: 'fuel', kind: 'electric', options: { carburettors: 1, sealed: false, enriching: 'choke' } },
    { trail: 'compression', kind: 'four-stroke', options: { cooling: 'water', reeds: false } },
  ],
  { cylinders: 8, marine: true },
);
const diesel = cranked(
  [
    { trail: 'crank', kind: 'glow', options: { interlocks: [], heat: 'plugs' } },
    { trail: 'compression', kind: 'four-stroke', options: { cooling: 'water', reeds: false } },
  ],
  { cylinders: 3, compressionRatio: 20 },
);
const outboard = EVERY_KIND.find(([name]) => name === 'spark: capacitor discharge, three cylinders')![1];
const magneto = EVERY_KIND.find(([name]) => name === 'spark: flywheel magneto, one cylinder')![1];

describe('cautions follow from what is done', () => {
  // From the trade, over every check of every kind: what is said of it must warn of what it does.
  it.each(EVERY_KIND)('%s', (_name, body) => {
    const { model, checks } = all(body);
    const pull = model.machine.fit.crank?.kind === 'pull';
    const asks = (when: boolean, caution: CautionId, of: { id: string; cautions: readonly CautionId[] }) => {
      if (when) expect(of.cautions, `${of.id}: ${caution}`).toContain(caution);
    };
    for (const check of checks) {
      const words = `${check.set} ${check.touch}`;
      asks(check.state.key === 'crank' || check.state.key === 'run', 'rotating parts', check);
      asks(check.state.key === 'run', 'exhaust gas', check);
      asks(check.instrument === 'spark tester', 'high tension', check);
      asks(check.opens.includes('flywheel off'), 'flywheel puller', check);
      asks(check.opens.includes('fuel hose off') || check.opens.includes('bowl off'), 'open fuel', check);
      asks(check.opens.includes('starter off'), 'lifting', check);
      asks(/turn(ed)?( it| the \w+)? (two |one )?.*by hand/i.test(words), 'rotating parts', check);
      asks(/leak|air into/i.test(check.label) && /hole/.test(check.touch), 'compressed air', check);
      expect(/coil lead on earth/.test(words) && (pull || !model.machine.partById.has('switch')), check.id).toBe(false);
      // The least is what cranking shows: the most would be what it had before.
      if (check.id === 'battery-cranking' || check.id === 'coil-feed-cranking') {
        expect(words).not.toMatch(/hold the maximum/i);
        expect(words).toMatch(/hold the minimum/i);
      }
    }
    for (const repair of model.repairs.values()) {
      const trail = model.machine.trailOf.get(repair.part.id);
      asks(trail === 'fuel', 'open fuel', repair);
      asks(repair.part.id === 'battery', 'battery', repair);
    }
  });
  it('a petrol boat: nothing is switched on, cranked or run without the blower, nor its fuel opened', () => {
    const { checks, model } = all(launch);
    for (const check of checks)
      if (check.state.key !== 'off' || check.opens.includes('fuel hose off'))
        expect(check.cautions, check.id).toContain('marine');
    expect([...model.repairs.values()].find((r) => r.part.id === 'fuel-pump')!.cautions).toContain('marine');
  });
  it('a diesel: turned it may start, running it may run away, and nobody is told to earth a coil', () => {
    const { checks } = all(diesel);
    for (const check of checks) {
      if (check.state.key === 'crank') expect(check.cautions, check.id).toContain('diesel may fire');
      if (check.state.key === 'run') expect(check.cautions, check.id).toContain('run-away');
      expect(`${check.set} ${check.touch}`, check.id).not.toMatch(/spark off|ignition off|coil lead/i);
    }
    expect(checks.find((c) => c.id === 'compression-unions')!.cautions).toContain('high-pressure jets');
    expect(checks.find((c) => c.id === 'compression-bubbles')!.cautions).toContain('hot coolant');
  });
  it('a pack: at its connectors, coils and stop line as at itself', () => {
    const { checks, model } = all(outboard);
    for (const id of ['look-connectors', 'charge-coil-ohms', 'trigger-ohms', 'stop-line-1', 'pack-earth-ohms'])
      expect(checks.find((c) => c.id === id)!.cautions, id).toContain('capacitor charge');
    expect(model.repairs.get('pack.replace')!.cautions).toContain('capacitor charge');
  });
  it('magnets that are turned by hand make sparks', () => {
    const { checks } = all(magneto);
    expect(checks.find((c) => c.id === 'timing-marks')!.cautions).toContain('magneto by hand');
    expect(benchCautions(buildModel(magneto, house).machine.fit, false)['points']).toContain('magneto by hand');
  });
  it('leads put anywhere carry the cautions of both places', () => {
    const { model, checks } = all(launch);
    const free = freeCheck(model.machine, checks, {
      instrument: 'voltmeter',
      live: 'post',
      earth: 'coil+',
      state: 'key on',
      unplugged: [],
    })!;
    expect(free.cautions).toEqual(expect.arrayContaining(['battery', 'marine']));
  });
  it('each bench says what is done there, each caution once', () => {
    const cautions = benchCautions(buildModel(launch, house).machine.fit, false);
    expect(Object.keys(cautions)).toEqual([...BENCH_IDS]);
    expect(cautions['carburettor']).toEqual(expect.arrayContaining(['open fuel', 'exhaust gas', 'marine']));
    expect(cautions['charging']).toEqual(expect.arrayContaining(['charging battery', 'battery']));
    expect(cautions['top']).toContain('drowned cylinder');
    const { fit } = buildModel(launch, house).machine;
    expect(cautionsOf(fit, ['runs', 'runs', 'starter turns it'])).toEqual(['rotating parts', 'marine', 'exhaust gas']);
  });
});
