import { AIR_GAS_CONSTANT, PETROL_DENSITY } from '../fluids/index.ts';
import { OPENING_MINUTES } from '../machine/check.ts';
import type { Known } from '../machine/known.ts';
import { CRANKING } from '../machine/state.ts';
import type { Fit } from '../schema/fit.ts';
import { outsideOf } from './altitude.ts';
import { BURNS } from './burns.ts';

/** Fuel over air by mass that burns whole; molar mass of petrol's vapour over air's [1]. */
const STOICHIOMETRIC = 1 / 14.7;
const HEAVIER = 95 / 29;
/** Vapour pressure of fresh petrol at 20 °C, pascal, and the degrees in which it doubles [1]. */
const VAPOUR = 30e3;
const DOUBLES = 18;
/** Share of saturation that a stroke of air reaches over what lies wet; what boils gives no more than so many charges. Judgement. */
const REACHES = 0.15;
const MOST = 8;
/** Liquid in a drowned engine, cubic metres for each of swept volume: some millilitres a cylinder. Judgement. */
const LIQUID = 8e-3;
/** A crankcase that draws the mixture holds as much again. */
const CRANKCASE = 2;
/** What the jets still give with throttle and choke wide open. */
const METERED = 0.3;
/** With so much of the liquid left a plug no longer gets wet again. Judgement. */
const DRY_ENOUGH = 0.2;

/** One burst of the starter and its rest, seconds; turns that a cord gives; plugs wiped and dried, minutes each. */
const BURST = 10;
const REST = 60;
const TURNS_A_PULL = 3;
const SECONDS_A_PULL = 4;
const WIPED = 0.7;
/** With the plugs out it is thrown out in one burst. */
const THROWN_SECONDS = 5;
/** More bursts than this wear the starter and the battery, more pulls an arm: the plugs come out first. */
const FEW_BURSTS = 3;
const FEW_PULLS = 20;

/** How a drowned engine is cleared, with what it takes. */
export interface Clearing {
  readonly celsius: number;
  /** Strokes of air that each cylinder needs, throttle and choke wide open, and how long it is turned for them, seconds. */
  readonly strokes: number;
  readonly seconds: number;
  /** Bursts of the starter with their rests between; pulls of a cord instead, where it has no starter. */
  readonly bursts: number | null;
  readonly pulls: number | null;
  /** Minutes by turning it over, and by taking the plugs out. */
  readonly turning: number;
  readonly plugsOut: number;
  readonly first: 'turn it over' | 'plugs out';
}

/** Whether fuel can stand in its cylinders: it is drawn in, and sparks are to light it. */
export const drowns = ({ spark, fuel }: Pick<Fit, 'spark' | 'fuel'>): boolean => Boolean(spark && fuel);

/** Vapour that a stroke of air carries off at first, in charges of right mixture. */
export function carriedOff(celsius: number, outside: number): number {
  const vapour = VAPOUR * 2 ** ((celsius - 20) / DOUBLES);
  if (vapour >= outside) return MOST;
  return Math.min(MOST, (REACHES * HEAVIER * (vapour / (outside - vapour))) / STOICHIOMETRIC);
}

const twoStroke = ({ compression }: Fit): boolean => compression?.kind === 'two-stroke';
/** Charges of right mixture that lie wet in a drowned cylinder. */
function drownedIn(fit: Fit, outside: number, celsius: number): number {
  const air = (0.8 * outside) / (AIR_GAS_CONSTANT * (celsius + 273.15));
  return (LIQUID * PETROL_DENSITY * (twoStroke(fit) ? CRANKCASE : 1)) / (air * STOICHIOMETRIC);
}

/**
 * Strokes of air until a charge lights again and no plug is wetted anew. What a stroke carries off falls with the wet
 * surface, as the root of what is left: dm/dN = −φ₀·√(m/m₀), so √(m/m₀) = 1 − N·φ₀/(2·m₀), in charges.
 */
export function strokesToClear(wet: number, first: number): number {
  const lights = (BURNS.crank.rich - METERED) / first;
  const left = Math.min(lights, Math.sqrt(DRY_ENOUGH));
  return (1 - left) * ((2 * wet) / first);
}

/** Of this machine at so many degrees of its intake, as its starter or cord turns it. Null where nothing sparks. */
export function clearingOf(scene: Known, celsius: number): Clearing | null {
  const { fit } = scene.machine;
  if (!drowns(fit)) return null;
  const outside = outsideOf(fit);
  const strokes = Math.ceil(strokesToClear(drownedIn(fit, outside, celsius), carriedOff(celsius, outside)));
  const turns = strokes * (twoStroke(fit) ? 1 : 2);
  const seconds = (turns * 60) / Math.max(scene.see('crankingRpm', CRANKING), 25);
  const byHand = fit.crank?.kind === 'pull';
  const bursts = byHand ? null : Math.ceil(seconds / BURST);
  const pulls = byHand ? Math.ceil(turns / TURNS_A_PULL) : null;
  const turning = bursts === null ? (pulls! * SECONDS_A_PULL) / 60 : (seconds + (bursts - 1) * REST) / 60;
  const plugsOut = OPENING_MINUTES['plugs out'] + WIPED * fit.cylinders + THROWN_SECONDS / 60;
  return {
    celsius,
    strokes,
    seconds,
    bursts,
    pulls,
    turning,
    plugsOut,
    first: (bursts ?? 0) > FEW_BURSTS || (pulls ?? 0) > FEW_PULLS ? 'plugs out' : 'turn it over',
  };
}
