import type { Check } from '../trails/checks.ts';
import { fromRuler, INSTRUMENTS } from '../instruments/index.ts';
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
  /** Of a suspect: it reads as a sound machine does, machine for machine. */
  readonly asWell?: boolean;
  /** With the instrument's own error about it: what still passes. Of the sound machine only. */
  readonly edge?: { readonly low: number; readonly high: number };
  /** Shares of words, for checks that are answered in words. */
  readonly words: Readonly<Record<string, number>>;
}

export interface Ruler {
  readonly dimension: Dimension | null;
  readonly words: readonly string[];
  /** What a reading of nothing is called. */
  readonly atNothing?: string;
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

/** Where a sound machine lands: a number by the plates' tolerances, words by how often they are said. */
function wellLanding(weigher: Weigher, check: Check, dimension: Dimension | null): Landing {
  if (dimension === null) return landing('', '', weigher.ensemble([]).predict(check), dimension);
  return { faultId: '', label: '', words: {}, ...weigher.bands.of(check) };
}

/** Nearer than this part of its kernel no reading tells a member from the sound one. */
const TOLD_APART = 0.5;
function readsAsWell(predicted: Predicted, sound: Predicted): boolean {
  if (predicted.kind !== 'number' || sound.kind !== 'number') return false;
  return predicted.at.every((u, m) =>
    Number.isNaN(u) ? Number.isNaN(sound.at[m]!) : Math.abs(u - sound.at[m]!) <= TOLD_APART * sound.width[m]!,
  );
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
    ...(check.atNothing === undefined ? {} : { atNothing: check.atNothing }),
    well: wellLanding(weigher, check, dimension),
    suspects: suspects.map((f) => ({
      ...of([f], f.id, `${f.part.label} ${f.mode.label}`),
      asWell: readsAsWell(weigher.ensemble([f]).predict(check), weigher.ensemble([]).predict(check)),
    })),
  };
}

/** A word that a sound machine gives less often than this is a failed check. */
const FAILED_BELOW = 0.2;

/** How a reading stands to what a sound machine would give: a number above or below the band, a word or OL off it. */
export type Standing = 'well' | 'above' | 'below' | 'off';

export function standing(weigher: Weigher, check: Check, value: ReadingValue): Standing {
  const { well, dimension } = ruler(weigher, check, []);
  const either = (passes: boolean): Standing => (passes ? 'well' : 'off');
  if (value.kind === 'word')
    return either(Object.hasOwn(well.words, value.word) && well.words[value.word]! >= FAILED_BELOW);
  if (value.kind === 'open') return either(well.openShare > 0);
  if (!dimension) return 'off';
  const { low, high } = well.edge ?? well;
  return value.value < low ? 'below' : value.value > high ? 'above' : 'well';
}

/** Whether a reading is what a sound machine would give. */
export const passes = (weigher: Weigher, check: Check, value: ReadingValue): boolean =>
  standing(weigher, check, value) === 'well';
