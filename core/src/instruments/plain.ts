import type { Instrument } from './instrument.ts';

/** Shows the figure that the probe asks for; throws what it needs where it is put to something else. */
const figureOf =
  (needs: string): Instrument['observe'] =>
  (scene, { probe }) => {
    if (probe.kind !== 'figure') throw new TypeError(needs);
    return { kind: 'number', value: probe.value(scene) };
  };

export const feelerGauge: Instrument = {
  id: 'feeler gauge',
  label: 'Feeler gauge',
  leadless: true,
  dimension: 'length',
  observe: figureOf('A feeler gauge needs a gap'),
  // Half a leaf of a metric set.
  error: (gap) => 0.02e-3 + 0.03 * gap,
};

export const capacitanceMeter: Instrument = {
  id: 'capacitance meter',
  label: 'Multimeter, capacitance',
  dimension: 'capacitance',
  observe: figureOf('A capacitance meter needs a capacitor'),
  error: (farads) => 0.02 * farads + 1e-9,
};

/** Effective value of what swings; steady volts do not show. */
export const acVoltmeter: Instrument = {
  id: 'AC voltmeter',
  label: 'Multimeter, AC volts',
  dimension: 'voltage',
  observe: figureOf('An AC voltmeter needs something that swings'),
  error: (volts) => 0.015 * Math.abs(volts) + 0.02,
};

/** In series, on the socket for amperes: what a battery gives at rest, which no jaw tells from its own drift. */
export const ammeter: Instrument = {
  id: 'ammeter',
  label: 'Multimeter, DC amps, in series',
  dimension: 'current',
  observe: figureOf('An ammeter needs a wire to stand in'),
  error: (amps) => 0.012 * Math.abs(amps) + 0.002,
};

/** A jaw around the cable, direct current. */
export const clampMeter: Instrument = {
  id: 'clamp meter',
  label: 'Clamp meter, DC amps',
  dimension: 'current',
  observe: figureOf('A clamp meter needs a cable'),
  // 3 %, and what its zero drifts by.
  error: (amps) => 0.03 * Math.abs(amps) + 0.1,
};

/** By its own pick-up, or by counting firings or swings of a gauge against a watch. */
export const tachometer: Instrument = {
  id: 'tachometer',
  label: 'Tachometer, or counted',
  dimension: 'speed',
  observe: figureOf('A tachometer needs a shaft'),
  error: (rpm) => 0.04 * rpm + 3,
};

/** Diode and capacitor before a voltmeter: holds the highest of what swings. */
export const peakAdapter: Instrument = {
  id: 'peak adapter',
  label: 'Multimeter with peak adapter',
  dimension: 'voltage',
  observe: figureOf('A peak adapter needs something that swings'),
  // 2 % of its diode and capacitor; cranking is never twice the same: 4 % more.
  error: (volts) => 0.045 * Math.abs(volts) + 0.05,
};

/** A dial on a tee, against the air outside: above nothing pressure, below it vacuum. */
export const pressureGauge: Instrument = {
  id: 'pressure gauge',
  label: 'Pressure and vacuum gauge',
  dimension: 'pressure',
  observe: figureOf('A gauge needs a pressure'),
  // A fiftieth of what it shows, and a needle's width.
  error: (pascals) => 0.02 * Math.abs(pascals) + 600,
};

/** A gauge with a valve that holds the highest, in a plug's hole. */
export const compressionGauge: Instrument = {
  id: 'compression gauge',
  label: 'Compression gauge',
  dimension: 'pressure',
  observe: figureOf('A compression gauge needs a cylinder'),
  // The same cylinder twice: a battery that tires, a throttle not quite open, a needle's width.
  error: (pascals) => 0.035 * Math.abs(pascals) + 10e3,
};

/** Air over a known orifice into a still cylinder: the share that is lost. */
export const leakDownTester: Instrument = {
  id: 'leak-down tester',
  label: 'Leak-down tester',
  dimension: 'share',
  observe: figureOf('A leak-down tester needs a cylinder'),
  // Rings seat differently each time.
  error: (share) => 0.06 * share + 0.012,
};

/** A can with marks and a watch. */
export const measuringCan: Instrument = {
  id: 'measuring can',
  label: 'Measuring can and a watch',
  leadless: true,
  dimension: 'volume',
  observe: figureOf('A can needs something that flows'),
  error: (cubicMetres) => 0.05 * cubicMetres + 8e-6,
};

/** Flashes with number one's spark on a mark that turns. */
export const timingLight: Instrument = {
  id: 'timing light',
  label: 'Timing light',
  leadless: true,
  dimension: 'angle',
  observe: figureOf('A timing light needs a mark'),
  // A degree and a half of eye, pointer and jitter.
  error: () => 1.5,
};

export const dwellMeter: Instrument = {
  id: 'dwell meter',
  label: 'Dwell meter',
  dimension: 'angle',
  observe: figureOf('A dwell meter needs points'),
  // The needle swings by a degree.
  error: () => 1,
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
