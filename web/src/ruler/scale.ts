import { fromRuler, toRuler, type Dimension, type Ruler } from '@pondu/core';
import { scaleLinear } from 'd3-scale';

export interface RulerScale {
  x: (value: number) => number;
  ticks: readonly number[];
  /** Pixels at which the OL strip begins; absent when nothing can read OL. */
  openFrom: number | undefined;
}

const OPEN_STRIP = 58;
const NICE = [1, 2, 5];
/** What is read below nothing as well: vacuum, a spark after top centre, a battery that is emptied. */
const SIGNED: ReadonlySet<Dimension> = new Set<Dimension>(['current', 'pressure', 'angle']);

/** Round figures spread evenly along a ruler that is linear near zero and relative above it. */
function niceTicks(low: number, high: number, dimension: Dimension, most: number): number[] {
  const [uLow, uHigh] = [toRuler(low, dimension), toRuler(high, dimension)];
  const apart = (uHigh - uLow) / most;
  const candidates = [0];
  for (let power = -6; power <= 9; power++) for (const n of NICE) candidates.push(n * 10 ** power, -n * 10 ** power);
  const fine = scaleLinear([low, high], [0, 1]).ticks(most);
  const all = [...new Set([...candidates, ...fine])].filter((v) => v >= low && v <= high);
  const kept: number[] = [];
  // Rounder figures first: fewer significant digits win their place.
  const roundness = (v: number) =>
    v === 0
      ? 0
      : Number(v.toPrecision(6))
          .toExponential()
          .replace(/e.*|[-.]/g, '').length;
  for (const v of all.sort((a, b) => roundness(a) - roundness(b) || Math.abs(b) - Math.abs(a))) {
    if (kept.every((k) => Math.abs(toRuler(k, dimension) - toRuler(v, dimension)) >= apart)) kept.push(v);
  }
  return kept.sort((a, b) => a - b);
}

/** Lays out one ruler over `width` pixels: everything that any account predicts, and the reading. */
export function rulerScale(ruler: Ruler, reading: number | undefined, width: number): RulerScale {
  const dimension = ruler.dimension!;
  const landings = [ruler.well, ...ruler.suspects];
  const ends = landings
    .flatMap((l) => [l.low, l.high])
    .concat(reading ?? [])
    .filter((v) => Number.isFinite(v));
  let [low, high] = ends.length ? [Math.min(...ends), Math.max(...ends)] : [0, 1];
  if (dimension === 'voltage' || (SIGNED.has(dimension) && low < 0))
    [low, high] = [Math.min(low, 0), Math.max(high, 0)];
  else low = Math.max(0, Math.min(low, high * 0.8));
  const pad = (toRuler(high, dimension) - toRuler(low, dimension)) * 0.04 || 0.2;
  low = low === 0 ? 0 : fromRuler(toRuler(low, dimension) - pad, dimension);
  high = fromRuler(toRuler(high, dimension) + pad, dimension);
  const open = landings.some((l) => l.openShare > 0) || reading === Infinity;
  const right = open ? width - OPEN_STRIP : width - 8;
  const line = scaleLinear([toRuler(low, dimension), toRuler(high, dimension)], [8, right]).clamp(true);
  const x = (value: number) => (value === Infinity ? width - OPEN_STRIP / 2 : line(toRuler(value, dimension)));
  return {
    x,
    ticks: niceTicks(low, high, dimension, Math.max(4, Math.floor(right / 90))),
    openFrom: open ? right + 6 : undefined,
  };
}
