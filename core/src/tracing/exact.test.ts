import { describe, expect, it } from 'vitest';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { Enumerated } from '../__tests__/enumerated.ts';
import { FUELLED } from '../__tests__/fuelMachines.ts';
import { house, machine, noFire, reading } from '../__tests__/machines.ts';
import { HiddenMachine } from '../practice/hiddenMachine.ts';
import { seededRandom, shuffled } from '../random/lcg.ts';
import { Weigher } from './belief.ts';
import { faultPriors } from './hypotheses.ts';
import { buildModel, type Model, type ModelFault } from './model.ts';
import { repairShares } from './verdict.ts';

/** Eight ways to fail, no two of one part; most of them bring the complaint. */
const EIGHT = { all: 8, telling: 6 } as const;
const READINGS = 3;
/** So many drawn cases a machine; more of them where a figure is wanted. */
const SEEDS = Number(process.env.EXACT_SEEDS ?? 2);
const MACHINES = {
  'points of six cylinders': machine(),
  'mechanical pump, breaker points': FUELLED['mechanical pump, breaker points']!,
  'alternator with a lamp': CHARGED['alternator with a lamp']!,
};

/** The same machine with no other ways to fail than eight of its own, each as common as on the whole machine. */
function cutDown(whole: Model, weigher: Weigher, inTurn: readonly ModelFault[]): Model {
  const faults: ModelFault[] = [];
  let telling = 0;
  for (const f of inTurn) {
    if (faults.length === EIGHT.all) break;
    if (faults.some((g) => g.part.id === f.part.id)) continue;
    const tells = weigher.complaintShare([f], noFire) > 0.05;
    if (tells ? telling === EIGHT.telling : faults.length - telling === EIGHT.all - EIGHT.telling) continue;
    telling += Number(tells);
    faults.push(f);
  }
  const shares = faultPriors(whole, noFire);
  const kept = new Map(faults.map((f) => [f, shares.get(f)!]));
  return { ...whole, faults, priors: new Map([...whole.priors.keys()].map((key) => [key, kept])) };
}

/** Belief in each repair and in something unknown by every set enumerated, and how far off the grown ones are. */
function compared(whole: Model, brought: Weigher, seed: number): { share: number; off: number }[] {
  const random = seededRandom(seed);
  const model = cutDown(
    whole,
    brought,
    shuffled(whole.faults.length, random).map((k) => whole.faults[k]!),
  );
  const weigher = new Enumerated(model);
  const hidden = new HiddenMachine(model, [model.faults[0]!, model.faults[5]!], random);
  const touched = model.checks.filter((check) =>
    model.faults.some((f) => weigher.ensemble([f]).predict(check) !== weigher.ensemble([]).predict(check)),
  );
  const events = shuffled(touched.length, random)
    .slice(0, READINGS)
    .map((k) => {
      const read = hidden.read(touched[k]!);
      return reading(touched[k]!.id, read.kind === 'number' ? read.value : read.kind === 'word' ? read.word : 'OL');
    });
  const belief = weigher.weighAll(noFire, events);
  const grown = new Map(repairShares(model, belief, house).map(({ repair, share }) => [repair.id, share]));
  grown.set('outside', belief.outside);
  return [...weigher.shares(noFire, events)].map(([id, share]) => ({
    share,
    off: Math.abs(share - (grown.get(id) ?? 0)),
  }));
}

describe('accounts of several faults against all of them enumerated', () => {
  it('belief agrees to two hundredths', () => {
    const all = Object.values(MACHINES).flatMap((body) => {
      const whole = buildModel(body, house);
      const brought = new Weigher(whole);
      return Array.from({ length: SEEDS }, (_, k) => compared(whole, brought, k + 1)).flat();
    });
    // Cases in which nothing is open would tell nothing.
    expect(all.filter(({ share }) => share > 0.05 && share < 0.95).length).toBeGreaterThan(SEEDS);
    expect(Math.max(...all.map(({ off }) => off))).toBeLessThan(0.02);
  });
});
