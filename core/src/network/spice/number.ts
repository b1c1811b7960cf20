/** Multipliers of netlists; case does not matter: m is milli, meg is mega. */
const SUFFIX: readonly (readonly [string, number])[] = [
  ['meg', 1e6],
  ['mil', 25.4e-6],
  ['t', 1e12],
  ['g', 1e9],
  ['k', 1e3],
  ['m', 1e-3],
  ['u', 1e-6],
  ['µ', 1e-6],
  ['n', 1e-9],
  ['p', 1e-12],
  ['f', 1e-15],
];

/** Reads `2.2k`, `0.22u`, `10e-3`, `5ms` (letters after the multiplier are a unit and ignored); NaN if it is none. */
export function readNumber(text: string): number {
  const match = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)([a-zµ]*)$/i.exec(text);
  if (!match) return NaN;
  const letters = match[2]!.toLowerCase();
  const suffix = SUFFIX.find(([s]) => letters.startsWith(s));
  return Number(match[1]) * (suffix?.[1] ?? 1);
}

/** Shortest text that reads back as the same number. */
export const writeNumber = (value: number): string => String(value);
