import { describe } from 'vitest';
import { FUELLED } from '../__tests__/fuelMachines.ts';
import { SQUEEZING } from '../__tests__/squeezingMachines.ts';
import { readsAsInTheTrade } from '../__tests__/tradeTable.ts';

describe('smoke and smell of a four, as in the trade', () => {
  readsAsInTheTrade(FUELLED['mechanical pump, breaker points']!, [
    ['exhaust-smoke', undefined, 'as usual'],
    ['exhaust-smoke', 'fuel-choke.shut', 'black'],
    ['exhaust-smoke', 'fuel-idle-jet.blocked', 'will not run'],
    ['exhaust-nose', undefined, 'it fires'],
    ['exhaust-nose', 'fuel-tank.empty', 'of nothing'],
    ['exhaust-nose', 'fuel-needle.shut', 'of nothing'],
    ['exhaust-nose', 'points.parted', 'of petrol'],
    ['exhaust-nose', 'coil.primary-open', 'of petrol'],
  ]);
});

describe('smoke of an engine whose squeeze is told as well', () => {
  readsAsInTheTrade(SQUEEZING['four cylinders, with spark, fuel, timing and air']!, [
    ['exhaust-smoke', 'compression-rings-2.worn', 'thick blue'],
    ['exhaust-smoke', 'compression-gasket.water-4', 'white that hangs'],
    ['exhaust-smoke', undefined, 'as usual'],
  ]);
});
