import { TIMING_KINDS, type TrailFit } from '../schema/fitOut.ts';
import type { MachineBody } from '../schema/machine.ts';
import { cranked } from './crankMachines.ts';

const points: TrailFit = { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } };
const module: TrailFit = {
  trail: 'spark',
  kind: 'electronic',
  options: { ballast: 'none', fused: true, trigger: 'hall' },
};

/** One machine of each kind of timing trail, with the ignition that it moves. */
export const TIMED: Readonly<Record<string, MachineBody>> = Object.fromEntries(
  TIMING_KINDS.map((kind) => [
    kind,
    cranked([kind === 'map' ? module : points, { trail: 'timing', kind, options: {} }]),
  ]),
);
