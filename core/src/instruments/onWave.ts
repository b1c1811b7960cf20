import { measure, type RecordedTrace } from '../network/index.ts';

/** Ways a meter can be set on a voltage that moves. */
export type WaveSetting = 'DC volts' | 'AC volts' | 'peak adapter' | 'minimum' | 'maximum';

/**
 * What a meter so set shows of a recorded voltage between two moments: DC the mean, AC the effective value of what
 * swings about it (a true effective-value meter blocks the mean), the adapter the highest less its diode, the holds
 * what they say. Volts.
 */
export function shownOnWave(setting: WaveSetting, trace: RecordedTrace, from: number, to: number): number {
  const m = measure(trace, from, to);
  switch (setting) {
    case 'DC volts':
      return m.mean;
    case 'AC volts':
      return Math.sqrt(Math.max(0, m.effective ** 2 - m.mean ** 2));
    case 'peak adapter':
      return Math.max(0, m.max - ADAPTER_DIODE_VOLTS);
    case 'minimum':
      return m.min;
    case 'maximum':
      return m.max;
  }
}

/** Of the adapter's diode at the microamperes that its meter takes. */
const ADAPTER_DIODE_VOLTS = 0.4;
