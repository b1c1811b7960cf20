import type { SymbolId } from '@pondu/core';
import type { ReactNode } from 'react';
import { isFramed, REACH } from './geometry.ts';

const line = (d: string, key?: string) => <path key={key ?? d} d={d} />;
const filled = (d: string) => <path d={d} className="fill-ink" stroke="none" />;
const through = (inner: ReactNode) => (
  <>
    {line(`M${-REACH} 0H-16`)}
    {line(`M16 0H${REACH}`)}
    {inner}
  </>
);
const letter = (text: string) => (
  <text y="5" textAnchor="middle" className="fill-ink text-[15px] font-semibold" stroke="none">
    {text}
  </text>
);
const circled = (inner: ReactNode) => (
  <>
    {line(`M${-REACH} 0H-15M15 0H${REACH}`)}
    <circle r="15" className="fill-panel" />
    {inner}
  </>
);
const bumps = (from: number, count: number, up: number) => line(`M${from} 0${`a4 5 0 0 ${up} 8 0`.repeat(count)}`);

/**
 * Signs of the international standard for diagrams, drawn about their middle; what they stand for is said by the label.
 * A frame's size follows from its terminals, so signs with one are drawn where the box is known.
 */
const SIGNS: Readonly<Record<SymbolId, ReactNode>> = {
  none: null,
  battery: (
    <>
      {line(`M${-REACH} 0H-9M9 0H${REACH}`)}
      {line('M-9 -14V14M3 -14V14')}
      <path d="M-3 -7V7M9 -7V7" strokeWidth="4" />
    </>
  ),
  box: null,
  cap: null,
  capacitor: (
    <>
      {line(`M${-REACH} 0H-4M4 0H${REACH}`)}
      <path d="M-4 -13V13M4 -13V13" strokeWidth="2.5" />
    </>
  ),
  coil: (
    <>
      {line(`M${-REACH} 8H-20`)}
      {line('M-20 8a4 5 0 0 1 8 0a4 5 0 0 1 8 0a4 5 0 0 1 8 0a4 5 0 0 1 8 0a4 5 0 0 1 8 0', 'primary')}
      {line(`M20 8H${REACH}`)}
      {line('M-20 0H20M-20 -3H20', 'core')}
      {line('M-20 -8a3 4 0 0 0 6 0a3 4 0 0 0 6 0a3 4 0 0 0 6 0a3 4 0 0 0 6 0a3 4 0 0 0 6 0a3 4 0 0 0 6 0', 'secondary')}
    </>
  ),
  connector: (
    <>
      {line(`M${-REACH} 0H-3M8 0H${REACH}`)}
      {line('M8 -7A8 8 0 0 0 8 7')}
      <path d="M-3 0H3" strokeWidth="4" />
    </>
  ),
  fuse: through(
    <>
      <rect x="-16" y="-6" width="32" height="12" className="fill-panel" />
      {line('M-16 0H16')}
    </>,
  ),
  gauge: null,
  generator: circled(letter('G')),
  heater: through(
    <>
      <rect x="-16" y="-6" width="32" height="12" className="fill-panel" />
      {line('M-8 -6V6M0 -6V6M8 -6V6')}
    </>,
  ),
  joint: (
    <>
      {line(`M${-REACH} 0H-4M4 0H${REACH}`)}
      <circle r="4" className="fill-panel" />
    </>
  ),
  lamp: circled(line('M-10.6 -10.6L10.6 10.6M-10.6 10.6L10.6 -10.6')),
  lead: (
    <>
      {line(`M${-REACH} 0H${REACH}`)}
      {line('M-8 5L-3 -5M-1 5L4 -5M6 5L11 -5')}
    </>
  ),
  load: through(<rect x="-16" y="-9" width="32" height="18" className="fill-panel" />),
  module: null,
  motor: circled(letter('M')),
  plug: (
    <>
      {line(`M${-REACH} 0H-12`)}
      {filled('M-12 -6L-1 0L-12 6Z')}
      {filled('M14 -6L3 0L14 6Z')}
      {line('M14 0H20V22H0')}
    </>
  ),
  points: (
    <>
      {line(`M${-REACH} 0H-12M12 0H${REACH}`)}
      {line('M-12 0L10 -9')}
      <circle cx="-12" r="2.5" className="fill-ink" />
      <circle cx="12" r="2.5" className="fill-ink" />
      {line('M0 12A6 6 0 1 1 0 11.9M0 0V-3', 'cam')}
    </>
  ),
  rectifier: null,
  relay: null,
  resistor: through(<rect x="-16" y="-6" width="32" height="12" className="fill-panel" />),
  rotor: null,
  switch: (
    <>
      {line(`M${-REACH} 0H-12M12 0H${REACH}`)}
      {line('M-12 0L11 -10')}
      <circle cx="-12" r="2.5" className="fill-ink" />
      <circle cx="12" r="2.5" className="fill-ink" />
    </>
  ),
  winding: (
    <>
      {line(`M${-REACH} 0H-16M16 0H${REACH}`)}
      {bumps(-16, 4, 1)}
      {line('M-16 5H16M-16 8H16')}
    </>
  ),
  wire: line(`M${-REACH} 0H${REACH}`),
};

/** What stands inside a frame. */
const INSIDE: Partial<Record<SymbolId, ReactNode>> = {
  rectifier: (
    <>
      {line('M-12 0H12M6 -8V8')}
      {filled('M-6 -8L6 0L-6 8Z')}
    </>
  ),
  relay: (
    <>
      <rect x="-10" y="3" width="20" height="10" className="fill-panel" />
      {line('M-5 13L5 3M-14 -8H-8L7 -14M8 -8H14')}
    </>
  ),
  rotor: line('M-10 4A10 10 0 1 1 -9 6M0 0L14 -7'),
  cap: line('M-14 9V-2A14 14 0 0 1 14 -2V9Z'),
  gauge: (
    <>
      <circle r="11" className="fill-panel" />
      {letter('n')}
    </>
  ),
  module: letter('⎍'),
  box: letter('?'),
};

export function Sign({ symbol, half }: { symbol: SymbolId; half: number }) {
  if (!isFramed(symbol)) return <>{SIGNS[symbol]}</>;
  return (
    <>
      <rect x={-REACH} y={-half + 2} width={2 * REACH} height={2 * half - 4} rx="2" className="fill-panel" />
      {INSIDE[symbol]}
    </>
  );
}

/** Earth beneath a part: the engine's metal, or the battery's post. */
export function EarthSign({ x, y }: { x: number; y: number }) {
  return <g transform={`translate(${x} ${y})`}>{line('M0 0V8M-11 8H11M-7 12H7M-3 16H3')}</g>;
}
