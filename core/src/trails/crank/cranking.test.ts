import { describe, expect, it } from 'vitest';
import { cranked, CRANKED } from '../../__tests__/crankMachines.ts';
import { house } from '../../__tests__/machines.ts';
import { complaintLikelihood } from '../../engine/complaint.ts';
import type { CrankWord } from '../../machine/observed.ts';
import { Scene } from '../../machine/scene.ts';
import type { MachineBody } from '../../schema/machine.ts';
import { drawSound } from '../../tracing/draw.ts';
import { withBad } from '../../__tests__/withBad.ts';
import { buildModel } from '../../tracing/model.ts';
import { crankingAmps } from './checks/measured.ts';
import { startingOf } from './starting.ts';

const AT_START = { key: 'crank', points: 'closed' } as const;

function of(machine: MachineBody) {
  const model = buildModel(machine, house);
  const sound = drawSound(model, () => 0.5);
  const base = new Scene(model.machine, sound);
  return (faultId?: string, severity = 0.6) => {
    const fault = model.faults.find((f) => f.id === faultId);
    if (faultId && !fault) throw new Error(faultId);
    return fault ? new Scene(model.machine, withBad(model, sound, fault, severity), base) : base;
  };
}
const likeliest = (scene: Scene): CrankWord => {
  const words = Object.entries(scene.see('cranking', AT_START)) as [CrankWord, number][];
  return words.sort((a, b) => b[1] - a[1])[0]![0];
};
const amps = (scene: Scene): number => {
  const [check] = crankingAmps(scene.machine);
  return check?.probe.kind === 'figure' ? check.probe.value(scene) : NaN;
};

describe('a starter, its battery and its engine as one network', () => {
  const four = of(CRANKED['relay and an interlock, with breaker points']!);
  it('is what the books say of a small four on twelve volts: 80–150 A, 180–250 rev/min, 300–500 A locked', () => {
    expect(amps(four())).toBeGreaterThan(80);
    expect(amps(four())).toBeLessThan(150);
    expect(four().see('crankingRpm', AT_START)).toBeGreaterThan(180);
    expect(four().see('crankingRpm', AT_START)).toBeLessThan(250);
    const locked = amps(four('engine.locked'));
    expect(locked).toBeGreaterThan(300);
    expect(locked).toBeLessThan(500);
  });
  it('a V8 asks for 150–250 A, and six volts for about twice the current of twelve', () => {
    const trails = CRANKED['relay and an interlock, with breaker points']!.fitOut.trails;
    const eight = amps(of(cranked(trails, { cylinders: 8 }))());
    expect(eight).toBeGreaterThan(150);
    expect(eight).toBeLessThan(250);
    const [six, twelve] = [startingOf, startingOf].map((f, k) => f({ ...four().machine.fit, volts: k === 0 ? 6 : 12 }));
    expect(six!.amps / twelve!.amps).toBeCloseTo(2, 6);
  });
  it.each([
    ['starter-solenoid.burnt', 'clicks once'],
    ['starter-motor.open', 'clicks once'],
    ['starter-drive.slips', 'spins free'],
    ['starter-drive.teeth', 'grinds'],
    ['interlock-1.open', 'nothing'],
    ['start-relay.coil-open', 'nothing'],
    ['battery.tired', 'chatters'],
    ['engine.locked', 'clicks once'],
    ['engine.thick', 'turns slowly'],
    ['strap.corroded', 'chatters'],
  ] as const)('%s: it %s', (id, word) => {
    expect(likeliest(four(id, 0.9))).toBe(word);
  });
  it('a joint that is only poor lets it turn slowly; one that is worse lets the solenoid go again', () => {
    expect(likeliest(four('strap.corroded', 0.65))).toBe('turns slowly');
    expect(likeliest(four('live-clamp.corroded', 0.65))).toBe('turns slowly');
    expect(likeliest(four('live-clamp.corroded', 0.9))).toBe('chatters');
    // The cable feeds the motor alone: the solenoid holds.
    expect(likeliest(four('starter-cable.corroded', 0.95))).toBe('clicks once');
  });
  it('a shorted armature draws twice and turns slowly; a poor joint turns it slowly on less', () => {
    const [shorted, joint] = [four('starter-motor.shorted', 0.9), four('strap.corroded', 0.9)];
    expect(amps(shorted)).toBeGreaterThan(1.8 * amps(four()));
    expect(amps(joint)).toBeLessThan(amps(four()));
    for (const s of [shorted, joint])
      expect(s.see('crankingRpm', AT_START)).toBeLessThan(0.65 * four().see('crankingRpm', AT_START));
  });
  it('a chatter is told as a click by some: a tired battery is not ruled out by the owner’s word', () => {
    const tired = four('battery.tired', 0.9);
    const told = (symptom: 'crank-click' | 'crank-chatter' | 'crank-free') =>
      complaintLikelihood(tired, { symptom, pattern: 'constant', words: '', since: '', before: '' });
    expect(told('crank-click')).toBeGreaterThan(10 * told('crank-free'));
    expect(told('crank-chatter')).toBeGreaterThan(3 * told('crank-click'));
    expect(told('crank-free')).toBeLessThan(0.01);
  });
  it('what starves the starter starves the coil: the crank trail is felt on the spark trail', () => {
    const spark = (s: Scene) => s.spark('plug', { key: 'crank', points: 'turning' }, 1).availableVolts;
    expect(spark(four('battery.tired', 0.3))).toBeLessThan(0.8 * spark(four()));
  });
});

describe('a heater on the feed of the solenoid', () => {
  const heated = of(CRANKED['an intake heater on a shared feed']!);
  const small = (s: Scene, loads?: 'none') => {
    const at = s.solve({ ...AT_START, ...(loads ? { loads } : {}), at: { 'starter-solenoid': 'out' } });
    return Math.abs(at.volts('sol-s') - at.volts('block'));
  };
  it('pulls the small terminal under eight volts of twelve once the feed is corroded, and it grinds', () => {
    const bad = heated('shared-feed.corroded', 0.9);
    expect(small(bad)).toBeLessThan(8);
    expect(small(bad, 'none')).toBeGreaterThan(8);
    expect(likeliest(bad)).toBe('grinds');
    expect(likeliest(heated())).toBe('turns well');
  });
});
