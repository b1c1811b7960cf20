import { cranked } from './crankMachines.ts';
import type { TrailFit } from '../schema/fitOut.ts';
import type { MachineBody } from '../schema/machine.ts';

const spark: TrailFit = { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } };
const discharge: TrailFit = { trail: 'spark', kind: 'capacitor-discharge', options: { ballast: 'none', fused: false } };
type Charge = TrailFit & { trail: 'charge' };
const charge = (kind: Charge['kind'], options: Partial<Charge['options']> = {}): Charge => ({
  trail: 'charge',
  kind,
  options: { loads: [], ...options },
});
const small = { cylinders: 1, compressionRatio: 9 } as const;

/** One machine of each kind of charge trail, in the company it keeps. */
export const CHARGED: Readonly<Record<string, MachineBody>> = {
  'alternator with a lamp': cranked([spark, charge('alternator', { tells: 'lamp' })]),
  'alternator, regulator apart, ammeter': cranked([spark, charge('alternator-apart', { tells: 'ammeter' })]),
  'generator, six volts, positive earth': cranked([spark, charge('generator', { field: 'A', tells: 'lamp' })], {
    volts: 6,
    earth: 'positive',
  }),
  'generator, twelve volts, without a lamp': cranked([spark, charge('generator', { field: 'B', tells: 'ammeter' })]),
  'three phases under a flywheel': cranked([discharge, charge('stator-three', { control: 'shunt' })], small),
  'one phase, both halves': cranked([charge('stator-single', { wave: 'full', control: 'series' })], small),
  'one phase, one half': cranked([charge('stator-single', { wave: 'half', control: 'shunt' })], small),
  'a lighting coil': cranked(
    [{ trail: 'spark', kind: 'flywheel-magneto', options: { ballast: 'none', fused: false } }, charge('lighting-coil')],
    { ...small, compressionRatio: 7 },
  ),
};
