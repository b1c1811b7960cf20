import { fromSi, unitBySymbol, type Landing, type Ruler } from '@pondu/core';
import { scaleLinear } from 'd3-scale';
import { arc } from 'd3-shape';
import { Choice } from '../ui/Choice.tsx';
import { GAUGE_UNITS, showsVacuum, type GaugeUnit } from './gaugeUnit.ts';
import { showQuantity } from '../units/quantity.ts';

const OPTIONS = GAUGE_UNITS.map((u) => ({ value: u, label: u }));

/** Two thirds of a turn, from lower left to lower right; radians, nothing upwards. */
const FROM = -2.1;
const TO = 2.1;
const RADIUS = 78;
const SHOWN = 2;
const finite = (v: number): boolean => Number.isFinite(v);

const ring = (inner: number, outer: number, from: number, to: number): string =>
  arc()({ innerRadius: inner, outerRadius: outer, startAngle: Math.min(from, to), endAngle: Math.max(from, to) }) ?? '';

/** A gauge as it would stand: the band when all is well, where the leading suspects would put it, its needle as it is typed. */
export function GaugeFace({
  ruler,
  reading,
  unit,
  setUnit,
}: {
  ruler: Ruler;
  reading: number | undefined;
  unit: GaugeUnit;
  setUnit: (unit: GaugeUnit) => void;
}) {
  const suspects = ruler.suspects.filter((s) => finite(s.low) && finite(s.high)).slice(0, SHOWN);
  const ends = [ruler.well, ...suspects].flatMap((l) => [l.low, l.high]).filter(finite);
  const all = [0, ...ends, ...(reading !== undefined && finite(reading) ? [reading] : [])];
  // Marks stand at round figures of the unit that is shown.
  const own = unitBySymbol(unit);
  const round = scaleLinear([fromSi(Math.min(...all), own), fromSi(Math.max(...all), own)], [FROM, TO]).nice(6);
  const angle = (pascals: number) => round(fromSi(pascals, own));
  const said = (v: number) => showQuantity(v, 'pressure', { unit });
  const words = (l: Landing) => `${said(l.low)} to ${said(l.high)}`;
  const label = [
    `When well ${words(ruler.well)}.`,
    ...suspects.map((s) => `${s.label}: ${words(s)}.`),
    ...(reading === undefined ? [] : [`The needle at ${said(reading)}.`]),
  ].join(' ');
  const at = (radius: number, a: number) => [radius * Math.sin(a), -radius * Math.cos(a)] as const;
  return (
    <div className="flex flex-wrap items-center gap-4">
      <svg role="img" aria-label={label} viewBox="-125 -100 250 165" className="w-full max-w-[300px]">
        <path d={ring(RADIUS - 3, RADIUS, FROM, TO)} fill="var(--soft)" />
        <path
          d={ring(RADIUS - 16, RADIUS - 4, angle(ruler.well.low), angle(ruler.well.high))}
          fill="var(--well)"
          opacity="0.5"
        />
        {suspects.map((s, k) => (
          <path
            key={s.faultId}
            d={ring(RADIUS - 24 - k * 8, RADIUS - 19 - k * 8, angle(s.low), angle(s.high) + 0.02)}
            fill="var(--lost)"
          />
        ))}
        {round.ticks(6).map((t) => {
          const [x1, y1] = at(RADIUS, round(t));
          const [x2, y2] = at(RADIUS + 5, round(t));
          const [x, y] = at(RADIUS + 16, round(t));
          return (
            <g key={t}>
              <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="var(--ink)" strokeWidth="1.5" />
              <text x={x} y={y + 4} textAnchor="middle" fontSize="10.5" fill="var(--soft)">
                {String(t).replace('-', '−')}
              </text>
            </g>
          );
        })}
        {reading !== undefined && finite(reading) && (
          <line
            x1="0"
            y1="0"
            x2={at(RADIUS - 8, angle(reading))[0]}
            y2={at(RADIUS - 8, angle(reading))[1]}
            stroke="var(--ink)"
            strokeWidth="3"
            strokeLinecap="round"
          />
        )}
        <circle r="5" fill="var(--ink)" />
        <text y="34" textAnchor="middle" fontSize="12" fill="var(--soft)">
          {unit}
        </text>
      </svg>
      <div className="grid gap-2">
        <Choice label="Gauge in" value={unit} options={OPTIONS} onChange={setUnit} />
        <p className="text-[13px] text-soft">
          {showsVacuum(ruler)
            ? 'A bare number is vacuum in this unit, no minus needed; others with theirs, such as 18 inHg.'
            : 'A bare number is in this unit; others with theirs, such as 3 psi. Below nothing is vacuum.'}
        </p>
      </div>
    </div>
  );
}
