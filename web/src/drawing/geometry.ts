import type { DrawnPart, Port, SymbolId } from '@pondu/core';

/** Page units: one is a CSS pixel at full size. */
export const WIDTH = 112;
const SIGN_HEIGHT = 44;
export const LINE = 14;
const LABEL_LINES = 2;
export const LABEL_HEIGHT = LABEL_LINES * LINE + 4;
/** Room under a part for the sign of earth. */
const EARTH_HEIGHT = 26;
/** Between two terminals on one side. */
const PITCH = 22;
/** Letters of a label that fit in one line. */
const LETTERS = 17;

/** Where a sign's own lines end, left and right of its middle; the rest of the way to a terminal is wire. */
export const REACH = 24;

export type Side = 'left' | 'right' | 'top' | 'bottom';
export interface Terminal extends Port {
  /** From the part's upper left corner. */
  readonly x: number;
  readonly y: number;
  readonly side: Side;
}
export interface Box {
  readonly width: number;
  readonly height: number;
  /** Middle of the sign. */
  readonly middle: { readonly x: number; readonly y: number };
  /** Half of the sign's own height: a box grows with its terminals. */
  readonly half: number;
  readonly terminals: readonly Terminal[];
  readonly lines: readonly string[];
}

/** Signs with a frame, whose terminals may stand anywhere on it; all others have one way through. */
const FRAMED: ReadonlySet<SymbolId> = new Set(['module', 'relay', 'rectifier', 'cap', 'rotor', 'gauge', 'box']);
export const isFramed = (symbol: SymbolId): boolean => FRAMED.has(symbol);
/** Terminals that take in, by the names that parts give them. */
const TAKES: ReadonlySet<string> = new Set(['a', 'in', 'supply', 'trigger', 's', 'command', 'a1', 'a2', 'a3', 'a4']);

/** A label in lines that fit over the part. */
export function inLines(label: string): string[] {
  const lines: string[] = [];
  for (const word of label.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length < LETTERS) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  if (lines.length <= LABEL_LINES) return lines;
  return [...lines.slice(0, LABEL_LINES - 1), lines.slice(LABEL_LINES - 1).join(' ')];
}

/** How large a part is drawn, and where its terminals stand. */
export function boxOf(part: DrawnPart): Box {
  const wired = part.ports.filter((p) => !p.earthed);
  const earthed = part.ports.filter((p) => p.earthed);
  // A part that feeds from earth gives on its right: a winding, a generator, an ignition coil.
  const onlyOut = wired.length === 1 && earthed.length > 0 && wired[0]!.name === 'a' && SOURCES.has(part.symbol);
  const left = onlyOut ? [] : wired.filter((p) => TAKES.has(p.name));
  const right = wired.filter((p) => !left.includes(p));
  const half = Math.max(SIGN_HEIGHT, PITCH * Math.max(left.length, right.length)) / 2;
  const middle = { x: WIDTH / 2, y: LABEL_HEIGHT + half };
  const onSide = (ports: readonly Port[], side: 'left' | 'right'): Terminal[] =>
    ports.map((port, k) => ({
      ...port,
      side,
      x: side === 'left' ? 0 : WIDTH,
      y: middle.y + PITCH * (k - (ports.length - 1) / 2),
    }));
  // Beneath the end that has no wire of its own; a frame and a plug are earthed where they stand.
  const aside = isFramed(part.symbol) || part.symbol === 'plug' || (left.length > 0 && right.length > 0);
  const under = middle.x + (aside ? 0 : right.length > 0 ? -REACH : REACH);
  const beneath = earthed.map((port): Terminal => ({ ...port, side: 'bottom', x: under, y: middle.y + half }));
  return {
    width: WIDTH,
    height: LABEL_HEIGHT + 2 * half + (earthed.length ? EARTH_HEIGHT : 8),
    middle,
    half,
    terminals: [...onSide(left, 'left'), ...onSide(right, 'right'), ...beneath],
    lines: inLines(part.label),
  };
}
const SOURCES: ReadonlySet<SymbolId> = new Set(['winding', 'generator', 'battery', 'coil']);
