import type { Check } from '../trails/checks.ts';
import { fromRuler, INSTRUMENTS, toRuler } from '../instruments/index.ts';
import type { Dimension } from '../quantity/index.ts';
import type { ReadingValue } from '../schema/job.ts';
import type { Weigher } from './belief.ts';
import type { Predicted } from './prediction.ts';
import type { ModelFault } from './model.ts';

/** Where readings land under one account. SI values; `openShare` is the share that would read OL. */
export interface Landing {
  readonly faultId: string;
  readonly label: string;
  readonly low: number;
  readonly high: number;
  readonly openShare: number;
  /** Shares of words, for checks that are answered in words. */
  readonly words: Readonly<Record<string, number>>;
}

export interface Ruler {
  readonly dimension: Dimension | null;
  readonly words: readonly string[];
  readonly well: Landing;
  readonly suspects: readonly Landing[];
}

/** Kernel widths either side of the outermost members that still count as "where it lands". */
const BAND_WIDTHS = 2.5;

function landing(id: string, label: string, predicted: Predicted, dimension: Dimension | null): Landing {
  if (predicted.kind === 'word' || dimension === null) {
    const words: Record<string, number> = {};
    if (predicted.kind === 'word')
      for (const s of predicted.shares)
        for (const [w, p] of Object.entries(s)) words[w] = (words[w] ?? 0) + p / predicted.shares.length;
    return { faultId: id, label, low: NaN, high: NaN, openShare: 0, words };
  }
  let [low, high, open] = [Infinity, -Infinity, 0];
  predicted.at.forEach((u, m) => {
    if (predicted.open[m]! > 0.5) open++;
    else {
      low = Math.min(low, u - BAND_WIDTHS * predicted.width[m]!);
      high = Math.max(high, u + BAND_WIDTHS * predicted.width[m]!);
    }
  });
  const finite = low <= high;
  return {
    faultId: id,
    label,
    low: finite ? fromRuler(low, dimension) : Infinity,
    high: open > 0 ? Infinity : fromRuler(high, dimension),
    openShare: open / predicted.at.length,
    words: {},
  };
}

/** What a check should read when all is well, and under each of these suspects: all from the same simulation. */
export function ruler(weigher: Weigher, check: Check, suspects: readonly ModelFault[]): Ruler {
  const instrument = INSTRUMENTS[check.instrument];
  const dimension = instrument.dimension ?? null;
  const of = (faults: ModelFault[], id: string, label: string) =>
    landing(id, label, weigher.ensemble(faults).predict(check), dimension);
  return {
    dimension,
    words: dimension ? [] : (check.words ?? instrument.words ?? []),
    well: of([], '', ''),
    suspects: suspects.map((f) => of([f], f.id, `${f.part.label} ${f.mode.label}`)),
  };
}

/** A word that a sound machine gives less often than this is a failed check. */
const FAILED_BELOW = 0.2;

/** Whether a reading is what a sound machine would give. */
export function passes(weigher: Weigher, check: Check, value: ReadingValue): boolean {
  const { well, dimension } = ruler(weigher, check, []);
  if (value.kind === 'word') return Object.hasOwn(well.words, value.word) && well.words[value.word]! >= FAILED_BELOW;
  if (value.kind === 'open') return well.openShare > 0;
  if (!dimension) return false;
  const u = toRuler(value.value, dimension);
  return u >= toRuler(well.low, dimension) && (well.high === Infinity || u <= toRuler(well.high, dimension));
}
