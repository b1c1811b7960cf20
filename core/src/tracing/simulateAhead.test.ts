import { afterEach, describe, expect, it, vi } from 'vitest';
import { failing, house, machine, noFire } from '../__tests__/machines.ts';
import { Ensemble } from './ensemble.ts';
import { simulateAhead } from './simulateAhead.ts';
import { Tracer } from './trace.ts';

afterEach(() => void vi.restoreAllMocks());

describe('a machine simulated while nobody asks yet', () => {
  it('has nothing of single faults left to play when its complaint is traced, and traces the same', () => {
    const cold = new Tracer(machine(), house).trace(noFire, [], failing);
    const ahead = new Tracer(machine(), house);
    let pieces = 0;
    for (const _piece of simulateAhead(ahead.weigher, noFire)) pieces++;
    const { faults, checks } = ahead.model;
    expect(pieces).toBe((faults.length + 1) * (checks.length + 1));
    const played: string[] = [];
    const scene = Ensemble.prototype.scene;
    vi.spyOn(Ensemble.prototype, 'scene').mockImplementation(function (this: Ensemble, member) {
      played.push(this.faults.map((f) => f.id).join('+'));
      return scene.call(this, member);
    });
    const { ranked, suspects } = ahead.trace(noFire, [], failing);
    // Two faults together are built on each of them alone.
    const pairs = new Set(played.flatMap((name) => (name.includes('+') ? name.split('+') : [])));
    expect(played.filter((name) => name !== '' && !name.includes('+') && !pairs.has(name))).toEqual([]);
    expect(ranked.map((r) => [r.check.id, r.bits])).toEqual(cold.ranked.map((r) => [r.check.id, r.bits]));
    expect(suspects.map((s) => s.share)).toEqual(cold.suspects.map((s) => s.share));
  });
  it('may be left in the middle', () => {
    const left = new Tracer(machine(), house);
    const pieces = simulateAhead(left.weigher, noFire);
    for (let k = 0; k < 40; k++) pieces.next();
    const cold = new Tracer(machine(), house).trace(noFire, [], failing);
    expect(left.trace(noFire, [], failing).ranked.map((r) => r.bits)).toEqual(cold.ranked.map((r) => r.bits));
  });
});
