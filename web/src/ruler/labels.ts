/** Mean width of a letter of a label, pixels. */
const LETTER = 6.4;
/** Between a bar and its label. */
const OFF = 9;
/** A bar that reaches so far along the ruler is labelled on its left first. */
const RIGHT_HALF = 0.55;

export interface Span {
  readonly left: number;
  readonly right: number;
}
export interface LabelPlace {
  /** Where the label begins and ends. */
  readonly from: number;
  readonly to: number;
  /** Over its bar in a line of its own: beside it there was no room. */
  readonly above: boolean;
}

/**
 * Where a bar's label stands: beside it, where it fits on the ruler and the line of the reading does not run through it;
 * else in a line of its own above the bar, out of the reading's way as far as there is room.
 */
export function labelPlace(text: string, bar: Span, width: number, reading: number | undefined): LabelPlace {
  const needs = text.length * LETTER + 4;
  const at = (from: number, above = false): LabelPlace => ({ from, to: from + needs, above });
  const clear = ({ from, to }: LabelPlace) =>
    from >= 0 && to <= width && (reading === undefined || reading < from - 2 || reading > to + 2);
  const beside = [at(bar.right + OFF), at(bar.left - OFF - needs)];
  if (bar.right > width * RIGHT_HALF) beside.reverse();
  const found = beside.find(clear);
  if (found) return found;
  const kept = Math.max(0, Math.min(width - needs, (bar.left + bar.right - needs) / 2));
  const above = [
    at(kept, true),
    ...(reading === undefined ? [] : [at(reading + OFF, true), at(reading - OFF - needs, true)]),
  ];
  return above.find(clear) ?? above[0]!;
}
