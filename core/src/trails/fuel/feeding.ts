import { figuresAt, figuresIfAny } from '../../machine/figures.ts';
import { headPascals, PETROL_DENSITY, starve, tankOverTime, type GravityFeed } from '../../fluids/index.ts';
import { withinADrive } from '../../engine/mixture.ts';
import { outsideOf } from '../../engine/altitude.ts';
import { logistic } from '../../random/lcg.ts';
import type { Fit } from '../../schema/fit.ts';
import type { Known, MachineParams } from '../../machine/known.ts';
import type { Slow } from '../../machine/trail.ts';
import { CARBURETTOR, LINE, PUMP, TANK, TAP, VENT, WAY } from './ids.ts';

/** Discharge of a tap, a filter or a jet (SOURCES, fuel). */
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
/** Where nothing flows a pump pulls as hard as it can against what is blocked; one that is dry pulls air. */
export const suctionAt = ({ head, pump, before }: Feed, flow: number): number =>
  Math.max(-60e3, flow > 0 ? head - losses(before) * flow ** 2 : -pump);

/** Litres an hour for each litre of swept volume: at idle, fast without a load, at full load (300 g/kWh) [1]. */
const DRINKS = { crank: 0.25, idle: 0.55, fast: 2.2, full: 9 } as const;
/** Cubic metres a second that an engine drinks. */
export const drinks = (fit: Fit, how: keyof typeof DRINKS): number => (DRINKS[how] * fit.litres) / 3.6e6;

/**
 * The feed as a machine's figures make it. Air that is sucked in takes its share of what the pump lifts. A tap that
 * vacuum opens is as far open as its diaphragm draws it; on prime, all the way.
 */
export function feedOf(params: MachineParams, tap: 'as it runs' | 'on prime' = 'as it runs'): Feed {
  const tank = figuresAt(params, TANK);
  const pump = figuresIfAny(params, PUMP);
  const air = figuresAt(params, LINE).airShare ?? 0;
  const drawn = tap === 'on prime' ? 1 : (figuresIfAny(params, TAP)?.opens ?? 1);
  const way = WAY.flatMap((id) => {
    const own = figuresIfAny(params, id)?.squareMetres;
    return own === undefined ? [] : own * (id === TAP ? drawn : 1);
  });
  const lifts = pump !== undefined;
  const wet = tank.level > 0.02 ? 1 : 0;
  const bulb = figuresIfAny(params, 'fuel-bulb');
  return {
    head: wet * headPascals(tank.headMetres) * (1 - air),
    pump: wet * (pump?.pascals ?? 0) * (1 - air) ** 2,
    pumpOhms: pump?.fluidOhms ?? 0,
    before: wet ? [...way, ...(bulb ? [bulb.squareMetres] : [])] : [0],
    after: [...(lifts ? [1e-5] : []), figuresAt(params, CARBURETTOR.needle).squareMetres],
  };
}

const RUN_SECONDS = 3600;
/** Fuel in the bowls above their jets, cubic metres a litre of swept volume. */
const BOWL = 45e-6;

/** Whoever waits, waits about so long; a bowl that is then filled by half starts the engine. Seconds. */
const REST_SECONDS = 1200;
const ENOUGH = 0.5;

/** Without oil a piston pulling gently nips up after so many minutes, with half of it after twice as many. Judgement. */
const NIPS_AFTER = 7;

/** Minutes until a piston nips up for want of oil; Infinity where it never does. */
export function nipsAfter(params: MachineParams): number {
  const lean = figuresAt(params, TANK).lean ?? 0;
  return lean > 0 ? NIPS_AFTER / lean : Infinity;
}

/** Minutes to a stall, and the chance that it goes again after a rest: its bowl filled, or its piston free once cool. */
export function stallOf(fit: Fit, params: MachineParams): { minutes: number; again: number } {
  const nips = nipsAfter(params);
  const starved = stallMinutes(fit, params);
  if (nips < starved) return { minutes: nips, again: 0.9 };
  const filled = (flowOf(feedOf(params)) * REST_SECONDS) / (BOWL * fit.litres);
  return { minutes: starved, again: logistic((filled - ENOUGH) / 0.1) };
}

/** A vent of so many square metres for each cubic metre a second lets the air in with a few tens of pascals. */
const WIDE_VENT = 0.2;

/** Share of full load's fuel that it drinks, driven as usual. */
const DRIVEN = 0.45;

/** The tank and its way as the transient takes them: all that narrows the way as one hole that lets the same flow through. */
function tankFeed(fit: Fit, params: MachineParams): GravityFeed {
  const feed = feedOf(params);
  const tank = figuresAt(params, TANK);
  const drive = feed.head + feed.pump;
  return {
    tankCubicMetres: tank.cubicMetres,
    fuelCubicMetres: tank.cubicMetres * tank.level,
    headMetres: drive / headPascals(1),
    pathSquareMetres: drive > 0 ? flowOf(feed) / (DISCHARGE * Math.sqrt((2 * drive) / PETROL_DENSITY)) : 0,
    demand: DRIVEN * drinks(fit, 'full'),
    ventSquareMetres: figuresAt(params, VENT).squareMetres,
    bowlCubicMetres: BOWL * fit.litres,
    outsidePascals: outsideOf(fit),
  };
}

/**
 * Minutes until the engine stalls for want of fuel, pulling gently: a bowl that is drunk faster than it is filled, a
 * tank that cannot breathe. By the tank's own transient where its vent is blocked. Infinity where it never does.
 */
export function stallMinutes(fit: Fit, params: MachineParams): number {
  const tank = tankFeed(fit, params);
  const given = flowOf(feedOf(params));
  if (given < tank.demand) return tank.bowlCubicMetres / (tank.demand - given) / 60;
  if (tank.ventSquareMetres > WIDE_VENT * tank.demand) return Infinity;
  return starve(tank, RUN_SECONDS).stallAfter / 60;
}

/** Chance that a feed gives all that full load drinks. */
export const suffices = (fit: Fit, feed: Feed): number => logistic((flowOf(feed) / drinks(fit, 'full') - 1) / 0.12);
/** Chance that its own feed starves it, at once or on an ordinary drive. */
export const starves = (fit: Fit, params: MachineParams): number =>
  1 - suffices(fit, feedOf(params)) * (1 - withinADrive(stallMinutes(fit, params)));

/** Minutes over which a tank is drawn. */
const DRAWN_SECONDS = 40 * 60;
/** The tank's pressure as it is driven; nothing where its bowl is not filled in the first place. */
export function tankSlowly({ machine: { fit }, params }: Known): Slow[] {
  const tank = tankFeed(fit, params);
  if (flowOf(feedOf(params)) < tank.demand) return [];
  const { at, vacuum } = tankOverTime(tank, DRAWN_SECONDS);
  return [{ id: 'tank', minutes: at.map((t) => t / 60), pascals: vacuum }];
}
