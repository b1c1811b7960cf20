import { springValveFlow } from '../network/elements/springValve.ts';
import { solveTransient, type Circuit } from '../network/index.ts';
import { headPascals, NO_LEAK, outside, PETROL_DENSITY } from './vessels.ts';

/** A tank that feeds a float bowl by gravity, its vent perhaps blocked. SI. */
export interface GravityFeed {
  tankCubicMetres: number;
  fuelCubicMetres: number;
  /** From the fuel's level down to the needle; taken as steady over the minutes that matter. */
  headMetres: number;
  /** Narrowest place on the way: tap, filter or seat. */
  pathSquareMetres: number;
  /** What the engine drinks, cubic metres a second. */
  demand: number;
  /** Free area of the vent; 0 when it is blocked. */
  ventSquareMetres: number;
  /** Fuel above the nozzle in the bowl when the trouble starts. */
  bowlCubicMetres: number;
  /** Pressure of the air outside, pascal; that at sea level unless said. */
  outsidePascals?: number;
}

const PATH = { discharge: 0.7, density: PETROL_DENSITY };
/** Fuel that already stands in the bowl comes without resistance: this valve only says from when it is drawn on. */
const STOCK = {
  squareMetres: 1e-4,
  discharge: 1,
  density: PETROL_DENSITY,
  crackPascals: 0,
  fullPascals: 20,
  leakShare: 0,
};

/**
 * The tank's path as a network of liquid. The bowl stands at the outside's pressure or above it: above while the path
 * could give more than is drunk (the needle holds it back), at it while its own stock makes up what is missing. Air
 * that the vent lets in counts as volume at the outside's pressure.
 */
export function gravityFeedCircuit(feed: GravityFeed, tankVacuum = 0): Circuit {
  return {
    couplings: [],
    leak: NO_LEAK,
    elements: [
      { type: 'voltage', id: 'outside', a: 'outside', b: '0', volts: outside(feed) },
      {
        type: 'gas-space',
        id: 'space',
        a: 'space',
        b: '0',
        cubicMetres: feed.tankCubicMetres - feed.fuelCubicMetres,
        restPascals: outside(feed),
        exponent: 1,
        initialVolts: outside(feed) - tankVacuum,
      },
      // Air is 1.2 kg/m³: the orifice law with its own density serves within a few kilopascals of the air outside.
      {
        type: 'orifice',
        id: 'vent',
        a: 'outside',
        b: 'space',
        squareMetres: feed.ventSquareMetres,
        discharge: 0.65,
        density: 1.2,
      },
      { type: 'voltage', id: 'head', a: 'tap', b: 'space', volts: headPascals(feed.headMetres) },
      { type: 'orifice', id: 'path', a: 'tap', b: 'bowl', squareMetres: feed.pathSquareMetres, ...PATH },
      { type: 'spring-valve', id: 'stock', a: 'outside', b: 'bowl', ...STOCK },
      { type: 'current', id: 'engine', a: 'bowl', b: '0', amps: feed.demand },
    ],
  };
}

export interface Starving {
  /** Seconds until the path gives less than the engine drinks; infinite when it does not within the run. */
  shortAfter: number;
  /** Seconds until the bowl is empty too and the engine stalls; infinite likewise. */
  stallAfter: number;
  /** How far the tank is then below the air outside, pascal. */
  tankVacuum: number;
}

/** Steps at least, for answers in seconds of a run of minutes. */
const RESOLUTION = 600;

function run(feed: GravityFeed, seconds: number, tankVacuum = 0) {
  const circuit = gravityFeedCircuit(feed, tankVacuum);
  const result = solveTransient(circuit, { until: seconds, longest: seconds / RESOLUTION, fromInitial: true });
  if (!result.ok) throw new Error(`A gravity feed does not solve: ${result.code}`);
  const stock = result.volts('bowl').map((bowl) => springValveFlow(STOCK, outside(feed) - bowl).flow);
  return { at: result.at, space: result.volts('space'), stock };
}

/** A share of the demand below which nothing is missing. */
const NOTHING = 1e-3;

/** Of a run: when it fell short, and at which step the bowl was empty; the last step where it never was. */
function fallsShort({ at, stock }: ReturnType<typeof run>, { demand, bowlCubicMetres }: GravityFeed) {
  let [shortAfter, drawn] = [Infinity, 0];
  for (let k = 1; k < at.length; k++) {
    if (stock[k]! > NOTHING * demand) shortAfter = Math.min(shortAfter, at[k]!);
    drawn += ((stock[k]! + stock[k - 1]!) / 2) * (at[k]! - at[k - 1]!);
    if (drawn >= bowlCubicMetres) return { shortAfter, last: k, stalls: true };
  }
  return { shortAfter, last: at.length - 1, stalls: false };
}

/** Runs the engine on the tank for up to `seconds`. */
export function starve(feed: GravityFeed, seconds: number): Starving {
  const ran = run(feed, seconds);
  const { shortAfter, last, stalls } = fallsShort(ran, feed);
  return { shortAfter, stallAfter: stalls ? ran.at[last]! : Infinity, tankVacuum: outside(feed) - ran.space[last]! };
}

/** How far the tank is below the air outside while the engine runs on it, until it stalls; seconds, pascal. */
export function tankOverTime(feed: GravityFeed, seconds: number): { at: number[]; vacuum: number[] } {
  const ran = run(feed, seconds);
  const { last } = fallsShort(ran, feed);
  return {
    at: [...ran.at.slice(0, last + 1)],
    vacuum: [...ran.space.slice(0, last + 1)].map((p) => outside(feed) - p),
  };
}

/** Seconds after the cap has been opened until the path gives what the engine drinks again. */
export function recoverAfter(feed: GravityFeed, tankVacuum: number, capSquareMetres: number, seconds = 5): number {
  const opened = { ...feed, ventSquareMetres: capSquareMetres };
  const { at, stock } = run(opened, seconds, tankVacuum);
  const again = at.findIndex((_, k) => k > 0 && stock[k]! <= NOTHING * feed.demand);
  return again < 0 ? Infinity : at[again]!;
}
