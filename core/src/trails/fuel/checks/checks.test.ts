import { describe, expect, it } from 'vitest';
import { FUELLED } from '../../../__tests__/fuelMachines.ts';
import { readsLike } from '../../../__tests__/readsLike.ts';

const gravity = FUELLED['by its own weight, a magneto']!;
const mechanical = FUELLED['mechanical pump, breaker points']!;
const electric = FUELLED['electric pump, two carburettors, a sealed tank']!;
const pulse = FUELLED['pulse pump, capacitor discharge']!;
const vacuum = FUELLED['a tap that vacuum opens, an idle cut-off']!;
const bulb = FUELLED['tank apart, primer bulb']!;

/** What a mechanic would see on such a machine, sound and with its faults: from the trade, not from the model. */
describe('by eye, nose and hand', () => {
  it.each([
    [gravity, 'fuel-level', undefined, 'enough'],
    [gravity, 'fuel-level', 'fuel-tank.empty', 'empty'],
    [gravity, 'fuel-sample', undefined, 'fresh'],
    [gravity, 'fuel-sample', 'fuel-tank.stale', 'smells of varnish'],
    [gravity, 'fuel-sample', 'fuel-tank.watered', 'water under it'],
    [gravity, 'fuel-sample', 'fuel-tank.empty', 'nothing comes'],
    [gravity, 'fuel-cap', undefined, 'no hiss'],
    [gravity, 'fuel-cap', 'fuel-vent.blocked', 'hisses'],
    [gravity, 'fuel-cap', 'fuel-filter.blocked', 'no hiss'],
    [gravity, 'fuel-sample', 'fuel-tank.oily', 'thick with oil'],
    [gravity, 'look-plugs', 'fuel-tank.oily', 'all oily'],
    [gravity, 'fuel-sample', 'fuel-tank.unoiled', 'no oil in it'],
    [gravity, 'fuel-nipped-up', undefined, 'as usual'],
    [gravity, 'fuel-nipped-up', 'fuel-tank.unoiled', 'tight hot, free cold'],
    [gravity, 'fuel-hand-fed', 'fuel-tank.unoiled', 'no different'],
    [vacuum, 'fuel-tap-prime', undefined, 'no different'],
    [vacuum, 'fuel-tap-prime', 'fuel-tap.shut', 'well on prime'],
    [vacuum, 'fuel-tap-prime', 'fuel-tap.hose', 'well on prime'],
    [vacuum, 'fuel-tap-prime', 'fuel-filter.blocked', 'no different'],
    [vacuum, 'fuel-tap-hose', undefined, 'dry'],
    [vacuum, 'fuel-tap-hose', 'fuel-tap.weeps', 'wet with fuel'],
    [vacuum, 'fuel-tap-hose', 'fuel-tap.hose', 'split or loose'],
    [vacuum, 'fuel-tap-drawn', undefined, 'flows and stops'],
    [vacuum, 'fuel-tap-drawn', 'fuel-tap.shut', 'never flows'],
    [vacuum, 'fuel-tap-drawn', 'fuel-tap.hose', 'flows and stops'],
    [vacuum, 'fuel-tap-drawn', 'fuel-tap.blocked', 'never flows'],
    [vacuum, 'fuel-cut-off-click', undefined, 'clicks'],
    [vacuum, 'fuel-cut-off-click', 'fuel-idle-cut-off.stuck', 'silent'],
    [vacuum, 'fuel-cut-off-click', 'fuel-idle-cut-off.wire', 'silent'],
    [vacuum, 'fuel-cut-off-feed', 'fuel-idle-cut-off.stuck', 'bright'],
    [vacuum, 'fuel-cut-off-feed', 'fuel-idle-cut-off.wire', 'dark or dim'],
    [mechanical, 'fuel-strainer-look', undefined, 'clear'],
    [mechanical, 'fuel-strainer-look', 'fuel-strainer.blocked', 'blocked'],
    [mechanical, 'fuel-filter-look', 'fuel-strainer.blocked', 'clear'],
    [mechanical, 'fuel-bowl-vent-look', undefined, 'clear'],
    [mechanical, 'fuel-bowl-vent-look', 'fuel-bowl-vent.blocked', 'blocked'],
    [mechanical, 'fuel-stood-full', undefined, 'full'],
    [mechanical, 'fuel-stood-full', 'fuel-pump.drains', 'run empty'],
    [mechanical, 'fuel-stood-full', 'fuel-line.air', 'run empty'],
    [electric, 'fuel-vapour-line', undefined, 'both pass'],
    [electric, 'fuel-vapour-line', 'fuel-vent.stuck', 'valve stuck'],
    [electric, 'fuel-vapour-line', 'fuel-vent.kinked', 'line kinked'],
    [electric, 'fuel-cap', 'fuel-vent.stuck', 'hisses'],
    [mechanical, 'plug-deposit', 'fuel-needle.leaks', 'wet with fuel'],
    [mechanical, 'fuel-hot-look', undefined, 'dry and quiet'],
    [mechanical, 'fuel-hot-look', 'fuel-float.boils', 'bubbles or drips inside'],
    [mechanical, 'fuel-hot-look', 'fuel-line.vapour', 'hose too hot to hold'],
    [mechanical, 'fuel-hot-look', 'fuel-line.air', 'dry and quiet'],
    [mechanical, 'fuel-float-look', 'fuel-float.boils', 'light and level'],
    [mechanical, 'fuel-drips', 'fuel-float.boils', 'drips or runs'],
    [mechanical, 'fuel-squirt', undefined, 'squirts'],
    [mechanical, 'fuel-squirt', 'fuel-accelerator.dead', 'nothing or late'],
    [mechanical, 'fuel-bubbles', undefined, 'solid fuel'],
    [mechanical, 'fuel-bubbles', 'fuel-line.air', 'bubbles'],
    [mechanical, 'fuel-bubbles', 'fuel-tank.empty', 'stays empty'],
    [mechanical, 'fuel-in-oil', undefined, 'only oil'],
    [mechanical, 'fuel-in-oil', 'fuel-pump.torn', 'smells of petrol'],
    [mechanical, 'fuel-in-oil', 'fuel-pump.worn', 'only oil'],
    [electric, 'fuel-pump-heard', undefined, 'ticks'],
    [electric, 'fuel-pump-heard', 'fuel-pump.dead', 'silent'],
    [electric, 'fuel-pump-heard', 'fuel-pump.feed', 'silent'],
    [electric, 'fuel-pump-feed', 'fuel-pump.dead', 'bright'],
    [electric, 'fuel-pump-feed', 'fuel-pump.feed', 'dark or dim'],
    [pulse, 'fuel-pulse-hose', undefined, 'sound'],
    [pulse, 'fuel-pulse-hose', 'fuel-pump.hose', 'split or off'],
    [bulb, 'fuel-bulb-firm', undefined, 'firm and stays'],
    [bulb, 'fuel-bulb-firm', 'fuel-bulb.leaks', 'firm, then soft'],
    [bulb, 'fuel-bulb-firm', 'fuel-line.air', 'never firm'],
    [bulb, 'fuel-bulb-firm', 'fuel-tank.empty', 'never firm'],
    [gravity, 'fuel-drips', undefined, 'dry'],
    [gravity, 'fuel-drips', 'fuel-needle.leaks', 'drips or runs'],
    [gravity, 'fuel-drips', 'fuel-float.heavy', 'drips or runs'],
    [gravity, 'fuel-drips', 'fuel-choke.shut', 'dry'],
    [gravity, 'fuel-bowl-drain', undefined, 'a bowlful, and again'],
    [gravity, 'fuel-bowl-drain', 'fuel-needle.shut', 'hardly anything'],
    [gravity, 'fuel-bowl-drain', 'fuel-idle-jet.blocked', 'a bowlful, and again'],
    [gravity, 'fuel-choke-look', undefined, 'closes and opens'],
    [gravity, 'fuel-choke-look', 'fuel-choke.open', 'stays open'],
    [gravity, 'fuel-choke-look', 'fuel-choke.shut', 'stays shut'],
    [gravity, 'fuel-tap-look', 'fuel-tap.blocked', 'blocked'],
    [gravity, 'fuel-tap-look', 'fuel-filter.blocked', 'clear'],
    [gravity, 'fuel-filter-look', 'fuel-filter.blocked', 'blocked'],
    [gravity, 'fuel-hose-look', 'fuel-line.blocked', 'blocked'],
    [gravity, 'fuel-idle-jet-look', 'fuel-idle-jet.blocked', 'blocked'],
    [gravity, 'fuel-main-jet-look', 'fuel-idle-jet.blocked', 'clear'],
    [gravity, 'fuel-float-look', 'fuel-float.heavy', 'heavy'],
    [gravity, 'fuel-float-look', 'fuel-float.low', 'set too low'],
    [gravity, 'fuel-needle-look', undefined, 'passes and holds'],
    [gravity, 'fuel-needle-look', 'fuel-needle.shut', 'never passes'],
    [gravity, 'fuel-needle-look', 'fuel-needle.leaks', 'never holds'],
  ] as const)('%#: %j reads as it should', (machine, check, fault, word) => {
    expect(readsLike(machine, check, fault), `${check} with ${fault ?? 'nothing wrong'}`).toBe(word);
  });
});

describe('cheap questions that part fuel from the rest', () => {
  it.each([
    ['fuel-whiff', undefined, 'it fired without'],
    ['fuel-whiff', 'fuel-needle.shut', 'fires for a moment'],
    ['fuel-whiff', 'fuel-tank.empty', 'fires for a moment'],
    ['fuel-whiff', 'points-1.burnt', 'nothing changes'],
    ['fuel-whiff', 'fuel-needle.leaks', 'nothing changes'],
    ['fuel-plug', undefined, 'damp'],
    ['fuel-plug', 'points-1.burnt', 'damp'],
    ['fuel-plug', 'fuel-needle.shut', 'bone dry'],
    ['fuel-plug', 'fuel-needle.leaks', 'dripping'],
    ['fuel-clear', 'fuel-needle.leaks', 'catches and clears'],
    ['fuel-clear', 'fuel-needle.shut', 'no different'],
    ['fuel-choke-hand-idle', undefined, 'slows down'],
    ['fuel-choke-hand-idle', 'fuel-idle-jet.blocked', 'picks up'],
    ['fuel-choke-hand-idle', 'fuel-choke.shut', 'smokes and stops'],
    ['fuel-choke-hand-fast', 'fuel-main-jet.blocked', 'picks up'],
    ['fuel-choke-hand-fast', 'fuel-idle-jet.blocked', 'slows down'],
  ] as const)('%s with %s: %s', (check, fault, word) => {
    expect(readsLike(gravity, check, fault, 0.9)).toBe(word);
  });
});

describe('gauge and can', () => {
  const ml = (machine: typeof gravity, fault?: string) => (readsLike(machine, 'fuel-can', fault) as number) * 1e6;
  const kPa = (check: string, fault?: string) => (readsLike(mechanical, check, fault) as number) / 1e3;
  it('a car’s pump fills some hundred millilitres in half a minute, a worn or starved one hardly any', () => {
    expect(ml(mechanical)).toBeGreaterThan(200);
    expect(ml(mechanical)).toBeLessThan(700);
    for (const fault of ['fuel-pump.torn', 'fuel-filter.blocked', 'fuel-line.blocked', 'fuel-tank.empty'])
      expect(ml(mechanical, fault), fault).toBeLessThan(100);
  });
  it('a needle that sticks does not show in the can, its hose being off', () => {
    expect(ml(mechanical, 'fuel-needle.shut')).toBeCloseTo(ml(mechanical), 6);
  });
  it('a small tank over its carburettor gives less, and enough', () => {
    expect(ml(gravity)).toBeGreaterThan(40);
    expect(ml(gravity)).toBeLessThan(ml(mechanical));
  });
  it('a mechanical pump presses 14 to 35 kPa less its lift, a torn one hardly anything', () => {
    expect(kPa('fuel-pressure')).toBeGreaterThan(14);
    expect(kPa('fuel-pressure')).toBeLessThan(35);
    expect(kPa('fuel-pressure', 'fuel-pump.torn')).toBeLessThan(5);
  });
  it('before the pump: little vacuum when well, much of it before a blocked filter, none with a dead pump', () => {
    expect(kPa('fuel-suction')).toBeGreaterThan(-9);
    expect(kPa('fuel-suction', 'fuel-filter.blocked')).toBeLessThan(-12);
    expect(Math.abs(kPa('fuel-suction', 'fuel-pump.torn'))).toBeLessThan(5);
  });
});
