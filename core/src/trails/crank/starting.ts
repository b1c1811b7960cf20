import type { Fit } from '../../schema/fit.ts';

/** What turning a sound engine over asks of its starter, and what a starter made for it is like. SI, at the crank. */
export interface Starting {
  readonly rpm: number;
  readonly stillTorque: number;
  readonly torquePerRadian: number;
  readonly amps: number;
  readonly ohms: number;
  readonly voltsPerRadian: number;
  readonly saturationAmps: number;
}

/** Newton metres a litre to push the compression over, at a ratio of eight; and a litre and radian a second in warm oil. */
const STILL_EACH = 14;
const MOVING_EACH = 0.45;
/** Speeds that starters are made for: one or two cylinders; several of two strokes, which hold little; the rest [10]. */
const RPM = { small: 340, twoStroke: 300, large: 200 } as const;
/** Share of the nominal volts that becomes turning, and that is lost in the windings, at the speed it is made for. */
const TURNING = 0.62;
const LOST = 0.2;
/** Of a series field: the current at which it has half its flux, over the current it is made for. */
const SATURATES = 0.3;

/**
 * Small engines are turned faster than large ones. Typical of twelve volts: 80–150 A and 180–250 rev/min on a small
 * four, 150–250 A on a V8, 300–500 A locked [10]; of six, twice the current.
 */
export function startingOf(fit: Fit): Starting {
  const rpm = fit.cylinders <= 2 ? RPM.small : fit.compression?.kind === 'two-stroke' ? RPM.twoStroke : RPM.large;
  const speed = (rpm * 2 * Math.PI) / 60;
  const stillTorque = STILL_EACH * fit.litres * Math.sqrt(fit.compressionRatio / 8);
  const torquePerRadian = MOVING_EACH * fit.litres;
  const k = (TURNING * fit.volts) / speed;
  const amps = (stillTorque + torquePerRadian * speed) / k;
  return {
    rpm,
    stillTorque,
    torquePerRadian,
    amps,
    ohms: (LOST * fit.volts) / amps,
    voltsPerRadian: k * (1 + SATURATES),
    saturationAmps: SATURATES * amps,
  };
}

/** A band about a middle. */
export const about = (middle: number, off = 0.1) => ({ low: middle * (1 - off), high: middle * (1 + off) });
