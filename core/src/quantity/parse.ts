import { preferredUnit, toSi, unitTyped, type Dimension } from './units.ts';

export type ParseFailure =
  | { code: 'empty' }
  | { code: 'unreadable'; text: string }
  | { code: 'unknown-unit'; text: string; unit: string }
  | { code: 'wrong-dimension'; text: string; unit: string; found: Dimension; wanted: Dimension }
  | { code: 'negative'; text: string; dimension: Dimension }
  | { code: 'open-not-possible'; text: string; wanted: Dimension };

/** `value` is in the SI unit of the dimension; an open circuit is `Infinity` ohms. */
export type ParseResult =
  { ok: true; value: number; unit: string; open: boolean } | { ok: false; failure: ParseFailure };

const OPEN_WORDS = new Set(['ol', 'o.l', 'o.l.', 'o/l', 'open', 'over', 'overload', 'inf', 'infinite', '∞', '1.']);
const NEVER_NEGATIVE: ReadonlySet<Dimension> = new Set<Dimension>([
  'resistance',
  'capacitance',
  'inductance',
  'speed',
  'time',
]);

/** 4k7 → 4.7 k, 2M2 → 2.2 M, 1R5 → 1.5 R: the letter stands where the point would. */
const LETTER_POINT = /^(\d+)\s*(k|K|M|R|r)\s*(\d+)$/;
const FRACTION = /^([+-]?)(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)(.*)$/;
const NUMBER = /^([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:[eE][+-]?\d+)?)(.*)$/;

const failed = (failure: ParseFailure): ParseResult => ({ ok: false, failure });

function splitNumber(text: string): { number: number; rest: string } | undefined {
  const letter = LETTER_POINT.exec(text);
  if (letter) return { number: Number(`${letter[1]}.${letter[3]}`), rest: letter[2] ?? '' };
  const fraction = FRACTION.exec(text);
  if (fraction) {
    const [, sign, whole, top, bottom, rest] = fraction;
    if (Number(bottom) === 0) return undefined;
    const value = Number(whole ?? 0) + Number(top) / Number(bottom);
    return { number: sign === '-' ? -value : value, rest: rest ?? '' };
  }
  const plain = NUMBER.exec(text);
  if (!plain) return undefined;
  // A comma is a decimal mark, except where it can only be a thousands mark: 12,500.0 or 1,234,567.
  const digits = plain[1] ?? '';
  const rest = plain[2] ?? '';
  if (/^[.,]\d/.test(rest)) return undefined;
  return { number: Number(digits.replace(',', '.')), rest };
}

/**
 * Reads a quantity as a person types it: `4k7`, `540 ohm`, `0.3V`, `300 mV`, `OL`, `15 thou`, `12,5`, `1/2 turn`.
 * A bare number is taken in `bareUnit`, or the dimension's preferred unit. Never throws on text.
 */
export function parseQuantity(typed: string, wanted: Dimension, bareUnit?: string): ParseResult {
  const text = typed.trim().replace(/\s+/g, ' ').replace(/−/g, '-');
  if (text === '') return failed({ code: 'empty' });
  if (OPEN_WORDS.has(text.toLowerCase())) {
    if (wanted !== 'resistance') return failed({ code: 'open-not-possible', text, wanted });
    return { ok: true, value: Infinity, unit: 'Ω', open: true };
  }
  const split = splitNumber(text);
  if (!split || !Number.isFinite(split.number)) return failed({ code: 'unreadable', text });
  const unitText = split.rest.trim();
  const bare = bareUnit === undefined ? preferredUnit(wanted) : unitTyped(bareUnit, wanted);
  const unit = unitText === '' ? bare : unitTyped(unitText, wanted);
  if (!unit) return failed({ code: 'unknown-unit', text, unit: unitText });
  if (unit.dimension !== wanted)
    return failed({ code: 'wrong-dimension', text, unit: unit.symbol, found: unit.dimension, wanted });
  if (split.number < 0 && NEVER_NEGATIVE.has(wanted)) return failed({ code: 'negative', text, dimension: wanted });
  return { ok: true, value: toSi(split.number, unit), unit: unit.symbol, open: false };
}
