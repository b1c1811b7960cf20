import { headPascals, PETROL_DENSITY, starve } from '../../fluids/index.ts';
import { logistic } from '../../random/lcg.ts';
import type { Fit } from '../../schema/fit.ts';
import type { MachineParams } from '../../machine/known.ts';
import { CARBURETTOR, LINE, PUMP, TANK, VENT, WAY } from './ids.ts';

/** Discharge of a tap, a filter or a jet (REFERENCE, fuel). */
const DISCHARGE = 0.7;

/** What feeds the needle: a height of fuel, a pump that weakens as it gives, and sharp places in a row. SI. */
export interface Feed {
  /** Pressure of the fuel's own height over the needle; less than nothing where it must be lifted. Pascal. */
  readonly head: number;
  /** Pressure of the pump against a shut needle, pascal, and what it loses for each cubic metre a second. */
  readonly pump: number;
  readonly pumpOhms: number;
  /** Free areas of what stands in the way before and after the pump, square metres. */
  readonly before: readonly number[];
  readonly after: readonly number[];
}

/** Pressure lost by a flow squared through holes in a row: ρ/2·Σ1/(C_d·A)². */
const losses = (areas: readonly number[]): number =>
  areas.reduce((sum, a) => sum + (a > 0 ? 1 / (DISCHARGE * a) ** 2 : Infinity), 0) * (PETROL_DENSITY / 2);

/**
 * What flows into an open bowl or can: head + pump − R·Q = K·Q², its one root above nothing. The same network solved
 * element by element gives the same (see the tests). Cubic metres a second.
 */
export function flowOf({ head, pump, pumpOhms, before, after }: Feed): number {
  const k = losses([...before, ...after]);
  const drive = head + pump;
  if (!(drive > 0) || k === Infinity) return 0;
  return (2 * drive) / (pumpOhms + Math.sqrt(pumpOhms ** 2 + 4 * k * drive));
}

/** Pressure at the carburettor's union while so much is drunk; at the pump's suction side. Pascal, against the air. */
export const pressureAt = ({ head, pump, pumpOhms, before, after }: Feed, flow: number): number =>
  flow > 0
    ? Math.max(-60e3, head + pump - pumpOhms * flow - losses([...before, ...after.slice(0, -1)]) * flow ** 2)
    : head + pump;
export const suctionAt = ({ head, before }: Feed, flow: number): number =>
  Math.max(-60e3, head - losses(before) * flow ** 2);

/** Litres an hour for each litre of swept volume: at idle, fast without a load, at full load (300 g/kWh) [1]. */
const DRINKS = { crank: 0.25, idle: 0.55, fast: 2.2, full: 9 } as const;
/** Cubic metres a second that an engine drinks. */
export const drinks = (fit: Fit, how: keyof typeof DRINKS): number => (DRINKS[how] * fit.litres) / 3.6e6;

/** The feed as a machine's figures make it. Air that is sucked in takes its share of what the pump lifts. */
export function feedOf(params: MachineParams): Feed {
  const tank = params[TANK]!;
  const pump = params[PUMP];
  const air = params[LINE]!['airShare'] ?? 0;
  const way = WAY.flatMap((id) => params[id]?.['squareMetres'] ?? []);
  const lifts = pump !== undefined;
  const wet = tank['level']! > 0.02 ? 1 : 0;
  const bulb = params['fuel-bulb'];
  return {
    head: wet * headPascals(tank['headMetres']!) * (1 - air),
    pump: wet * (pump?.['pascals'] ?? 0) * (1 - air) ** 2,
    pumpOhms: pump?.['fluidOhms'] ?? 0,
    before: wet ? [...way, ...(bulb ? [bulb['squareMetres']!] : [])] : [0],
    after: [...(lifts ? [1e-5] : []), params[CARBURETTOR.needle]!['squareMetres']!],
  };
}

const RUN_SECONDS = 3600;
/** Fuel in the bowls above their jets, cubic metres a litre of swept volume. */
const BOWL = 45e-6;

/** Whoever waits, waits about so long; a bowl that is then filled by half starts the engine. Seconds. */
const REST_SECONDS = 1200;
const ENOUGH = 0.5;

/** Minutes to a stall, and the chance that the bowl has filled again after a rest, its cap shut. */
export function stallOf(fit: Fit, params: MachineParams): { minutes: number; again: number } {
  const filled = (flowOf(feedOf(params)) * REST_SECONDS) / (BOWL * fit.litres);
  return { minutes: stallMinutes(fit, params), again: logistic((filled - ENOUGH) / 0.1) };
}

/**
 * Minutes until the engine stalls for want of fuel, pulling gently: a bowl that is drunk faster than it is filled, a
 * tank that cannot breathe. By the tank's own transient where its vent is blocked. Infinity where it never does.
 */
export function stallMinutes(fit: Fit, params: MachineParams): number {
  const feed = feedOf(params);
  const tank = params[TANK]!;
  const demand = 0.45 * drinks(fit, 'full');
  const given = flowOf(feed);
  const bowl = BOWL * fit.litres;
  if (given < demand) return bowl / (demand - given) / 60;
  const vent = params[VENT]!['squareMetres']!;
  if (vent > 1e-8) return Infinity;
  const litres = tank['cubicMetres']!;
  const metres = (feed.head + feed.pump) / headPascals(1);
  // All that narrows the way as one hole that lets the same flow through.
  const hole = given / (DISCHARGE * Math.sqrt((2 * (feed.head + feed.pump)) / PETROL_DENSITY));
  const { stallAfter } = starve(
    {
      tankCubicMetres: litres,
      fuelCubicMetres: litres * tank['level']!,
      headMetres: metres,
      pathSquareMetres: hole,
      demand,
      ventSquareMetres: vent,
      bowlCubicMetres: bowl,
    },
    RUN_SECONDS,
  );
  return stallAfter / 60;
}
