import { INCH_METRES } from '../quantity/index.ts';
/** Coarse pitches of metric threads, metres by diameter in millimetres (ISO 261). */
export const METRIC_PITCH: Readonly<Record<number, number>> = {
  4: 0.7e-3,
  5: 0.8e-3,
  6: 1e-3,
  8: 1.25e-3,
  10: 1.5e-3,
  12: 1.75e-3,
  14: 2e-3,
  16: 2e-3,
};
/** Threads to the inch, coarse and fine, by diameter in inches (unified). */
export const INCH_THREADS: Readonly<
  Record<string, { readonly inches: number; readonly coarse: number; readonly fine: number }>
> = {
  '1/4': { inches: 0.25, coarse: 20, fine: 28 },
  '5/16': { inches: 0.3125, coarse: 18, fine: 24 },
  '3/8': { inches: 0.375, coarse: 16, fine: 24 },
  '7/16': { inches: 0.4375, coarse: 14, fine: 20 },
  '1/2': { inches: 0.5, coarse: 13, fine: 20 },
};
/** Proof stress, pascal: metric classes (ISO 898-1, up to M16), inch grades (SAE J429, up to 1 in; grade 2 to ¾). */
export const PROOF: Readonly<Record<string, number>> = {
  '4.6': 225e6,
  '5.8': 380e6,
  '8.8': 580e6,
  '10.9': 830e6,
  '12.9': 970e6,
  'grade 2': 379e6,
  'grade 5': 586e6,
  'grade 8': 827e6,
};
/** Of the proof load, for a joint that is taken apart again; and the nut factor, dry and oiled. */
const SHARE = 0.75;
export const NUT_FACTOR = { dry: 0.2, oiled: 0.15 };

/** Stress area of a metric thread, m²: π/4·(d − 0.9382·p)². Metres. */
export const metricArea = (metres: number, pitch: number): number => (Math.PI / 4) * (metres - 0.9382 * pitch) ** 2;
/** Of a unified thread: 0.7854·(d − 0.9743/n)², inches; given in m². */
export const inchArea = (inches: number, threads: number): number =>
  (Math.PI / 4) * ((inches - 0.9743 / threads) * INCH_METRES) ** 2;

/** Torque by nut factor, T = K·d·F with F at 75 % of the proof load; newton metres. General: the plate's own goes first. */
export const generalTorque = (metres: number, area: number, proof: number, how: keyof typeof NUT_FACTOR): number =>
  NUT_FACTOR[how] * metres * SHARE * proof * area;

export interface PlugThread {
  readonly label: string;
  /** Newton metres, dry, in iron and in aluminium. */
  readonly iron: { readonly low: number; readonly high: number };
  readonly aluminium: { readonly low: number; readonly high: number };
  /** Turns past finger-tight: a new gasket is crushed, a used one or a taper only nipped. */
  readonly newTurns: number;
  readonly usedTurns: number;
}
/** Plug threads: usual figures of the trade, general; the plug's or engine's own go first. */
export const PLUG_THREADS: readonly PlugThread[] = [
  {
    label: '10 mm, gasket',
    iron: { low: 10, high: 15 },
    aluminium: { low: 10, high: 12 },
    newTurns: 1 / 2,
    usedTurns: 1 / 12,
  },
  {
    label: '12 mm, gasket',
    iron: { low: 15, high: 25 },
    aluminium: { low: 15, high: 20 },
    newTurns: 1 / 2,
    usedTurns: 1 / 12,
  },
  {
    label: '14 mm, gasket',
    iron: { low: 25, high: 35 },
    aluminium: { low: 20, high: 30 },
    newTurns: 1 / 2,
    usedTurns: 1 / 12,
  },
  {
    label: '14 mm, taper',
    iron: { low: 15, high: 25 },
    aluminium: { low: 10, high: 20 },
    newTurns: 1 / 16,
    usedTurns: 1 / 16,
  },
  {
    label: '18 mm, gasket',
    iron: { low: 35, high: 45 },
    aluminium: { low: 30, high: 40 },
    newTurns: 1 / 2,
    usedTurns: 1 / 12,
  },
  {
    label: '18 mm, taper',
    iron: { low: 20, high: 30 },
    aluminium: { low: 15, high: 23 },
    newTurns: 1 / 16,
    usedTurns: 1 / 16,
  },
];
/** Oil or paste on the thread: the same torque pulls so much harder, so it is taken down by this share. */
export const OILED_LESS = 0.3;
