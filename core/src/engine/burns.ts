import type { MachineState } from '../machine/part.ts';
import { logistic } from '../random/lcg.ts';

/** Richness under and over which a charge no longer burns: wider while a starter turns it through [1]. */
export const BURNS = { crank: { weak: 0.5, rich: 2.1 }, run: { weak: 0.66, rich: 1.62 } } as const;

/** Chance that a cylinder with a sound spark burns a mixture of this richness; 1 is right. */
export function burns(richness: number, state: Pick<MachineState, 'key'>): number {
  const { weak, rich } = BURNS[state.key === 'run' ? 'run' : 'crank'];
  const within = (r: number) => logistic((r - weak) / 0.045) * logistic((rich - r) / 0.09);
  return Math.min(1, within(richness) / within(1));
}
