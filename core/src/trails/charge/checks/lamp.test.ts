import { describe, expect, it } from 'vitest';
import { CHARGED } from '../../../__tests__/chargeMachines.ts';
import { house } from '../../../__tests__/machines.ts';
import { Tracer } from '../../../tracing/trace.ts';

const CHECK = 'charge-lamp-earthed';
const tracers = Object.entries(CHARGED)
  .map(([name, body]) => [name, new Tracer(body, house)] as const)
  .filter(([, { weigher }]) => weigher.check(CHECK) !== undefined);

describe('the charge lamp’s wire held to earth', () => {
  it.each(tracers)('%s: lights only where the key gives the lamp anything', (_name, { model, weigher }) => {
    const check = weigher.check(CHECK)!;
    const lights = (id?: string): number => {
      const fault = model.faults.filter((f) => f.id === id);
      const predicted = weigher.ensemble(fault).predict(check);
      if (predicted.kind !== 'word') throw new Error('a look is told in words');
      return Math.min(...predicted.shares.map((s) => s['lights'] ?? 0));
    };
    expect(lights()).toBeGreaterThan(0.9);
    for (const dead of ['switch.dead', 'fuse.blown', 'feed.broken', 'charge-lamp.wire'])
      if (model.faults.some((f) => f.id === dead)) expect(lights(dead), dead).toBeLessThan(0.1);
    for (const beyond of ['charger.brushes', 'charger.field-open'])
      if (model.faults.some((f) => f.id === beyond)) expect(lights(beyond), beyond).toBeGreaterThan(0.9);
  });
});
