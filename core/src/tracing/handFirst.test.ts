import { describe, expect, it } from 'vitest';
import { cranked } from '../__tests__/crankMachines.ts';
import { fix, house, noFire, reading } from '../__tests__/machines.ts';
import { traceView } from '../views/views.ts';
import { turnedByStarter } from '../machine/doings.ts';
import { mayBeHeld } from './handFirst.ts';
import { Tracer } from './trace.ts';

const NOW = { warmth: 'unknown', faultPresent: 'yes' } as const;
const tracer = new Tracer(
  cranked([
    { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } },
    { trail: 'crank', kind: 'direct', options: { interlocks: [] } },
    { trail: 'fuel', kind: 'mechanical', options: { carburettors: 1, sealed: false, enriching: 'choke' } },
  ]),
  house,
);
const turns = (id: string) => turnedByStarter(tracer.model.machine, tracer.weigher.check(id)!);
const view = (complaint: typeof noFire, ...events: ReturnType<typeof reading>[]) =>
  traceView(tracer, complaint, events, NOW);

describe('a drowned or seized cylinder', () => {
  it.each(['crank-click', 'crank-slow', 'floods'] as const)('%s: turned by hand before any starter', (symptom) => {
    const { ranked } = view({ ...noFire, symptom });
    const first = ranked.findIndex((r) => turns(r.id));
    const hand = ranked.findIndex((r) => r.id === 'plugs-out-by-hand');
    expect(hand).toBeGreaterThanOrEqual(0);
    expect(hand).toBeLessThan(first);
    for (const r of ranked) expect(r.cautions.includes('drowned cylinder'), r.id).toBe(turns(r.id) || isHand(r.id));
  });
  const isHand = (id: string) => ['plugs-out-by-hand', 'crank-by-hand', 'crank-pinion'].includes(id);
  it('what is read at rest may go before both, where it tells more a minute', () => {
    const { ranked } = view({ ...noFire, symptom: 'crank-slow' });
    const hand = ranked.findIndex((r) => r.id === 'plugs-out-by-hand');
    const rest = ranked.findIndex((r) => r.id === 'battery-rest');
    expect(rest).toBeGreaterThanOrEqual(0);
    expect(rest).toBeLessThan(hand);
    // And none that comes before needs the engine turned.
    for (const r of ranked.slice(0, hand)) expect(turns(r.id), r.id).toBe(false);
  });
  it('what was under water asks for it whatever it is brought in for', () => {
    expect(mayBeHeld(noFire)).toBe(false);
    expect(mayBeHeld({ ...noFire, happened: ['under water'] })).toBe(true);
    expect(mayBeHeld({ ...noFire, also: 'floods' })).toBe(true);
  });
  it('turned freely and dry, the starter is free again; so it is once it was drained', () => {
    const complaint = { ...noFire, symptom: 'crank-click' } as const;
    for (const event of [reading('plugs-out-by-hand', 'turns freely, dry'), fix('engine.drain')]) {
      const { ranked } = view(complaint, event);
      for (const r of ranked)
        if (turns(r.id)) expect(r.cautions.includes('drowned cylinder'), `${event.type} ${r.id}`).toBe(false);
    }
  });
  it('water out of a plug hole is told, and is what holds it', () => {
    const { lines } = view({ ...noFire, symptom: 'crank-click' }, reading('plugs-out-by-hand', 'water comes out'));
    expect(lines[0]!.repair.id).toBe('engine.drain');
    expect(lines[0]!.share).toBeGreaterThan(0.6);
  });
});
