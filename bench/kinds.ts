import type { FitOut, FitOutOne } from '@pondu/core/schema';

const battery = { volts: 12, earth: 'negative', fused: true, marine: false, compressionRatio: 8 } as const;
const magnets = { ...battery, fused: false, ballast: 'none', compressionRatio: 7 } as const;

const whole: Omit<FitOut, 'trails' | 'cylinders'> = {
  volts: 12,
  earth: 'negative',
  marine: false,
  compressionRatio: 8,
};

const OTHER_TRAILS: Readonly<Record<string, FitOut>> = {
  'crank: relay and interlock': {
    ...whole,
    cylinders: 4,
    trails: [
      { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } },
      { trail: 'crank', kind: 'relay', options: { interlocks: ['Neutral'] } },
    ],
  },
  'crank: heaters on a shared feed': {
    ...whole,
    cylinders: 4,
    compressionRatio: 21,
    trails: [{ trail: 'crank', kind: 'glow', options: { interlocks: [], heat: 'plugs' } }],
  },
  'charge: generator, six volts': {
    ...whole,
    volts: 6,
    cylinders: 4,
    trails: [
      { trail: 'crank', kind: 'direct', options: { interlocks: [] } },
      { trail: 'charge', kind: 'generator', options: { field: 'A', tells: 'lamp', loads: [] } },
    ],
  },
  'charge: alternator': {
    ...whole,
    cylinders: 4,
    trails: [
      { trail: 'crank', kind: 'direct', options: { interlocks: [] } },
      { trail: 'charge', kind: 'alternator', options: { tells: 'lamp', loads: [] } },
    ],
  },
  'charge: three phases': {
    ...whole,
    cylinders: 1,
    trails: [
      { trail: 'crank', kind: 'relay', options: { interlocks: [] } },
      { trail: 'charge', kind: 'stator-three', options: { control: 'shunt', loads: [] } },
    ],
  },
  'charge: one phase': {
    ...whole,
    cylinders: 1,
    trails: [
      { trail: 'crank', kind: 'relay', options: { interlocks: [] } },
      { trail: 'charge', kind: 'stator-single', options: { wave: 'full', control: 'series', loads: [] } },
    ],
  },
  'fuel: gravity': {
    ...whole,
    cylinders: 1,
    trails: [
      { trail: 'spark', kind: 'flywheel-magneto', options: { ballast: 'none', fused: false } },
      { trail: 'fuel', kind: 'gravity', options: { carburettors: 1, sealed: false, enriching: 'choke' } },
    ],
  },
  'fuel: mechanical pump': {
    ...whole,
    cylinders: 4,
    trails: [
      { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } },
      { trail: 'fuel', kind: 'mechanical', options: { carburettors: 1, sealed: false, enriching: 'choke' } },
    ],
  },
  'fuel: electric pump': {
    ...whole,
    cylinders: 4,
    trails: [
      { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } },
      { trail: 'fuel', kind: 'electric', options: { carburettors: 2, sealed: false, enriching: 'enricher' } },
    ],
  },
  'fuel: primer bulb': {
    ...whole,
    cylinders: 2,
    trails: [
      { trail: 'spark', kind: 'capacitor-discharge', options: { ballast: 'none', fused: false } },
      { trail: 'fuel', kind: 'bulb', options: { carburettors: 1, sealed: false, enriching: 'choke' } },
    ],
  },
  'timing: weights and vacuum': {
    ...whole,
    cylinders: 4,
    trails: [
      { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } },
      { trail: 'timing', kind: 'weights-vacuum', options: {} },
    ],
  },
  'timing: map': {
    ...whole,
    cylinders: 4,
    trails: [
      { trail: 'spark', kind: 'electronic', options: { ballast: 'none', fused: true, trigger: 'hall' } },
      { trail: 'timing', kind: 'map', options: {} },
    ],
  },
  'air: throttled, with fuel and timing': {
    ...whole,
    cylinders: 4,
    trails: [
      { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } },
      { trail: 'fuel', kind: 'mechanical', options: { carburettors: 1, sealed: false, enriching: 'choke' } },
      { trail: 'timing', kind: 'weights-vacuum', options: {} },
      { trail: 'air', kind: 'throttled', options: {} },
    ],
  },
  'air: two carburettors, servo and valves': {
    ...whole,
    cylinders: 4,
    trails: [
      { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } },
      {
        trail: 'fuel',
        kind: 'electric',
        options: { carburettors: 2, sealed: true, enriching: 'choke', accelerator: true },
      },
      { trail: 'air', kind: 'throttled', options: { breather: true, servo: true } },
    ],
  },
  'compression: four strokes': {
    ...whole,
    cylinders: 4,
    trails: [
      { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } },
      { trail: 'compression', kind: 'four-stroke', options: { cooling: 'water', reeds: false } },
    ],
  },
  'compression: two strokes': {
    ...whole,
    cylinders: 1,
    compressionRatio: 7,
    litres: 0.12,
    trails: [
      { trail: 'spark', kind: 'flywheel-magneto', options: { ballast: 'none', fused: false } },
      { trail: 'compression', kind: 'two-stroke', options: { cooling: 'air', reeds: true } },
    ],
  },
  'stop: vacuum': {
    ...whole,
    cylinders: 4,
    compressionRatio: 20,
    trails: [
      { trail: 'crank', kind: 'glow', options: { interlocks: [], heat: 'plugs' } },
      { trail: 'stop', kind: 'vacuum', options: {} },
    ],
  },
};

/** One fit-out of each kind of trail, the largest of its sort where size matters. */
export const KINDS: Readonly<Record<string, FitOut | FitOutOne>> = {
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
  ...OTHER_TRAILS,
  'V8 launch, all its trails told': {
    volts: 12,
    earth: 'negative',
    cylinders: 8,
    marine: true,
    compressionRatio: 8.6,
    trails: [
      { trail: 'spark', kind: 'battery-points', options: { ballast: 'external', fused: true } },
      { trail: 'crank', kind: 'relay', options: { interlocks: ['Neutral'] } },
      { trail: 'charge', kind: 'alternator', options: { tells: 'lamp', loads: [{ label: 'Lights', watts: 90 }] } },
      { trail: 'fuel', kind: 'mechanical', options: { carburettors: 1, sealed: false, enriching: 'choke' } },
      { trail: 'timing', kind: 'weights', options: {} },
      { trail: 'air', kind: 'throttled', options: {} },
      { trail: 'compression', kind: 'four-stroke', options: { cooling: 'water', reeds: false } },
    ],
  },
  'six-volt tractor, all its trails told': {
    volts: 6,
    earth: 'positive',
    cylinders: 4,
    marine: false,
    compressionRatio: 6.2,
    trails: [
      { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: false } },
      { trail: 'crank', kind: 'direct', options: { interlocks: ['Clutch'] } },
      { trail: 'charge', kind: 'generator', options: { field: 'A', tells: 'ammeter', loads: [] } },
      { trail: 'fuel', kind: 'gravity', options: { carburettors: 1, sealed: false, enriching: 'choke' } },
      { trail: 'timing', kind: 'weights', options: {} },
      { trail: 'air', kind: 'throttled', options: {} },
      { trail: 'compression', kind: 'four-stroke', options: { cooling: 'water', reeds: false } },
    ],
  },
  'quad, all its trails told': {
    volts: 12,
    earth: 'negative',
    cylinders: 1,
    marine: false,
    compressionRatio: 8.8,
    trails: [
      { trail: 'spark', kind: 'battery-discharge', options: { ballast: 'none', fused: true } },
      { trail: 'crank', kind: 'relay', options: { interlocks: ['Neutral', 'Brake'] } },
      { trail: 'charge', kind: 'stator-three', options: { control: 'shunt', loads: [] } },
      { trail: 'fuel', kind: 'pulse', options: { carburettors: 1, sealed: false, enriching: 'enricher' } },
      { trail: 'air', kind: 'throttled', options: {} },
      { trail: 'compression', kind: 'four-stroke', options: { cooling: 'air', reeds: false } },
    ],
  },
  'outboard, all its trails told': {
    volts: 12,
    earth: 'negative',
    cylinders: 3,
    marine: true,
    compressionRatio: 6.8,
    trails: [
      { trail: 'spark', kind: 'capacitor-discharge', options: { ballast: 'none', fused: false } },
      { trail: 'crank', kind: 'direct', options: { interlocks: ['Neutral'] } },
      { trail: 'charge', kind: 'stator-single', options: { wave: 'full', control: 'series', loads: [] } },
      { trail: 'fuel', kind: 'bulb', options: { carburettors: 3, sealed: false, enriching: 'choke' } },
      { trail: 'compression', kind: 'two-stroke', options: { cooling: 'water', reeds: true } },
    ],
  },
};
