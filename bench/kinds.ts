import type { FitOutOne } from '@pondu/core/schema';

const battery = { volts: 12, earth: 'negative', fused: true, marine: false, compressionRatio: 8 } as const;
const magnets = { ...battery, fused: false, ballast: 'none', compressionRatio: 7 } as const;

/** One fit-out of each kind of spark trail, the largest of its sort where size matters. */
export const KINDS: Readonly<Record<string, FitOutOne>> = {
  'breaker points, six cylinders': { ...battery, layout: 'battery-points', cylinders: 6, ballast: 'external' },
  'breaker points, eight cylinders': { ...battery, layout: 'battery-points', cylinders: 8, ballast: 'bypassed' },
  'magnetic pick-up and module': {
    ...battery,
    layout: 'electronic',
    cylinders: 4,
    ballast: 'none',
    trigger: 'magnetic',
  },
  'Hall sensor, commanded module': {
    ...battery,
    layout: 'electronic',
    cylinders: 4,
    ballast: 'none',
    trigger: 'hall',
    module: 'commanded',
  },
  'electronic conversion': { ...battery, layout: 'conversion', cylinders: 4, ballast: 'external', trigger: 'optical' },
  'points, double-ended coil': { ...battery, layout: 'points-coils', cylinders: 2, ballast: 'none' },
  'flywheel magneto': { ...magnets, layout: 'flywheel-magneto', cylinders: 2 },
  'high-tension magneto': { ...magnets, layout: 'rotating-magneto', cylinders: 4, compressionRatio: 5 },
  'capacitor discharge, charge coil': { ...magnets, layout: 'capacitor-discharge', cylinders: 3 },
  'capacitor discharge, battery': { ...battery, layout: 'battery-discharge', cylinders: 2, ballast: 'none' },
  'coil on each plug': { ...battery, layout: 'coil-on-plug', cylinders: 4, ballast: 'none', compressionRatio: 9 },
};
