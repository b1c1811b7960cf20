import type { NodeName } from '../network/index.ts';
import type { MachineState } from '../machine/part.ts';
import { pointsClosed, pointsOpen } from '../machine/state.ts';
import type { Scene } from '../machine/scene.ts';
import type { Instrument } from './instrument.ts';

/** A digital multimeter on volts loads the circuit with this, ohms. */
const METER_OHMS = 10e6;

/** What a 10 MΩ meter shows between two nodes, its loading by Thévenin's theorem. Volts. */
export function meterVolts(scene: Scene, state: MachineState, red: NodeName, black: NodeName): number {
  const at = scene.solve(state);
  const inside = at.outputOhms(red, black);
  return (at.volts(red) - at.volts(black)) * (METER_OHMS / (METER_OHMS + inside));
}

export const voltmeter: Instrument = {
  id: 'voltmeter',
  label: 'Multimeter, DC volts',
  dimension: 'voltage',
  observe(scene, { probe, state }) {
    if (probe.kind === 'figure') return { kind: 'number', value: probe.value(scene) };
    if (probe.kind !== 'across') throw new TypeError('A voltmeter needs two nodes');
    const between = (points: 'open' | 'closed') =>
      meterVolts(scene, points === 'open' ? pointsOpen(state) : pointsClosed(state), probe.live, probe.earth);
    const sign = scene.machine.fit.earth === 'positive' ? -1 : 1;
    if (state.points !== 'turning') return { kind: 'number', value: sign * between(state.points) };
    const share = scene.machine.onShare?.(scene) ?? 0;
    return { kind: 'number', value: sign * (share * between('closed') + (1 - share) * between('open')) };
  },
  // 0.5 % and two counts of 10 mV at most; half of it as a standard deviation.
  error: (v) => 0.0025 * Math.abs(v) + 0.01,
};
