import { PETROL_DENSITY } from '../fluids/index.ts';

/**
 * Where the fuel stands, from two figures of one carburettor. By `height` the float is measured from the joint face with
 * the cover upside down: more is less fuel. By `tube` the fuel is seen below that joint in a clear hose: more is less too.
 */
export interface FloatRead {
  readonly found: number;
  readonly wanted: number;
}

export interface FloatSays {
  /** How much lower the fuel stands than it should, metres; higher below nothing. */
  readonly lowBy: number;
  /** How far the tongue on the needle's side is bent, metres, and which way; nothing where it is right. */
  readonly bend: number;
  readonly way: 'towards the needle' | 'away from the needle' | 'leave it';
}

/** Nearer than this nobody sets a float, metres. Trade usage. */
export const FLOAT_NEAR = 0.5e-3;

/**
 * The tongue sits so many times nearer to the pin than the float's middle does, and moves so much less. Bent towards the
 * needle it shuts sooner, so the fuel stands lower. `leverage` is the float's arm over the tongue's.
 */
export function floatSays({ found, wanted }: FloatRead, leverage: number): FloatSays {
  const lowBy = found - wanted;
  if (Math.abs(lowBy) <= FLOAT_NEAR) return { lowBy, bend: 0, way: 'leave it' };
  return {
    lowBy,
    bend: Math.abs(lowBy) / leverage,
    way: lowBy > 0 ? 'away from the needle' : 'towards the needle',
  };
}
/** Floats hang some four times as far from their pin as the tongue; measured on the bench it is better. Judgement. */
export const USUAL_LEVERAGE = 4;

/** m/s². */
const GRAVITY = 9.81;
/** How far the main nozzle stands over the fuel when it is right, metres. Judgement: 4 to 6 mm. */
const NOZZLE_OVER = 5e-3;
/** Depression in the throat, Pa: as the main jet comes in, cruising, all the way open. Judgement. */
export const THROATS = { 'just coming in': 300, cruising: 1500, 'wide open': 5000 } as const;

/**
 * Fuel of the main jet over what it gives at the right level: it goes with the root of what is left of the depression
 * once the fuel has been lifted to the nozzle. Zero where it no longer comes out at all.
 */
export function mainJetAt(lowBy: number, throatPascal: number): number {
  const left = (lift: number) => throatPascal - PETROL_DENSITY * GRAVITY * lift;
  return Math.sqrt(Math.max(0, left(NOZZLE_OVER + lowBy)) / left(NOZZLE_OVER));
}
