import type { MachineState } from '../../machine/part.ts';

/** Which of a carburettor's circuits feeds the engine: cranked cold, idling, or running fast. */
export const howOf = (state: MachineState): 'crank' | 'idle' | 'fast' =>
  state.key !== 'run' ? 'crank' : state.speed === 'fast' ? 'fast' : 'idle';
