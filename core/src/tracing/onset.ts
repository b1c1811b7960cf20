import type { Band, FaultMode, PartParams } from '../machine/part.ts';
import type { Fit } from '../schema/fit.ts';

/**
 * Of all degrees in which a fault is met, the share that is too slight for most to bring the machine in: as long as that
 * way is beside the rest, so that steps lie evenly. Decades that nobody notices (an insulation's) are not worth that.
 */
const SLIGHT = { least: 0.2, most: 0.35, longFrom: 0.75, ofLong: 0.2 } as const;
const slightShare = (share: number): number =>
  share > SLIGHT.longFrom ? SLIGHT.ofLong : Math.min(SLIGHT.most, Math.max(SLIGHT.least, share));
/** Figures further apart than this are gone through by ratio, nearer ones evenly. */
const BY_RATIO_FROM = 3;

const onTheWay = (from: number, to: number, share: number, byRatio: boolean): number =>
  byRatio ? from * (to / from) ** share : from + (to - from) * share;
const lengthOf = (from: number, to: number, byRatio: boolean): number =>
  Math.abs(byRatio ? Math.log(to / from) : to - from);
const goesByRatio = (figures: readonly number[]): boolean => {
  const [least, most] = [Math.min(...figures), Math.max(...figures)];
  return least > 0 && most / least > BY_RATIO_FROM;
};

/** A figure that a fault moves by degrees, and the end of its plate that it leaves. */
interface Moved {
  readonly figure: string;
  readonly end: number;
  readonly up: boolean;
  readonly byRatio: boolean;
  /** Share of its whole way that lies before what the fault's own formula begins with; nothing where that lies inside. */
  readonly before: number;
}

function movedBy(mode: FaultMode, plateOf: (figure: string) => Band | undefined, fit: Fit, sound: PartParams): Moved[] {
  const [start, worst] = [mode.apply(sound, 0, fit), mode.apply(sound, 1, fit)];
  return Object.keys(worst).flatMap((figure): Moved[] => {
    const [first, last] = [start[figure]!, worst[figure]!];
    if (first === last) return [];
    const plate = plateOf(figure);
    const without = plate ? (plate.low + plate.high) / 2 : mode.from?.[figure];
    if (without === undefined || without === first) return [];
    const up = last > without;
    const end = plate ? (up ? plate.high : plate.low) : without;
    const byRatio = goesByRatio([end, first, last]);
    const outside = up ? first > end : first < end;
    const before = outside ? lengthOf(end, first, byRatio) / lengthOf(end, last, byRatio) : 0;
    return [{ figure, end, up, byRatio, before }];
  });
}

/**
 * A way of failing that begins where the plate ends: what its own formula leaves out between a sound figure and its
 * first degree is gone through before it, and nothing of it lies inside the plate. Its weight counts those that are bad
 * enough to be brought in; the slight ones come on top. What does not come in degrees is there at once, and so is one
 * that is whole or not at all (`leap`).
 */
export function beginsAtPlate(
  mode: FaultMode,
  plateOf: (figure: string) => Band | undefined,
  fit: Fit,
  sound: PartParams,
): FaultMode {
  const moved = mode.leap ? [] : movedBy(mode, plateOf, fit, sound);
  if (moved.length === 0) return mode;
  const before = moved.filter((m) => m.before > 0);
  const slight = before.length ? slightShare(before.reduce((sum, m) => sum + m.before, 0) / before.length) : 0;
  return {
    ...mode,
    slight,
    weight: mode.weight / (1 - slight),
    apply: (own, severity, of) => {
      const onset = severity < slight ? severity / slight : 1;
      const failed = mode.apply(own, severity < slight ? 0 : (severity - slight) / (1 - slight), of);
      const changed = moved.map(({ figure, end, up, byRatio }): [string, number] => {
        const reached = onTheWay(end, failed[figure]!, onset, byRatio);
        return [figure, up ? Math.max(end, reached) : Math.min(end, reached)];
      });
      return { ...failed, ...Object.fromEntries(changed) };
    },
  };
}
