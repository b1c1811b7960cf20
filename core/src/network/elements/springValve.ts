import type { SpringValve } from '../types.ts';
import { orificeFlow } from './orifice.ts';
import type { ElementModel } from './model.ts';

/**
 * Flow of a valve that a spring holds shut until `crackPascals` and that is wide open at `fullPascals`: the open share
 * grows evenly between them. What leaks past its seat is an orifice of `leakShare` of the open one, either way.
 */
export function springValveFlow(
  e: Omit<SpringValve, 'type' | 'id' | 'a' | 'b'>,
  pascals: number,
): { flow: number; slope: number } {
  const span = e.fullPascals - e.crackPascals;
  const lift = Math.min(1, Math.max(0, (pascals - e.crackPascals) / span));
  const open = e.leakShare + (1 - e.leakShare) * lift;
  const { flow, slope } = orificeFlow(e, pascals);
  const opening = lift > 0 && lift < 1 ? ((1 - e.leakShare) / span) * flow : 0;
  return { flow: open * flow, slope: open * slope + opening };
}

/** A check valve is one that cracks at little and opens at once. */
export const springValve: ElementModel<SpringValve> = {
  type: 'spring-valve',
  nonlinear: true,
  branch: false,
  // Shut, it holds nothing to the ground, but the solver may ask: its seat always leaks a little.
  conducts: () => true,
  stamp(e, to) {
    const { flow, slope } = springValveFlow(e, to.atA - to.atB);
    to.linearised(flow, slope, -slope);
  },
  amps: (e, a, b) => springValveFlow(e, a - b).flow,
};
