import { standsStill, toRuler, type Landing, type Ruler } from '@pondu/core';
import { useLayoutEffect, useRef, useState } from 'react';
import { labelPlace, type LabelPlace, type Span } from './labels.ts';
import { rulerScale } from './scale.ts';
import { showsVacuum } from './gaugeUnit.ts';
import { bareSymbol, showQuantity, showBand } from '../units/quantity.ts';

const ROW = 24;
const TOP = 30;
const BAND = 26;
/** More height for a bar whose label stands above it. */
const ABOVE = 15;

/** Ends nearer to the band's than this share of its width are the same. */
const ALIKE = 0.12;
/** So near an end of the ruler a label would be cut off if it stood in the middle. */
const EDGE = 34;

/** Whether a suspect would land where a sound machine does: no reading here tells them apart. */
function likeWell({ well, dimension }: Ruler, s: Landing): boolean {
  if (s.asWell) return true;
  if (well.openShare === 1 || s.openShare > 0) return well.openShare === s.openShare;
  const at = (v: number) => toRuler(v, dimension!);
  const wide = Math.max(at(well.high) - at(well.low), 1e-9);
  return Math.abs(at(s.low) - at(well.low)) < ALIKE * wide && Math.abs(at(s.high) - at(well.high)) < ALIKE * wide;
}

const inWords = (l: Landing, ruler: Ruler): string => {
  if (l.openShare === 1) return 'OL';
  const nothing = ruler.atNothing !== undefined && standsStill(l.high, ruler.dimension!);
  const band = nothing ? ruler.atNothing! : showBand(l.low, l.high, ruler.dimension!);
  return l.openShare > 0 ? `${band} or OL` : band;
};

/** One scale: the band when all is well, where each leading suspect would land, and the reading as it is typed. */
export function ReadingRuler({ ruler: whole, reading }: { ruler: Ruler; reading: number | undefined }) {
  const asWell = whole.suspects.filter((s) => likeWell(whole, s));
  const ruler = { ...whole, suspects: whole.suspects.filter((s) => !asWell.includes(s)) };
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(600);
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setWidth(Math.max(260, element.clientWidth)));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const dimension = ruler.dimension!;
  const { x, ticks, openFrom } = rulerScale(ruler, reading, width);
  const finiteHigh = (l: Landing) => (Number.isFinite(l.high) ? l.high : l.low * 3);
  const span = (l: Landing): [number, number] => [
    x(l.low),
    l.high === Infinity && l.openShare < 1 ? x(finiteHigh(l)) : x(l.high),
  ];
  const openAt = x(Infinity);
  const own = ruler.well.edge;
  const edge: [number, number] | undefined = own && Number.isFinite(own.high) ? [x(own.low), x(own.high)] : undefined;
  const marker = reading === undefined ? undefined : x(reading);
  const bars = ruler.suspects.map((landing) => {
    const [a, b] = span(landing);
    const bar =
      landing.openShare === 1 ? { left: openAt - 12, right: openAt + 12 } : { left: a, right: Math.max(b, a + 5) };
    return { landing, bar, label: labelPlace(landing.label, bar, width, marker) };
  });
  const { rows, height } = stacked(bars);
  const summary = `When well ${inWords(ruler.well, ruler)}. ${whole.suspects.map((s) => `${s.label}: ${inWords(s, ruler)}`).join('. ')}.`;
  // A vacuum's ruler is in one unit to its end, also where that is nothing.
  const unit = showsVacuum(ruler) ? bareSymbol(dimension, { below: true }) : undefined;
  const tickWords = (t: number) => showQuantity(t, dimension, { significant: 2, ...(unit ? { unit } : {}) });
  return (
    <div ref={box} className="overflow-x-clip">
      <svg
        role="img"
        aria-label={`Reading ruler. ${summary}`}
        width={width}
        height={height}
        className="block overflow-visible"
      >
        {ticks.map((t) => (
          <g key={t} transform={`translate(${x(t)},0)`}>
            <line y1={18} y2={height} stroke="var(--rule)" />
            <text
              y={13}
              textAnchor={x(t) < EDGE ? 'start' : x(t) > width - EDGE ? 'end' : 'middle'}
              fontSize="12.5"
              fill="var(--soft)"
            >
              {tickWords(t)}
            </text>
          </g>
        ))}
        {openFrom !== undefined && (
          <g>
            <rect
              x={openFrom}
              y={TOP - 10}
              width={width - openFrom}
              height={height - TOP + 10}
              fill="var(--sunk)"
              rx="4"
            />
            <text x={(openFrom + width) / 2} y={13} textAnchor="middle" fontSize="12.5" fill="var(--soft)">
              OL
            </text>
          </g>
        )}
        {edge && <Edge span={edge} />}
        {marker !== undefined && (
          <line x1={marker} x2={marker} y1={14} y2={height} stroke="var(--do)" strokeWidth="3" />
        )}
        <Band landing={ruler.well} span={span(ruler.well)} edge={edge} openAt={openAt} />
        {rows.map((row) => (
          <Row key={row.landing.faultId} {...row} openAt={openAt} />
        ))}
        {marker !== undefined && <Flag at={marker} text={showQuantity(reading!, dimension)} width={width} />}
      </svg>
      {asWell.length > 0 && (
        <p className="condensed text-[13.5px] text-soft">As when well: {asWell.map((s) => s.label).join(' · ')}</p>
      )}
    </div>
  );
}

type Barred = Omit<RowProps, 'y' | 'openAt'>;
/** The bars under one another, and how high all of it is. */
function stacked(bars: readonly Barred[]): { rows: readonly (Barred & { y: number })[]; height: number } {
  const rows: (Barred & { y: number })[] = [];
  let y = TOP + BAND + 8;
  for (const bar of bars) {
    rows.push({ ...bar, y });
    y += ROW + (bar.label.above ? ABOVE : 0);
  }
  return { rows, height: y + 2 };
}

/** About the band: what the instrument's own error may add. */
function Edge({ span: [a, b] }: { span: [number, number] }) {
  return (
    <rect
      x={a}
      y={TOP + 4}
      width={Math.max(0, b - a)}
      height={BAND - 8}
      rx="3"
      fill="none"
      stroke="var(--well)"
      strokeDasharray="3 3"
    />
  );
}

interface BandProps {
  landing: Landing;
  span: [number, number];
  /** With the instrument's own error, where that is drawn. */
  edge: [number, number] | undefined;
  openAt: number;
}
function Band({ landing, span: [a, b], edge, openAt }: BandProps) {
  const well = { fill: 'var(--well-wash)', stroke: 'var(--well)', strokeWidth: 2 };
  const [left, wide] = landing.openShare === 1 ? [openAt - 24, 48] : [Math.min(a, b - 4), Math.max(6, b - a)];
  const [starts, ends] = [Math.min(left, edge?.[0] ?? left), Math.max(left + wide, edge?.[1] ?? 0)];
  const inside = wide > 74;
  return (
    <g>
      <rect x={left} y={TOP} width={wide} height={BAND} rx="4" {...well} />
      <text
        x={inside ? left + wide / 2 : left > 120 ? starts - 6 : ends + 6}
        y={TOP + 18}
        textAnchor={inside ? 'middle' : left > 120 ? 'end' : 'start'}
        fontSize="13.5"
        fontWeight="650"
        fill="var(--well)"
        stroke={inside ? 'var(--well-wash)' : 'var(--panel)'}
        strokeWidth="5"
        paintOrder="stroke"
      >
        when well
      </text>
    </g>
  );
}

interface RowProps {
  landing: Landing;
  bar: Span;
  label: LabelPlace;
  y: number;
  openAt: number;
}
function Row({ landing, bar: { left, right }, label, y, openAt }: RowProps) {
  const at = y + 9 + (label.above ? ABOVE : 0);
  const before = !label.above && label.to <= left;
  return (
    <g>
      <line x1={left} x2={right} y1={at} y2={at} stroke="var(--lost)" strokeWidth="7" strokeLinecap="round" />
      {landing.openShare > 0 && landing.openShare < 1 && <circle cx={openAt} cy={at} r="5" fill="var(--lost)" />}
      <text
        x={before ? label.to - 2 : label.from + 2}
        textAnchor={before ? 'end' : 'start'}
        y={y + 14 - (label.above ? 1 : 0)}
        fontSize="13"
        fill="var(--ink)"
        stroke="var(--panel)"
        strokeWidth="5"
        paintOrder="stroke"
      >
        {landing.label}
      </text>
    </g>
  );
}

function Flag({ at, text, width }: { at: number; text: string; width: number }) {
  const wide = 18 + text.length * 8.5;
  const left = Math.min(width - wide, Math.max(0, at - wide / 2));
  return (
    <g>
      <rect x={left} y={-4} width={wide} height={22} rx="5" fill="var(--do)" />
      <text x={left + wide / 2} y={12} textAnchor="middle" fontSize="14" fontWeight="700" fill="var(--on-do)">
        {text}
      </text>
    </g>
  );
}
