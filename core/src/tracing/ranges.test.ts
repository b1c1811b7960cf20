import { describe, expect, it } from 'vitest';
import { KINDS } from '../__tests__/kinds.ts';
import { house, machine } from '../__tests__/machines.ts';
import { buildModel, followedBy, type Plate } from './model.ts';
import { plateProblems, Unsolved, unsolved, withTracer } from './solvable.ts';
import { Tracer } from './trace.ts';
import { TracerCache } from './tracerCache.ts';

const given = (plate: Plate, value: number) => ({
  [plate.id]: { low: value, high: value, source: 'manual' as const, note: '' },
});
/** Every check of the sound machine, as a reading would be predicted. */
function predicted(tracer: Tracer): void {
  for (const check of tracer.model.checks) {
    const got = tracer.weigher.ensemble([]).predict(check);
    if (got.kind === 'number')
      got.at.forEach((u, m) => {
        if (Number.isNaN(u) && !(got.open[m]! > 0)) throw new Error(`${check.id} shows nothing`);
      });
  }
}

/** Each figure on its own is tried where the network is richest; with all figures off at once every kind is. */
const EACH_ALONE = ['breaker points, six cylinders', 'capacitor discharge from a battery, two cylinders'];

describe.each(Object.entries(KINDS))('%s', (name, fit) => {
  const { model } = new Tracer(machine(fit), house);

  it('is computed with its figures at either end of their range', () => {
    const own = [...model.plates.values()].filter((p) => (p.part.cylinder ?? 1) === 1);
    const failed: string[] = [];
    const attempt = (what: string, plates: ReturnType<typeof given>) => {
      try {
        predicted(new Tracer(machine(fit, plates), house));
      } catch (error) {
        failed.push(`${what}: ${String(error)}`);
      }
    };
    for (const end of ['low', 'high'] as const) {
      for (const plate of EACH_ALONE.includes(name) ? own : [])
        attempt(`${plate.id} at ${plate.range[end]}`, given(plate, plate.range[end]));
      attempt(`all at their ${end} end`, Object.assign({}, ...own.map((p) => given(p, p.range[end]))) as never);
    }
    expect(failed).toEqual([]);
  });
  it('what is given for the first of a kind holds for its likes, by their number and by nothing else', () => {
    for (const part of model.machine.parts) {
      // As the ids are made: the number at the end is the cylinder's, or of things that an owner added.
      const numbered = /^(.*)-([2-9])$/.exec(part.id);
      const like = numbered && numbered[1] !== 'added' ? `${numbered[1]}-1` : undefined;
      expect(followedBy(part, model.machine.parts), part.id).toBe(like);
    }
  });
});

describe('what one figure set for one thing says of another', () => {
  const fit = KINDS['breaker points with what earlier owners added']!;
  it('a price given to the first thing an owner added is not the second’s', () => {
    const repairs = { 'added-1.replace': { minutes: 1, money: 2 }, 'lead-1.replace': { minutes: 3, money: 4 } };
    const ids = [...buildModel(machine(fit), house).repairs.keys()];
    const first = ids.find((id) => id.startsWith('added-1.'))!;
    const second = ids.find((id) => id.startsWith('added-2.'))!;
    const lead = ids.find((id) => id.startsWith('lead-1.'))!;
    const own = { ...repairs, [first]: { minutes: 1, money: 2 }, [lead]: { minutes: 3, money: 4 } };
    const model = buildModel(machine(fit), { ...house, repairs: own });
    expect(model.repairs.get(first)!.money).toBe(2);
    expect(model.repairs.get(second)!.money).not.toBe(2);
    expect(model.repairs.get(lead.replace('1', '3'))).toMatchObject({ minutes: 3, money: 4, follows: lead });
  });
});

describe('a machine that cannot be computed', () => {
  const zero = { 'coil.primaryOhms': { low: 0, high: 0, source: 'manual' as const, note: '' } };
  it('names the figure, both ends of it, and no other', () => {
    const bad = machine({}, { ...zero, 'coil.secondaryOhms': { low: 8000, high: 9000, source: 'manual', note: '' } });
    expect(plateProblems(bad, buildModel(bad, house)).map((p) => `${p.plate.id} ${p.end}`)).toEqual([
      'coil.primaryOhms low',
      'coil.primaryOhms high',
    ]);
    expect(unsolved(bad, house).map((p) => p.id)).toEqual(['coil.primaryOhms']);
    expect(unsolved(machine(), house)).toEqual([]);
  });
  it('is refused before anything is worked out with it; the figures off the shelf mend it', () => {
    const tracers = new TracerCache(2);
    const work = (plates: typeof zero | object) =>
      withTracer(tracers, machine({}, plates as never), house, () => 'done');
    expect(() => work(zero)).toThrow(Unsolved);
    expect(work({})).toBe('done');
    // A mistake of ours is not blamed on the machine.
    expect(() =>
      withTracer(tracers, machine(), house, () => {
        throw new Error('ours');
      }),
    ).toThrow('ours');
  });
});

describe('machines that were asked about', () => {
  it('the least lately used is forgotten first', () => {
    const cache = new TracerCache(2);
    const of = (ratio: number) => cache.for(machine({ compressionRatio: ratio }), house).weigher;
    const [one, two] = [of(7), of(8)];
    expect(of(7)).toBe(one);
    of(9);
    expect(cache.size).toBe(2);
    expect(of(7)).toBe(one);
    expect(of(8)).not.toBe(two);
    cache.dropOldest();
    expect(cache.size).toBe(1);
  });
  it('what is simulated does not ask the worth of the machine, nor the shop’s rates', () => {
    const cache = new TracerCache(2);
    const { weigher } = cache.for(machine(), house);
    expect(cache.for({ ...machine(), worth: 9 }, { ...house, ratePerHour: 90, sureness: 0.9 }).weigher).toBe(weigher);
  });
});
