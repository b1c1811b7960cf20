import type { Fit } from '../../schema/fit.ts';
import { mostAmps } from './making.ts';

/**
 * What is left of a machine's current with one leg or diode gone, and how much of it rides up and down: effective
 * over mean. Solved wave by wave (`waves.ts`) and held to it by `waves.test.ts`; idling first, fast second where that
 * matters. A sound bridge of six has the 4.2 % of the textbooks [9].
 */
export const SOUND_RIPPLE = 0.042;
/** How often it rides up and down in one turn of the waves. */
export const SOUND_TIMES = 6;
export const LEG_GONE = { share: { idle: 0.48, fast: 0.57 }, ripple: 0.51, times: 2 } as const;
export const DIODE_OPEN = { share: { idle: 0.79, fast: 1 }, ripple: 0.445 } as const;
/** Of two, idling and fast lie further apart, in the ripple too. */
export const TWO_OPEN = { share: { idle: 0.44, fast: 0.98 }, ripple: { idle: 0.92, fast: 0.65 } } as const;
export const DIODE_SHORTED = { share: { idle: 0.22, fast: 0.26 }, ripple: 0.87 } as const;

/** How a leg to the core takes: share left when it is a dead short, and where, in volts over amperes, half of that is back. */
const TO_CORE = { three: { left: 0.25, half: 1.1, bend: 1.1 }, single: { left: 0.2, half: 1, bend: 1.3 } } as const;

/** Share of its current that a stator still gives with so many ohms from a leg to its core. Within 0.1 of its waves. */
export function shareToCore(coreOhms: number, fit: Fit): number {
  const kind = fit.charge!.kind;
  const { left, half, bend } = TO_CORE[kind === 'stator-three' ? 'three' : 'single'];
  const own = (coreOhms * mostAmps(kind, fit)) / (FLOATING * fit.volts);
  return 1 - (1 - left) / (1 + (own / half) ** bend);
}
/** Volts that a battery stands at while it is charged, over its nominal ones. */
const FLOATING = 13.5 / 12;
