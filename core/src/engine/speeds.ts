import type { MachineState } from '../machine/part.ts';
import type { Fit } from '../schema/fit.ts';

/** What is told of an engine's speeds, and by what they are guessed. */
export type Turns = Pick<Fit, 'cylinders' | 'idleRpm' | 'topRpm'>;

/** Usual speeds of engines with one or two cylinders and of larger ones, rev/min; judgement. */
const USUAL = {
  small: { idle: 1200, held: 4500, top: 7000 },
  large: { idle: 850, held: 2400, top: 5600 },
} as const;
const usual = ({ cylinders }: Turns) => (cylinders <= 2 ? USUAL.small : USUAL.large);

/** Speed at which it idles as it should, rev/min. */
export const idleRpm = (fit: Turns): number => fit.idleRpm ?? usual(fit).idle;
/** Speed that it must not pass: its governor's, or the book's. Rev/min. */
export const topRpm = (fit: Turns): number => fit.topRpm ?? usual(fit).top;
/** "At speed": where whoever reads holds it without a load, never above its top. Rev/min. */
export const heldRpm = (fit: Turns): number => Math.min(usual(fit).held, topRpm(fit));
/** How much slower than usual this engine is held: what its belt or its windings were chosen for makes up for it. */
export const slowedBy = (fit: Turns): number => usual(fit).held / heldRpm(fit);

/** As a check says it. */
export const atSpeed = (fit: Turns, { speed }: MachineState): string =>
  speed === 'fast' ? `at ${heldRpm(fit)} rev/min` : 'at its idle';
