import type { TrailFit } from '../schema/fitOut.ts';
import type { MachineBody } from '../schema/machine.ts';
import { cranked } from './crankMachines.ts';

const points: TrailFit = { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } };
const air: TrailFit = { trail: 'air', kind: 'throttled', options: {} };

/** Engines that breathe through a throttle: alone, and with the trails that their air bears on. */
export const BREATHING: Readonly<Record<string, MachineBody>> = {
  'with its spark': cranked([points, air]),
  'with spark, fuel and timing': cranked([
    points,
    { trail: 'fuel', kind: 'mechanical', options: { carburettors: 1, sealed: false, enriching: 'choke' } },
    { trail: 'timing', kind: 'weights-vacuum', options: {} },
    air,
  ]),
  'governed, with a magneto': cranked(
    [
      { trail: 'spark', kind: 'flywheel-magneto', options: { ballast: 'none', fused: false } },
      { trail: 'fuel', kind: 'gravity', options: { carburettors: 1, sealed: false, enriching: 'choke' } },
      { trail: 'air', kind: 'throttled', options: { governor: true } },
    ],
    { cylinders: 1, compressionRatio: 7 },
  ),
  'two carburettors, a servo, valves of crankcase and canister': cranked([
    points,
    {
      trail: 'fuel',
      kind: 'electric',
      options: { carburettors: 2, sealed: true, enriching: 'choke', accelerator: true },
    },
    { trail: 'air', kind: 'throttled', options: { breather: true, servo: true } },
  ]),
};
