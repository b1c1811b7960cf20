import { describe, expect, it } from 'vitest';
import { SQUEEZING } from '../__tests__/squeezingMachines.ts';
import { house, noFire, reading } from '../__tests__/machines.ts';
import { decidingLooks } from './decidingLook.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(SQUEEZING['four cylinders, with spark, fuel, timing and air']!, house);
const looksFor = (faultId: string) => {
  const fault = tracer.model.faults.find((f) => f.id === faultId)!;
  const repair = tracer.model.repairs.get(fault.repairId)!;
  const tells = (check: Parameters<typeof tracer.separation>[2]) => tracer.separation([fault], [], check);
  return decidingLooks(tracer.weigher, fault, repair, house, tells).map((c) => c.id);
};

describe('no dear verdict without the look that decides', () => {
  it.each([
    ['compression-gasket.water-4', 'compression-bubbles'],
    ['fuel-idle-jet.blocked', 'fuel-idle-jet-look'],
    ['timing-chain.worn', 'timing-slack'],
  ])('%s: %s looks at the thing itself', (fault, check) => {
    expect(looksFor(fault)).toContain(check);
  });
  it('a head is not taken off on what is inferred: the look is asked for, and then it is called', () => {
    const complaint = { ...noFire, symptom: 'hard-start' } as const;
    const now = { warmth: 'unknown', faultPresent: 'yes' } as const;
    const seen = reading('exhaust-smoke', 'white that hangs');
    const events = [
      seen,
      reading('compression-1', 6e5),
      reading('compression-2', 6e5),
      reading('compression-listen', 'one runs through'),
    ];
    const { verdict } = tracer.trace(complaint, events, now);
    expect(verdict.kind === 'fix' && verdict.repair.id === 'compression-gasket.renew').toBe(false);
    const looked = tracer.trace(complaint, [...events, reading('compression-bubbles', 'bubbles or cream')], now);
    if (looked.verdict.kind === 'fix') expect(looked.verdict.repair.id).toBe('compression-gasket.renew');
    expect(looked.lines[0]!.repair.id).toBe('compression-gasket.renew');
  });
  it('what is cheap and soon done is not held up by a look', () => {
    const { verdict } = tracer.trace(noFire, [reading('look-points', 'burnt or dirty'), reading('points-drop', 7)], {
      warmth: 'unknown',
      faultPresent: 'yes',
    });
    expect(verdict.kind).toBe('fix');
  });
});
