/** Bursts of an engine each turn of its crank: every cylinder once in two turns, or in each turn of two strokes. */
export const firingsATurn = (cylinders: number, strokes: 'four-stroke' | 'two-stroke'): number =>
  strokes === 'two-stroke' ? cylinders : cylinders / 2;

/** How often the sound of two equal engines swells in a second, from their speeds, rev/min. */
export const beatsASecond = (oneRpm: number, otherRpm: number, firings: number): number =>
  (Math.abs(oneRpm - otherRpm) * firings) / 60;

/** How far apart their speeds are, rev/min, from so many swells counted in so many seconds. */
export const apartBy = (swells: number, seconds: number, firings: number): number =>
  (60 * swells) / (seconds * firings);
