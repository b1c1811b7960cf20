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

/** Of what an engine drinks, what must pass its seat before it begins to drown, and before it has drowned. Judgement. */
interface Drowns {
  readonly from: number;
  readonly whole: number;
}
const RUNNING: Drowns = { from: 1, whole: 2 };
/** While it stands: fuel that falls by its own weight runs on overnight, a pump stands still with the engine. */
const STANDING = { gravity: { from: 0.25, whole: 0.75 }, pump: { from: 0.6, whole: 1.8 } } as const;
const standingOf = ({ fuel }: Fit): Drowns => STANDING[fuel?.kind === 'gravity' ? 'gravity' : 'pump'];

/**
 * How far it drowns, 0…1: what passes the seat is drunk while the engine asks for more than that, and only what is over
 * spills. So a seat that leaks a little drips where it stands, one that leaks more makes an idle rich, and only one that
 * lets by twice what an idle drinks drowns it. Cranked, it is what came by while it stood.
 */
export function drownsIn(fit: Fit, p: MachineParams, feed: Feed, how: How): number {
  const over = passes(p, feed) / drinks(fit, how === 'fast' ? 'fast' : 'idle');
  const { from, whole } = how === 'crank' ? standingOf(fit) : RUNNING;
  const bySeat = Math.min(1, Math.max(0, (over - from) / (whole - from)));
  return 1 - (1 - bySeat) * (1 - overflows(figuresAt(p, C.float).high));
}
