import type { Band } from '../machine/part.ts';
import type { Fit } from '../schema/fit.ts';
import { airAt } from '../engine/altitude.ts';
import { pressed, SHUT_BEFORE } from '../engine/compressing.ts';
import { bigness, RATIO_OFF, SOUND_RINGS } from '../trails/compression/parts/index.ts';

export interface Cranked {
  /** Swept by all cylinders, litres. */
  readonly litres: number;
  readonly cylinders: Fit['cylinders'];
  /** As the book has it. */
  readonly ratio: number;
  readonly rpm: number;
  /** Metres above the sea. */
  readonly altitude: number;
  readonly strokes: 'four-stroke' | 'two-stroke';
}

/**
 * What a gauge shows of a sound engine, pascal: cold, throttle open, all plugs out. The book's ratio a tenth either way,
 * rings that let by as sound ones do [1].
 */
export function expectedCompression({ litres, cylinders, ratio, rpm, altitude, strokes }: Cranked): Band {
  const at = (off: number, leak: number) =>
    pressed({
      litres: litres / cylinders,
      ratio: ratio * off,
      shutBefore: strokes === 'two-stroke' ? SHUT_BEFORE.two : SHUT_BEFORE.four,
      rpm,
      squareMetres: leak * 1e-6 * bigness({ litres, cylinders }),
      outside: airAt(altitude).pascals,
    }).pascals;
  return { low: at(1 - RATIO_OFF, SOUND_RINGS.high), high: at(1 + RATIO_OFF, SOUND_RINGS.low) };
}
