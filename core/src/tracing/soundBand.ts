import { fromRuler, INSTRUMENTS, INSULATES_OHMS, toRuler, type Instrument } from '../instruments/index.ts';
import type { Footprint } from '../machine/footprint.ts';
import type { MachineParams } from '../machine/known.ts';
import { Scene } from '../machine/scene.ts';
import type { Dimension } from '../quantity/index.ts';
import type { Check } from '../trails/checks.ts';
import { drawSound } from './draw.ts';
import type { Model, Plate } from './model.ts';
import { MEGOHMS_OPEN } from './prediction.ts';

/** Where a check reads on a machine whose every figure lies on its plate, SI; `edge` adds the instrument's own error. */
export interface SoundBand {
  readonly low: number;
  readonly high: number;
  readonly edge: { readonly low: number; readonly high: number };
  /** Of machines on their plates, about so many read OL. */
  readonly openShare: number;
}

/** Of an instrument's error, standard deviations that still count as the band's edge. */
const EDGE_ERRORS = 2;
const OPEN_AT_AN_END = 0.1;
/** What cannot be below nothing. */
const NEVER_NEGATIVE: ReadonlySet<Dimension> = new Set<Dimension>([
  'resistance',
  'length',
  'capacitance',
  'current',
  'speed',
  'volume',
  'share',
]);
const MIDDLE = () => 0.5;

/**
 * The plates' own tolerances carried through the machine: each figure alone is taken to the low and to the high end of
 * its band, all others in the middle, and what that does to the reading is summed by squares, for independent figures
 * do not all lie at their ends together. One figure alone so gives exactly its plate. Tested against draws.
 */
export class SoundBands {
  private readonly model: Model;
  private readonly middle: Scene;
  private readonly ends = new Map<Plate, readonly Scene[]>();
  private readonly known = new Map<Check, SoundBand>();

  constructor(model: Model) {
    this.model = model;
    this.middle = new Scene(model.machine, drawSound(model, MIDDLE));
  }

  /** Of a check that shows a number. */
  of(check: Check): SoundBand {
    let band = this.known.get(check);
    if (!band) this.known.set(check, (band = this.carried(check)));
    return band;
  }

  /** What the instrument shows; beyond its range it shows OL. */
  private value(scene: Scene, check: Check): number {
    const instrument = INSTRUMENTS[check.instrument];
    const seen = instrument.observe(scene, check);
    if (seen.kind !== 'number') return NaN;
    return instrument.limit !== undefined && seen.value > instrument.limit ? Infinity : seen.value;
  }

  private scenesAtEnds(plate: Plate): readonly Scene[] {
    let scenes = this.ends.get(plate);
    if (!scenes) {
      const params: MachineParams = this.middle.params;
      const { part, spec, low, high } = plate;
      const at = (figure: number) =>
        new Scene(this.model.machine, { ...params, [part.id]: { ...params[part.id], [spec.id]: figure } }, this.middle);
      this.ends.set(plate, (scenes = low === high ? [] : [at(low), at(high)]));
    }
    return scenes;
  }

  /** What the check reads with one figure at either end: one may move it where the other does not, as the worst of several. */
  private atEnds(plate: Plate, check: Check, footprint: Footprint): number[] {
    const read: number[] = [];
    for (const end of this.scenesAtEnds(plate)) {
      if (!end.touches(footprint)) continue;
      const value = this.value(end, check);
      read.push(value);
    }
    return read;
  }

  private carried(check: Check): SoundBand {
    const instrument = INSTRUMENTS[check.instrument];
    const dimension = instrument.dimension ?? 'ratio';
    const { scene, footprint } = this.middle.watched();
    const middle = this.value(scene, check);
    const at = toRuler(middle, dimension);
    // A figure may enter by what settles: a regulator's lies in none of the network's parts, yet it holds their volts.
    const ends = [...this.model.plates.values()].map((plate) => this.atEnds(plate, check, footprint));
    if (dimension === 'resistance' && middle > INSULATES_OHMS) return insulates(middle, ends.flat(), instrument);
    if (!(middle < Infinity)) return openBand(ends.flat(), instrument);
    let [below, above] = [0, 0];
    for (const moved of ends) {
      const off = moved.filter(Number.isFinite).map((v) => toRuler(v, dimension) - at);
      below += Math.min(0, ...off) ** 2;
      above += Math.max(0, ...off) ** 2;
    }
    const least = NEVER_NEGATIVE.has(dimension) && middle >= 0 ? 0 : -Infinity;
    // Nobody reads it more exactly than the instrument does.
    const error = instrument.error(middle);
    const low = Math.max(least, Math.min(fromRuler(at - Math.sqrt(below), dimension), middle - error / 2));
    const high = Math.max(fromRuler(at + Math.sqrt(above), dimension), low + error);
    return {
      low,
      high,
      edge: {
        low: Math.max(least, low - EDGE_ERRORS * instrument.error(low)),
        high: high + EDGE_ERRORS * instrument.error(high),
      },
      openShare: ends.flat().includes(Infinity) ? OPEN_AT_AN_END : 0,
    };
  }
}

/** Of insulation any megohms pass from where its plates end, and OL. */
function insulates(middle: number, ends: readonly number[], instrument: Instrument): SoundBand {
  const low = Math.min(middle, ...ends, instrument.limit ?? Infinity);
  return {
    low,
    high: Infinity,
    edge: { low: low - EDGE_ERRORS * instrument.error(low), high: Infinity },
    openShare: MEGOHMS_OPEN,
  };
}

/** In the middle of its plates it reads OL; at some end of them perhaps not. */
function openBand(ends: readonly number[], instrument: Instrument): SoundBand {
  const low = Math.min(Infinity, ...ends.filter(Number.isFinite));
  if (low === Infinity) return { low, high: low, edge: { low, high: low }, openShare: 1 };
  const edge = { low: low - EDGE_ERRORS * instrument.error(low), high: Infinity };
  return { low, high: Infinity, edge, openShare: 1 - OPEN_AT_AN_END };
}
