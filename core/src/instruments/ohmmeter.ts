import type { Instrument } from './instrument.ts';

const TEST_AMPS = 1e-3;

/** A current source on a dead network, so that parallel paths are seen. */
export const ohmmeter: Instrument = {
  id: 'ohmmeter',
  label: 'Multimeter, ohms',
  dimension: 'resistance',
  limit: 40e6,
  observe(scene, { probe, state }) {
    if (probe.kind === 'figure') return { kind: 'number', value: probe.value(scene) };
    if (probe.kind !== 'ohms') throw new TypeError('An ohmmeter needs two nodes');
    const meter = { type: 'current', id: 'meter', a: probe.black, b: probe.red, amps: TEST_AMPS } as const;
    const reference = { type: 'resistor', id: 'meter.reference', a: probe.black, b: '0', ohms: 1e3 } as const;
    // On the bench nothing is earthed: the black lead is tied so that the meter has a ground to work against.
    const extra = probe.bench === undefined || probe.black === '0' ? [meter] : [meter, reference];
    const at = scene.solveWith({ ...state, key: 'off' }, extra, probe.bench);
    return { kind: 'number', value: (at.volts(probe.red) - at.volts(probe.black)) / TEST_AMPS };
  },
  // 1 % and what is left of the leads after they have been subtracted.
  error: (ohms) => 0.01 * Math.abs(ohms) + 0.06,
};
