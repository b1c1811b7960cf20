import { describe, expect, it } from 'vitest';
import { house, machine } from './machines.ts';
import { KINDS } from './kinds.ts';
import { INSTRUMENTS, sparkWords } from '../instruments/index.ts';
import { MEMBERS } from '../tracing/ensemble.ts';
import { Scene } from '../machine/scene.ts';
import { follow } from '../practice/follow.ts';
import { HiddenMachine } from '../practice/hiddenMachine.ts';
import { seededRandom } from '../random/lcg.ts';
import { drawSound } from '../tracing/draw.ts';
import { likelyComplaint } from '../tracing/likelyComplaint.ts';
import type { ModelFault } from '../tracing/model.ts';
import { ruler } from '../tracing/ruler.ts';
import { Tracer } from '../tracing/trace.ts';

const everything = { ...house, owns: [...house.owns, 'LED lamp' as const, 'capacitance meter' as const] };
const SEEDS = [11, 23, 47, 59, 71, 83, 97, 101, 113, 131, 149, 163];
/** One machine that comes out right is enough here; where it misled, two of three, or three of five. `bench kinds` plays many. */
const MACHINES = { first: 3, most: 5 } as const;
const RIGHT = 0.6;
/**
 * Told apart from something alike only late: a shorted diode that has stopped the charge altogether from a dead regulator,
 * a worn bore from worn rings where there is one cylinder.
 */
const LATE: ReadonlySet<string> = new Set(['charger.diode-shorted', 'compression-bores.worn']);
const RIGHT_LATE = 0.2;
/** Less likely than this to be complained of, its slight degrees included, nobody brings it in. */
const BROUGHT_IN = 0.13;
/** And one machine that has it is played only where it fails so often. */
const MACHINE_FAILS = 0.2;
/** Of one bit, what some check must tell between a fault and the sound machine. */
const SHOWS_BITS = 0.03;
/** Half of a small stator's wave hardly ever lifts the battery to where its regulator would have to hold it. */
const HARDLY_REACHED: ReadonlySet<string> = new Set(['charge-regulator.high']);
/** Ways of failing that no machine of this file has had yet: one each is enough here, `bench kinds` plays them on all. */
function fresh(faults: readonly ModelFault[], had: Set<string>): ModelFault[] {
  return faults.filter(({ part, mode }) => {
    const way = `${part.kind.kind} ${mode.id}`;
    return !had.has(way) && had.add(way);
  });
}
const played = new Set<string>();
const shown = new Set<string>();
/** Registers a test for each of these faults, in and its repair out. Cylinders are alike: the first and the last stand for all. */
export function testFaults(tracer: Tracer, faults: readonly ModelFault[]): void {
  const { cylinders } = tracer.model.machine.fit;
  const ends = faults.filter((f) => [undefined, 1, cylinders].includes(f.part.cylinder));
  const all = fresh(ends, played).map((f) => [f.id, f] as const);
  if (all.length > 0) it.each(all)('%s in, its repair out', (_id, fault) => comesOut(tracer, fault));
}

/** Registers the tests of every second kind, from the first or the second: two files, so that two run at a time. */
export function testKinds(from: 0 | 1): void {
  describe.each(Object.entries(KINDS).filter((_, k) => k % 2 === from))('%s', (_name, fit) => {
    const tracer = new Tracer(machine(fit), everything);
    const { model } = tracer;
    it('fires on every cylinder when it is sound, cranking and running, whatever its tolerances', () => {
      const random = seededRandom(5);
      for (let k = 0; k < 12; k++) {
        const scene = new Scene(model.machine, drawSound(model, random));
        for (let i = 1; i <= model.machine.fit.cylinders; i++)
          for (const key of ['crank', 'run'] as const)
            expect(sparkWords(scene.spark('plug', { key, points: 'turning' }, i)).none).toBeLessThan(0.1);
      }
    });
    it('has a sound answer to every check, and a station, drawn and named, for each', () => {
      const stations = new Set(model.machine.stations.map((s) => s.id));
      for (const part of model.machine.parts) expect(stations, part.id).toContain(part.station);
      for (const check of model.checks) {
        expect(stations, check.id).toContain(check.station);
        const { well, dimension } = ruler(tracer.weigher, check, []);
        if (dimension) expect(well.openShare === 1 || well.edge!.low < well.edge!.high, check.id).toBe(true);
        else expect(Math.max(...Object.values(well.words)), check.id).toBeGreaterThan(0.5);
      }
      for (const lane of model.machine.stations.flatMap((s) => s.lane ?? [])) expect(stations).toContain(lane.joins);
    });
    it('names the node of every probe in words', () => {
      for (const { probe, id } of model.checks)
        if (probe.kind === 'across')
          for (const node of [probe.live, probe.earth]) expect(model.machine.nodeNames[node], id).toBeTruthy();
    });
    testFaults(tracer, model.faults);
  });
}

/** Machines with a fault are traced until most of those that would be brought in have named its repair. */
function comesOut(tracer: Tracer, fault: ModelFault): void {
  // What only hands do was done by somebody, and is told.
  const { station } = fault.part;
  const worked = { recent: [{ station, what: 'disturbed', ago: 'just before' } as const] };
  const complaint = { ...likelyComplaint(tracer, [fault]), ...(fault.mode.byHand ? worked : {}) };
  // Some faults hardly tell on some kinds (a leaking lead before a fast discharge): nobody would bring that machine in.
  // Looked for, it shows all the same.
  if (tracer.weigher.complaintShare([fault], complaint) < BROUGHT_IN) {
    const best = Math.max(...tracer.model.checks.map((check) => tracer.separation([fault], [], check)));
    if (best < SHOWS_BITS && HARDLY_REACHED.has(fault.id)) return;
    return expect(best, `${fault.id} shows nowhere`).toBeGreaterThan(SHOWS_BITS);
  }
  // Nor one of those that happen to run well: the three that fail most plainly.
  const failing = SEEDS.map((seed) => new HiddenMachine(tracer.model, [fault], seededRandom(seed)))
    .filter((hidden) => hidden.brings(complaint) > MACHINE_FAILS)
    .sort((a, b) => b.brings(complaint) - a.brings(complaint))
    .slice(0, MACHINES.most);
  expect(failing.length).toBeGreaterThan(0);
  // Readings scatter, and one in some tens of them misleads: most machines must come out right.
  const named: string[] = [];
  const right = () => named.filter((n) => n === fault.repairId).length;
  const share = LATE.has(fault.id) ? RIGHT_LATE : RIGHT;
  const wanted = (of: number) => Math.round(share * Math.min(of, failing.length));
  for (const [k, hidden] of failing.entries()) {
    if (k === 1 && right() === 1) return;
    if (k <= MACHINES.first && right() >= wanted(MACHINES.first)) return;
    if (right() + failing.length - k < wanted(MACHINES.most)) break;
    named.push(follow(tracer, complaint, hidden, { most: 40 }).named);
  }
  expect(right(), `${complaint.symptom}: ${named.join()}`).toBeGreaterThanOrEqual(
    wanted(named.length > MACHINES.first ? MACHINES.most : MACHINES.first),
  );
}

/** No check shows anything but a figure or chances of words that sum to one, whatever has failed and how badly. */
function showsFigures({ model, weigher }: Tracer): void {
  for (const fault of fresh(model.faults, shown))
    for (const member of [0, MEMBERS - 1]) {
      const scene = weigher.ensemble([fault]).scene(member);
      for (const check of [...model.checks, ...model.beyond]) {
        const seen = INSTRUMENTS[check.instrument].observe(scene, check);
        const where = `${check.id} with ${fault.id}`;
        if (seen.kind === 'number') expect(seen.value, where).not.toBeNaN();
        else {
          expect(
            Object.values(seen.shares).reduce((a, b) => a + b, 0),
            where,
          ).toBeCloseTo(1, 6);
          expect(Math.min(...Object.values(seen.shares)), where).toBeGreaterThanOrEqual(0);
        }
      }
    }
}

/** Every check has a sound answer, every part a station, and every node that is probed is named in words. */
export function answersWhenSound(tracer: Tracer): void {
  const { model, weigher } = tracer;
  showsFigures(tracer);
  const stations = new Set(model.machine.stations.map((s) => s.id));
  for (const part of model.machine.parts) expect(stations, part.id).toContain(part.station);
  for (const check of model.checks) {
    const { well, dimension } = ruler(weigher, check, []);
    if (dimension) expect(well.openShare === 1 || well.edge!.low < well.edge!.high, check.id).toBe(true);
    else expect(Math.max(...Object.values(well.words)), check.id).toBeGreaterThan(0.5);
    if (check.probe.kind === 'across')
      for (const node of [check.probe.live, check.probe.earth])
        expect(model.machine.nodeNames[node], `${check.id} ${node}`).toBeTruthy();
  }
}
