import type { InstrumentId } from './ids.ts';
import type { Instrument } from './instrument.ts';
import { ledLamp, testLamp } from './lamps.ts';
import { ohmmeter } from './ohmmeter.ts';
import {
  acVoltmeter,
  ammeter,
  capacitanceMeter,
  clampMeter,
  compressionGauge,
  dwellMeter,
  eyes,
  feelerGauge,
  leakDownTester,
  measuringCan,
  peakAdapter,
  pressureGauge,
  tachometer,
  timingLight,
} from './plain.ts';
import { scanReader } from './scanReader.ts';
import { sparkTester } from './sparkTester.ts';
import { voltmeter } from './voltmeter.ts';

/** The one place that lists the instruments. */
export const INSTRUMENTS: Readonly<Record<InstrumentId, Instrument>> = {
  voltmeter,
  ohmmeter,
  'test lamp': testLamp,
  'LED lamp': ledLamp,
  'spark tester': sparkTester,
  'feeler gauge': feelerGauge,
  'capacitance meter': capacitanceMeter,
  'peak adapter': peakAdapter,
  'AC voltmeter': acVoltmeter,
  ammeter,
  'clamp meter': clampMeter,
  tachometer,
  'pressure gauge': pressureGauge,
  'measuring can': measuringCan,
  'compression gauge': compressionGauge,
  'leak-down tester': leakDownTester,
  'timing light': timingLight,
  'dwell meter': dwellMeter,
  'scan reader': scanReader,
  eyes,
};
export { canBeShown, fromRuler, INSULATES_OHMS, toRuler, untouched } from './instrument.ts';
export { meterVolts } from './voltmeter.ts';
export { sparkWords } from './sparkTester.ts';
export type { InstrumentId } from './ids.ts';
export type { Instrument, Outcome } from './instrument.ts';
export { scanReport } from './scanReader.ts';
export { shownOnWave, type WaveSetting } from './onWave.ts';
