import { formatBand, formatQuantity, standsStill, toRuler, type Landing, type Ruler } from '@pondu/core';
import { useLayoutEffect, useRef, useState } from 'react';
import { rulerScale } from './scale.ts';

const ROW = 24;
const TOP = 30;
const BAND = 26;
/** Mean width of a letter of a label, pixels. */
const LETTER = 6.4;

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
  const band = nothing ? ruler.atNothing! : formatBand(l.low, l.high, ruler.dimension!);
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
  const height = TOP + BAND + 6 + ruler.suspects.length * ROW + 4;
  const span = (l: Landing): [number, number] => [
    x(l.low),
    l.high === Infinity && l.openShare < 1 ? x(finiteHigh(l)) : x(l.high),
  ];
  const finiteHigh = (l: Landing) => (Number.isFinite(l.high) ? l.high : l.low * 3);
  const summary = `When well ${inWords(ruler.well, ruler)}. ${whole.suspects.map((s) => `${s.label}: ${inWords(s, ruler)}`).join('. ')}.`;
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
              {formatQuantity(t, dimension, { significant: 2 })}
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
        {ruler.well.edge && Number.isFinite(ruler.well.edge.high) && (
          <Edge span={[x(ruler.well.edge.low), x(ruler.well.edge.high)]} />
        )}
        <Band landing={ruler.well} span={span(ruler.well)} openAt={x(Infinity)} />
        {ruler.suspects.map((s, i) => (
          <Row
            key={s.faultId}
            landing={s}
            span={span(s)}
            openAt={x(Infinity)}
            y={TOP + BAND + 8 + i * ROW}
            width={width}
          />
        ))}
        {reading !== undefined && (
          <Marker at={x(reading)} height={height} text={formatQuantity(reading, dimension)} width={width} />
        )}
      </svg>
      {asWell.length > 0 && (
        <p className="condensed text-[13.5px] text-soft">As when well: {asWell.map((s) => s.label).join(' · ')}</p>
      )}
    </div>
  );
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

function Band({ landing, span: [a, b], openAt }: { landing: Landing; span: [number, number]; openAt: number }) {
  const well = { fill: 'var(--well-wash)', stroke: 'var(--well)', strokeWidth: 2 };
  const [left, wide] = landing.openShare === 1 ? [openAt - 24, 48] : [Math.min(a, b - 4), Math.max(6, b - a)];
  const inside = wide > 74;
  return (
    <g>
      <rect x={left} y={TOP} width={wide} height={BAND} rx="4" {...well} />
      <text
        x={inside ? left + wide / 2 : left > 120 ? left - 6 : left + wide + 6}
        y={TOP + 18}
        textAnchor={inside ? 'middle' : left > 120 ? 'end' : 'start'}
        fontSize="13.5"
        fontWeight="650"
        fill="var(--well)"
      >
        when well
      </text>
    </g>
  );
}

function Row({
  landing,
  span: [a, b],
  openAt,
  y,
  width,
}: {
  landing: Landing;
  span: [number, number];
  openAt: number;
  y: number;
  width: number;
}) {
  const onlyOpen = landing.openShare === 1;
  const [left, right] = onlyOpen ? [openAt - 12, openAt + 12] : [a, Math.max(b, a + 5)];
  // Beside its bar where there is room, else on it.
  const needs = landing.label.length * LETTER + 12;
  const toLeft = right > width * 0.55 ? left > needs : width - right < needs && left > needs;
  const on = !toLeft && width - right < needs;
  return (
    <g>
      <line x1={left} x2={right} y1={y + 9} y2={y + 9} stroke="var(--lost)" strokeWidth="7" strokeLinecap="round" />
      {landing.openShare > 0 && !onlyOpen && <circle cx={openAt} cy={y + 9} r="5" fill="var(--lost)" />}
      <text
        x={on ? Math.min((left + right) / 2, width - needs / 2) : toLeft ? left - 9 : right + 9}
        y={y + 14}
        textAnchor={on ? 'middle' : toLeft ? 'end' : 'start'}
        fontSize="13"
        fill="var(--ink)"
        stroke="var(--panel)"
        strokeWidth={on ? 7 : 4}
        paintOrder="stroke"
      >
        {landing.label}
      </text>
    </g>
  );
}

function Marker({ at, height, text, width }: { at: number; height: number; text: string; width: number }) {
  const wide = 18 + text.length * 8.5;
  const left = Math.min(width - wide, Math.max(0, at - wide / 2));
  return (
    <g style={{ transition: 'transform 150ms' }}>
      <line x1={at} x2={at} y1={14} y2={height} stroke="var(--do)" strokeWidth="3" />
      <rect x={left} y={-4} width={wide} height={22} rx="5" fill="var(--do)" />
      <text x={left + wide / 2} y={12} textAnchor="middle" fontSize="14" fontWeight="700" fill="var(--on-do)">
        {text}
      </text>
    </g>
  );
}
