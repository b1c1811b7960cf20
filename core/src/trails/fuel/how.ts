import type { MachineState } from '../../machine/part.ts';
import { logistic } from '../../random/lcg.ts';

export type How = 'crank' | 'idle' | 'fast';
/** Which of a carburettor's circuits feeds the engine: cranked cold, idling, or running fast. */
export const howOf = (state: MachineState): How =>
  state.key !== 'run' ? 'crank' : state.speed === 'fast' ? 'fast' : 'idle';

/**
 * Share of the fuel that comes through each. Cold, the suction behind the shut choke stands on the main nozzle as well: it
 * draws through both, most through that.
 */
const THROUGH = {
  crank: { idle: 0.3, main: 0.7 },
  idle: { idle: 0.92, main: 0.08 },
  fast: { idle: 0.08, main: 0.92 },
} as const;
/** What two jets of which so much is open let through together. */
export const through = (how: How, idle: number, main: number): number =>
  THROUGH[how].idle * idle + THROUGH[how].main * main;

/** Chance that a bowl whose level stands so much too high spills over. */
export const overflows = (high: number): number => logistic((high - 0.45) / 0.06);
