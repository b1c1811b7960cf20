import { PETROL_DENSITY } from '../../fluids/index.ts';
import { figuresAt } from '../../machine/figures.ts';
import type { MachineParams } from '../../machine/known.ts';
import { logistic } from '../../random/lcg.ts';
import type { Fit } from '../../schema/fit.ts';
import { drinks, type Feed } from './feeding.ts';
import { overflows, type How } from './how.ts';
import { CARBURETTOR as C } from './ids.ts';

/** Discharge of a seat that does not shut (SOURCES, fuel). */
const DISCHARGE = 0.7;
/** Litres an hour past the seat of an engine of one and a half litres from which somebody sees or smells it. */
const NUISANCE = 0.45 / 3.6e6;
const ORDINARY_LITRES = 1.5;
/** Seats and needles grow with the engine, slowly. */
export const seatOver = (fit: Fit): number => (0.5 + fit.litres) / (0.5 + ORDINARY_LITRES);

/** What a needle that is shut lets past its seat, cubic metres a second. */
const passes = (p: MachineParams, { head, pump }: Feed): number =>
  DISCHARGE * figuresAt(p, C.needle).leakSquareMetres * Math.sqrt((2 * Math.max(0, head + pump)) / PETROL_DENSITY);

/** Chance that fuel is seen, or smelt, where air should be. */
export function floodsIn(fit: Fit, p: MachineParams, feed: Feed): number {
  const bySeat = logistic((Math.log(passes(p, feed) + 1e-12) - Math.log(NUISANCE * seatOver(fit))) / 0.4);
  return 1 - (1 - bySeat) * (1 - overflows(figuresAt(p, C.float).high));
}

/**
 * Of what an engine drinks at idle, what may pass a seat while it stands and still be cranked through: fuel that falls by
 * its own weight runs on overnight, a pump stands still with the engine. Judgement.
 */
const STANDS = { gravity: 0.5, pump: 1.2 } as const;

/**
 * How far it drowns, 0…1: what passes the seat is drunk while the engine asks for more than that, and only what is over
 * spills. So a seat that leaks a little drips where it stands, one that leaks more makes an idle rich, and only one that
 * lets by twice what an idle drinks drowns it.
 */
export function drownsIn(fit: Fit, p: MachineParams, feed: Feed, how: How): number {
  const asked = drinks(fit, how === 'fast' ? 'fast' : 'idle');
  const over = passes(p, feed) / asked;
  const bySeat = how === 'crank' ? over / STANDS[fit.fuel?.kind === 'gravity' ? 'gravity' : 'pump'] - 0.5 : over - 1;
  return 1 - (1 - Math.min(1, Math.max(0, bySeat))) * (1 - overflows(figuresAt(p, C.float).high));
}
