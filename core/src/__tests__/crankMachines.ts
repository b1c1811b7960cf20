import type { FitOut, TrailFit } from '../schema/fitOut.ts';
import { machineBodySchema, type MachineBody } from '../schema/machine.ts';

const spark: TrailFit = { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } };
const crank = (
  kind: 'direct' | 'relay' | 'glow' | 'pull',
  options: Partial<(TrailFit & { trail: 'crank' })['options']> = {},
) => ({ trail: 'crank', kind, options: { interlocks: [], ...options } }) as const satisfies TrailFit;

export const cranked = (trails: TrailFit[], change: Partial<Omit<FitOut, 'trails'>> = {}): MachineBody =>
  machineBodySchema.parse({
    name: 'Test',
    kind: 'car',
    fitOut: { volts: 12, earth: 'negative', cylinders: 4, compressionRatio: 8, ...change, trails },
  });

/** One machine of each kind of crank trail, in the company it keeps. */
export const CRANKED: Readonly<Record<string, MachineBody>> = {
  'relay and an interlock, with breaker points': cranked([spark, crank('relay', { interlocks: ['Neutral'] })]),
  'its own solenoid, six volts, positive earth': cranked([spark, crank('direct')], { volts: 6, earth: 'positive' }),
  'glow plugs on a shared feed, twenty-four volts': cranked([crank('glow', { heat: 'plugs' })], {
    volts: 24,
    compressionRatio: 20,
  }),
  'an intake heater on a shared feed': cranked([crank('glow', { heat: 'intake heater', interlocks: ['Clutch'] })], {
    compressionRatio: 19,
  }),
  'relay beside a capacitor discharge': cranked(
    [
      { trail: 'spark', kind: 'capacitor-discharge', options: { ballast: 'none', fused: false } },
      crank('relay', { interlocks: ['Brake'] }),
    ],
    { cylinders: 1, compressionRatio: 9 },
  ),
  'a master switch and a decompressor, a diesel': cranked(
    [
      crank('direct', { isolator: true, decompressor: true }),
      { trail: 'compression', kind: 'four-stroke', options: { cooling: 'air', reeds: false } },
    ],
    { cylinders: 1, compressionRatio: 19 },
  ),
  'a kick lever and a decompressor': cranked(
    [
      { trail: 'spark', kind: 'flywheel-magneto', options: { ballast: 'none', fused: false } },
      crank('pull', { decompressor: true }),
    ],
    { cylinders: 1, compressionRatio: 9 },
  ),
  'a cord, with a flywheel magneto': cranked(
    [{ trail: 'spark', kind: 'flywheel-magneto', options: { ballast: 'none', fused: false } }, crank('pull')],
    { cylinders: 1, compressionRatio: 7 },
  ),
};
