import type { TrailFit } from '../schema/fitOut.ts';
import type { MachineBody } from '../schema/machine.ts';
import { cranked } from './crankMachines.ts';

const points: TrailFit = { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } };
const magneto: TrailFit = { trail: 'spark', kind: 'flywheel-magneto', options: { ballast: 'none', fused: false } };
const fourStroke: TrailFit = {
  trail: 'compression',
  kind: 'four-stroke',
  options: { cooling: 'water', reeds: false },
};

/** Engines whose compression is told, in the company it keeps. */
export const SQUEEZING: Readonly<Record<string, MachineBody>> = {
  'four cylinders, with spark, fuel, timing and air': cranked(
    [
      points,
      { trail: 'fuel', kind: 'mechanical', options: { carburettors: 1, sealed: false, enriching: 'choke' } },
      { trail: 'timing', kind: 'weights-vacuum', options: {} },
      { trail: 'air', kind: 'throttled', options: {} },
      fourStroke,
    ],
    { litres: 1.6 },
  ),
  'two strokes with reeds': cranked(
    [
      magneto,
      { trail: 'crank', kind: 'pull', options: { interlocks: [] } },
      { trail: 'fuel', kind: 'gravity', options: { carburettors: 1, sealed: false, enriching: 'choke' } },
      { trail: 'compression', kind: 'two-stroke', options: { cooling: 'air', reeds: true } },
    ],
    { cylinders: 1, compressionRatio: 7, litres: 0.12 },
  ),
  'a diesel of three': cranked(
    [{ trail: 'crank', kind: 'glow', options: { interlocks: [], heat: 'plugs' } }, fourStroke],
    {
      cylinders: 3,
      compressionRatio: 20,
      litres: 1.3,
    },
  ),
};
