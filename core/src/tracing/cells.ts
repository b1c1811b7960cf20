import type { Check } from '../trails/checks.ts';
import { fromRuler, INSTRUMENTS, untouched } from '../instruments/index.ts';
import { normalCdf } from '../random/lcg.ts';
import type { Weigher } from './belief.ts';
import { MEMBERS, type Ensemble } from './ensemble.ts';
import type { Predicted } from './prediction.ts';
import { misses, mistoldShare, TOUCHES_NOTHING } from './likelihood.ts';
import { wellWord } from './wellWord.ts';

/** Cells of the ruler for counting information; one more after them is OL. */
const CELLS = 24;

/** p(cell | severity step): one row for each step, or a single one where severity makes no difference. */
export type CellShares = readonly Float64Array[];

/** A cell as a reading: a word, a stretch of the ruler in SI, or OL. */
export type CellReading =
  | { readonly kind: 'word'; readonly word: string }
  | { readonly kind: 'open' }
  | { readonly kind: 'number'; readonly low: number; readonly high: number };

/** Turns predictions into cells, once for each prediction. */
export class Cells {
  private readonly weigher: Weigher;
  private readonly edges = new Map<string, { low: number; step: number }>();
  private readonly singles = new Map<Check, (CellShares | null | undefined)[]>();
  private readonly known = new WeakMap<Predicted, Map<Ensemble['strata'], CellShares>>();

  constructor(weigher: Weigher) {
    this.weigher = weigher;
  }

  private edgesOf(check: Check): { low: number; step: number } {
    let found = this.edges.get(check.id);
    if (found) return found;
    const ensembles = this.weigher.alone.map((faults) => this.weigher.ensemble(faults));
    let [low, high] = [Infinity, -Infinity];
    for (const e of ensembles) {
      const p = e.predict(check);
      if (p.kind !== 'number') continue;
      for (const [m, u] of p.at.entries()) if (p.open[m]! < 0.5) [low, high] = [Math.min(low, u), Math.max(high, u)];
    }
    if (!(high > low)) [low, high] = [low - 0.5, low + 0.5];
    found = { low, step: (high - low) / CELLS };
    this.edges.set(check.id, found);
    return found;
  }

  of(ensemble: Ensemble, check: Check): CellShares {
    // Ensembles that a fault cannot tell apart here share one prediction, and so one table.
    const predicted = ensemble.predict(check);
    let own = this.known.get(predicted);
    if (!own) this.known.set(predicted, (own = new Map()));
    let shares = own.get(ensemble.strata);
    if (!shares) own.set(ensemble.strata, (shares = this.compute(predicted, check, ensemble)));
    return shares;
  }

  /**
   * How each account reads a check, null where it reads like this sound machine. Asked for every account of every check
   * at each reading, so what single faults say is kept by their places.
   */
  telling(sound: Ensemble, check: Check): (ensemble: Ensemble) => CellShares | null {
    const same = sound.predict(check);
    let singles = this.singles.get(check);
    if (!singles) this.singles.set(check, (singles = []));
    const found = (ensemble: Ensemble) => (ensemble.predict(check) === same ? null : this.of(ensemble, check));
    return (ensemble) => {
      const { place } = ensemble;
      if (place === undefined || sound.faults.length > 0) return found(ensemble);
      const known = singles[place];
      return known === undefined ? (singles[place] = found(ensemble)) : known;
    };
  }

  /**
   * Of several faults that change a check together: as often the one as the other, without playing them together; for a
   * first look at many checks. Nothing where what they read is known, or is that of one of them alone.
   */
  roughly(ensemble: Ensemble, check: Check): CellShares | undefined {
    if (ensemble.faults.length < 2 || ensemble.predicted.has(check)) return undefined;
    const same = ensemble.sound.predict(check);
    const telling = ensemble.simpler.filter((e) => e.predict(check) !== same);
    if (telling.length < 2) return undefined;
    const mean = new Float64Array(this.of(ensemble.sound, check)[0]!.length);
    for (const rows of telling.map((e) => this.of(e, check)))
      for (const row of rows) row.forEach((p, c) => (mean[c]! += p / (rows.length * telling.length)));
    return [mean];
  }

  /** What a reading in a cell would be. */
  reading(check: Check, cell: number): CellReading {
    const { dimension, words } = INSTRUMENTS[check.instrument];
    if (dimension === undefined) return { kind: 'word', word: (check.words ?? words ?? [])[cell] ?? '' };
    if (cell === CELLS) return { kind: 'open' };
    const { low, step } = this.edgesOf(check);
    return {
      kind: 'number',
      low: fromRuler(low + step * cell, dimension),
      high: fromRuler(low + step * (cell + 1), dimension),
    };
  }

  private compute(p: Predicted, check: Check, { strata, graded }: Ensemble): CellShares {
    const members = this.members(p, check);
    const rows = graded ? strata : strata.slice(0, 1);
    const strays = this.strays(check, members[0]!.length);
    const missed = misses(check);
    return rows.map((share) => {
      const row = new Float64Array(members[0]!.length);
      members.forEach((cells, m) => cells.forEach((q, c) => (row[c]! += share[m]! * q)));
      return row.map((q, c) => (1 - missed) * q + missed * strays[c]!);
    });
  }

  /** Readings that missed their mark: mostly where the leads touch nothing, the rest over all cells alike. */
  private strays(check: Check, cells: number): Float64Array {
    const instrument = INSTRUMENTS[check.instrument];
    const blank = untouched(instrument);
    const well = wellWord(this.weigher.model, check);
    if (well !== undefined && check.words) return Float64Array.from(check.words, (w) => mistoldShare(cells, w, well));
    if (instrument.dimension === undefined || !blank) return new Float64Array(cells).fill(1 / cells);
    const shares = new Float64Array(cells).fill((1 - TOUCHES_NOTHING) / cells);
    const { low, step } = this.edgesOf(check);
    const zero = Math.min(CELLS - 1, Math.max(0, Math.floor(-low / step)));
    const nothing = blank.kind === 'open' ? CELLS : zero;
    shares[nothing]! += TOUCHES_NOTHING;
    return shares;
  }

  private members(p: Predicted, check: Check): Float64Array[] {
    if (p.kind === 'word') {
      const words = check.words ?? INSTRUMENTS[check.instrument].words ?? [];
      return p.shares.map((s) => Float64Array.from(words, (w) => s[w] ?? 0));
    }
    const { low, step } = this.edgesOf(check);
    return Array.from({ length: MEMBERS }, (_, m) => {
      const cells = new Float64Array(CELLS + 1);
      const open = p.open[m]!;
      cells[CELLS] = open;
      if (open < 1) {
        let before = 0;
        for (let c = 0; c < CELLS; c++) {
          const upTo = c === CELLS - 1 ? 1 : normalCdf((low + step * (c + 1) - p.at[m]!) / p.width[m]!);
          cells[c] = (1 - open) * (upTo - before);
          before = upTo;
        }
      }
      return cells;
    });
  }
}
