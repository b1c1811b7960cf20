import type { Check } from '../checks/index.ts';
import { INSTRUMENTS } from '../instruments/index.ts';
import type { FitOut } from '../schema/machine.ts';
import type { ReadingValue } from '../schema/job.ts';

/** Beyond these a reading is possible only with the meter on another range or the leads elsewhere. SI. */
const FARTHEST = { length: 5e-3, capacitance: 20e-6, resistance: 1e9, angle: 360 } as const;
const VOLTS_OVER_NOMINAL = 1.6;

/** Whether to ask "is the meter on the right range?" before taking a reading. It may still stand. */
export function absurd(check: Check, value: ReadingValue, fit: FitOut): boolean {
  if (value.kind !== 'number') return false;
  const dimension = INSTRUMENTS[check.instrument].dimension;
  if (dimension === 'voltage') return Math.abs(value.value) > VOLTS_OVER_NOMINAL * fit.volts;
  const most = FARTHEST[dimension as keyof typeof FARTHEST];
  return most !== undefined && Math.abs(value.value) > most;
}
