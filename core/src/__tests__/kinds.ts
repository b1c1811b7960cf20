import type { FitOutOne } from '../schema/upgrade.ts';

/** One machine of each kind of spark trail, as the tests trace them. */
export const KINDS: Readonly<Record<string, Partial<FitOutOne>>> = {
  'breaker points, six cylinders': { layout: 'battery-points' },
  'breaker points with what earlier owners added': {
    layout: 'battery-points',
    cylinders: 4,
    ballast: 'none',
    suppressor: true,
    added: [
      { what: 'interlock', label: 'Neutral switch' },
      { what: 'box', label: 'Alarm box' },
    ],
  },
  'magnetic pick-up and module': { layout: 'electronic', cylinders: 4, ballast: 'none' },
  'pick-up, module on a heat sink, commanded': {
    layout: 'electronic',
    cylinders: 6,
    ballast: 'none',
    trigger: 'magnetic',
    module: 'commanded',
  },
  'Hall sensor and module': { layout: 'electronic', cylinders: 4, ballast: 'none', trigger: 'hall' },
  'electronic conversion behind a ballast': { layout: 'conversion', cylinders: 6, trigger: 'optical' },
  'points and a double-ended coil': { layout: 'points-coils', cylinders: 2, ballast: 'none' },
  'points and a coil each, two cylinders': {
    layout: 'points-coils',
    cylinders: 2,
    ballast: 'none',
    coils: 'one each',
  },
  'points, one cylinder, six volts': { layout: 'points-coils', cylinders: 1, ballast: 'none', volts: 6 },
  'high-tension magneto, four cylinders': { layout: 'rotating-magneto', cylinders: 4, compressionRatio: 5 },
  'flywheel magneto, two cylinders': { layout: 'flywheel-magneto', cylinders: 2, compressionRatio: 7 },
  'flywheel magneto, one cylinder': { layout: 'flywheel-magneto', cylinders: 1, compressionRatio: 7 },
  'capacitor discharge, three cylinders': { layout: 'capacitor-discharge', cylinders: 3, compressionRatio: 7 },
  'capacitor discharge from a battery, two cylinders': { layout: 'battery-discharge', cylinders: 2, ballast: 'none' },
  'a coil on each plug, four cylinders': { layout: 'coil-on-plug', cylinders: 4, ballast: 'none', compressionRatio: 9 },
  'capacitor discharge, one cylinder': { layout: 'capacitor-discharge', cylinders: 1, compressionRatio: 7 },
};
