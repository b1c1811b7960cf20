import { cranked } from './crankMachines.ts';
import type { TrailFit } from '../schema/fitOut.ts';
import type { MachineBody } from '../schema/machine.ts';

const spark: TrailFit = { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } };
const discharge: TrailFit = { trail: 'spark', kind: 'capacitor-discharge', options: { ballast: 'none', fused: false } };
const magneto: TrailFit = { trail: 'spark', kind: 'flywheel-magneto', options: { ballast: 'none', fused: false } };
type Fuel = TrailFit & { trail: 'fuel' };
const fuel = (kind: Fuel['kind'], options: Partial<Fuel['options']> = {}): Fuel => ({
  trail: 'fuel',
  kind,
  options: { carburettors: 1, sealed: false, enriching: 'choke', ...options },
});

/** One machine of each kind of fuel trail, in the company it keeps. */
export const FUELLED: Readonly<Record<string, MachineBody>> = {
  'by its own weight, a magneto': cranked([magneto, fuel('gravity', { mixed: true })], {
    cylinders: 1,
    compressionRatio: 7,
  }),
  'mechanical pump, breaker points': cranked([spark, fuel('mechanical', { accelerator: true })]),
  'electric pump, two carburettors, a sealed tank': cranked([
    spark,
    fuel('electric', { carburettors: 2, sealed: true, enriching: 'enricher' }),
  ]),
  'pulse pump, capacitor discharge': cranked([discharge, fuel('pulse', { enriching: 'enricher' })], {
    cylinders: 1,
    compressionRatio: 9,
  }),
  'a tap that vacuum opens, an idle cut-off': cranked([spark, fuel('gravity', { vacuumTap: true, idleCutOff: true })], {
    cylinders: 2,
    compressionRatio: 9,
  }),
  'tank apart, primer bulb': cranked([discharge, fuel('bulb')], { cylinders: 2, compressionRatio: 7, marine: true }),
};
