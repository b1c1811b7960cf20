import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useWidth } from './useWidth.ts';

const [USUAL, MOST, RIGHT, LEFT, BOTTOM, TOP] = [640, 896, 12, 58, 26, 10];
/** Room that a label along the bottom takes, pixels. */
const LABEL = 90;
/** So near the right end a label would be cut off if it stood in the middle. */
const EDGE = 30;

export interface ChartBand {
  readonly at: readonly number[];
  readonly low: readonly number[];
  readonly high: readonly number[];
  readonly label: string;
  /** Drawn as hatching in place of a plain ground. */
  readonly second?: boolean;
}
export interface ChartLine {
  readonly at: readonly number[];
  readonly values: readonly number[];
  readonly label: string;
  readonly tone: 'ink' | 'lost' | 'well' | 'warn';
  readonly dash?: string;
}
export interface ChartDot {
  readonly x: number;
  readonly y: number;
  readonly hollow?: boolean;
  /** Drawn as a square in place of a disc. */
  readonly square?: boolean;
  readonly label: string;
}

interface Props {
  /** What it shows, read out in place of the picture. */
  summary: string;
  xWords: (x: number) => string;
  yWords: (y: number) => string;
  bands?: readonly ChartBand[];
  lines?: readonly ChartLine[];
  dots?: readonly ChartDot[];
  height?: number;
  /** What lies along the bottom and up the side, in a few words. */
  axes?: string;
  /** A figure that must be on the scale. */
  floor?: number;
}

const TONES = { ink: 'var(--ink)', lost: 'var(--lost)', well: 'var(--well)', warn: 'var(--warn)' } as const;

/** Bands, lines and dots on one ground, from computed data; told apart by line and shape as well as by colour. */
export function Chart({
  summary,
  xWords,
  yWords,
  bands = [],
  lines = [],
  dots = [],
  height = 240,
  axes,
  floor,
}: Props) {
  const xs = [...bands, ...lines].flatMap((s) => [...s.at]).concat(dots.map((d) => d.x));
  const ys = [
    ...bands.flatMap((b) => [...b.low, ...b.high]),
    ...lines.flatMap((l) => [...l.values]),
    ...dots.map((d) => d.y),
  ];
  if (floor !== undefined) ys.push(floor);
  const [figure, given] = useWidth<HTMLElement>(USUAL);
  const width = Math.min(MOST, given);
  if (xs.length === 0) return <figure ref={figure} className="m-0" />;
  const spread = ([low, high]: [number, number]): [number, number] =>
    low === high ? [low - 1, high + 1] : [low, high];
  const x = scaleLinear(spread(extent(xs) as [number, number]), [LEFT, width - RIGHT]);
  const y = scaleLinear(spread(extent(ys) as [number, number]), [height - BOTTOM, TOP]).nice();
  const path = (l: ChartLine) =>
    line<number>()
      .x((_v, k) => x(l.at[k]!))
      .y((v) => y(v))([...l.values]) ?? '';
  const ground = (b: ChartBand) =>
    area<number>()
      .x((_v, k) => x(b.at[k]!))
      .y0((_v, k) => y(b.low[k]!))
      .y1((_v, k) => y(b.high[k]!))([...b.at]) ?? '';
  return (
    <figure ref={figure} className="m-0">
      <svg role="img" aria-label={summary} viewBox={`0 0 ${width} ${height}`} className="block h-auto w-full max-w-4xl">
        {y.ticks(5).map((t) => (
          <g key={t}>
            <line x1={LEFT} x2={width - RIGHT} y1={y(t)} y2={y(t)} stroke="var(--rule)" />
            <text x={LEFT - 6} y={y(t) + 4} textAnchor="end" fontSize="13" fill="var(--soft)">
              {yWords(t)}
            </text>
          </g>
        ))}
        {x.ticks(Math.max(2, Math.floor(width / LABEL))).map((t) => (
          <text
            key={t}
            x={x(t)}
            y={height - 7}
            textAnchor={x(t) > width - EDGE ? 'end' : 'middle'}
            fontSize="13"
            fill="var(--soft)"
          >
            {xWords(t)}
          </text>
        ))}
        {bands.map((b) => (
          <path
            key={b.label}
            d={ground(b)}
            fill="var(--well)"
            fillOpacity={b.second ? 0.1 : 0.24}
            stroke="var(--well)"
            strokeWidth={b.second ? 1 : 0}
            strokeDasharray="3 3"
          />
        ))}
        {lines.map((l) => (
          <path key={l.label} d={path(l)} fill="none" stroke={TONES[l.tone]} strokeWidth="2" strokeDasharray={l.dash} />
        ))}
        {dots.map((d, k) => {
          const look = {
            fill: d.hollow ? 'var(--panel)' : 'var(--do)',
            stroke: d.hollow ? 'var(--soft)' : 'var(--ink)',
            strokeWidth: 1.8,
          };
          return d.square ? (
            <rect key={k} x={x(d.x) - 5} y={y(d.y) - 5} width="10" height="10" {...look}>
              <title>{d.label}</title>
            </rect>
          ) : (
            <circle key={k} cx={x(d.x)} cy={y(d.y)} r="5.5" {...look}>
              <title>{d.label}</title>
            </circle>
          );
        })}
      </svg>
      <figcaption className="flex flex-wrap gap-x-5 text-[14px] text-soft">
        {axes && <span className="basis-full text-right">{axes}</span>}
        {bands.map((b) => (
          <span key={b.label} className="flex items-center gap-1.5">
            <span
              aria-hidden
              className={`inline-block h-3 w-5 ${b.second ? 'border border-dashed border-well' : 'bg-well/25'}`}
            />
            {b.label}
          </span>
        ))}
        {lines.map((l) => (
          <span key={l.label} className="flex items-center gap-1.5">
            <svg aria-hidden width="22" height="8">
              <line x1="0" x2="22" y1="4" y2="4" stroke={TONES[l.tone]} strokeWidth="2" strokeDasharray={l.dash} />
            </svg>
            {l.label}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}
