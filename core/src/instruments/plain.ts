import type { Instrument } from './instrument.ts';

export const feelerGauge: Instrument = {
  id: 'feeler gauge',
  label: 'Feeler gauge',
  dimension: 'length',
  observe: (scene, { probe }) => {
    if (probe.kind !== 'figure') throw new TypeError('A feeler gauge needs a gap');
    return { kind: 'number', value: probe.value(scene) };
  },
  // Half a leaf of a metric set.
  error: (gap) => 0.02e-3 + 0.03 * gap,
};

export const capacitanceMeter: Instrument = {
  id: 'capacitance meter',
  label: 'Multimeter, capacitance',
  dimension: 'capacitance',
  observe: (scene, { probe }) => {
    if (probe.kind !== 'figure') throw new TypeError('A capacitance meter needs a capacitor');
    return { kind: 'number', value: probe.value(scene) };
  },
  error: (farads) => 0.02 * farads + 1e-9,
};

/** Effective value of what swings; steady volts do not show. */
export const acVoltmeter: Instrument = {
  id: 'AC voltmeter',
  label: 'Multimeter, AC volts',
  dimension: 'voltage',
  observe: (scene, { probe }) => {
    if (probe.kind !== 'figure') throw new TypeError('An AC voltmeter needs something that swings');
    return { kind: 'number', value: probe.value(scene) };
  },
  error: (volts) => 0.015 * Math.abs(volts) + 0.02,
};

/** A jaw around the cable, direct current. */
export const clampMeter: Instrument = {
  id: 'clamp meter',
  label: 'Clamp meter, DC amps',
  dimension: 'current',
  observe: (scene, { probe }) => {
    if (probe.kind !== 'figure') throw new TypeError('A clamp meter needs a cable');
    return { kind: 'number', value: probe.value(scene) };
  },
  // 3 %, and what its zero drifts by.
  error: (amps) => 0.03 * Math.abs(amps) + 0.1,
};

/** By its own pick-up, or by counting firings or swings of a gauge against a watch. */
export const tachometer: Instrument = {
  id: 'tachometer',
  label: 'Tachometer, or counted',
  dimension: 'speed',
  observe: (scene, { probe }) => {
    if (probe.kind !== 'figure') throw new TypeError('A tachometer needs a shaft');
    return { kind: 'number', value: probe.value(scene) };
  },
  error: (rpm) => 0.04 * rpm + 3,
};

/** Diode and capacitor before a voltmeter: holds the highest of what swings. */
export const peakAdapter: Instrument = {
  id: 'peak adapter',
  label: 'Multimeter with peak adapter',
  dimension: 'voltage',
  observe: (scene, { probe }) => {
    if (probe.kind !== 'figure') throw new TypeError('A peak adapter needs something that swings');
    return { kind: 'number', value: probe.value(scene) };
  },
  // 2 % of its diode and capacitor; cranking is never twice the same: 4 % more.
  error: (volts) => 0.045 * Math.abs(volts) + 0.05,
};

/** A dial on a tee, against the air outside: above nothing pressure, below it vacuum. */
export const pressureGauge: Instrument = {
  id: 'pressure gauge',
  label: 'Pressure and vacuum gauge',
  dimension: 'pressure',
  observe: (scene, { probe }) => {
    if (probe.kind !== 'figure') throw new TypeError('A gauge needs a pressure');
    return { kind: 'number', value: probe.value(scene) };
  },
  // A fiftieth of what it shows, and a needle's width.
  error: (pascals) => 0.02 * Math.abs(pascals) + 600,
};

/** A can with marks and a watch. */
export const measuringCan: Instrument = {
  id: 'measuring can',
  label: 'Measuring can and a watch',
  dimension: 'volume',
  observe: (scene, { probe }) => {
    if (probe.kind !== 'figure') throw new TypeError('A can needs something that flows');
    return { kind: 'number', value: probe.value(scene) };
  },
  error: (cubicMetres) => 0.05 * cubicMetres + 8e-6,
};

/** Flashes with number one's spark on a mark that turns. */
export const timingLight: Instrument = {
  id: 'timing light',
  label: 'Timing light',
  dimension: 'angle',
  observe: (scene, { probe }) => {
    if (probe.kind !== 'figure') throw new TypeError('A timing light needs a mark');
    return { kind: 'number', value: probe.value(scene) };
  },
  // A degree and a half of eye, pointer and jitter.
  error: () => 1.5,
};

export const eyes: Instrument = {
  id: 'eyes',
  label: 'Look',
  observe: (scene, { probe }) => {
    if (probe.kind !== 'look') throw new TypeError('Eyes need something to look at');
    return { kind: 'category', shares: probe.sees(scene) };
  },
  error: () => 0,
};
