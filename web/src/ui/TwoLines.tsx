import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';

const [WIDTH, HEIGHT, LEFT, BOTTOM] = [640, 210, 62, 24];
/** So near the right end a label would be cut off if it stood in the middle. */
const EDGE = 30;

export interface Curve {
  readonly at: readonly number[];
  readonly values: readonly number[];
}

/** Two curves over one another, told apart by line as well as colour; `peak` says each in a word. */
export function TwoLines({
  name,
  well,
  ill,
  illName,
  said,
  atWords,
  peak,
}: {
  name: string;
  well: Curve;
  ill: Curve | undefined;
  illName: string;
  /** A value, and a place along the curve, in words. */
  said: (value: number) => string;
  atWords: (at: number) => string;
  /** What is said of a whole curve, such as its peak. */
  peak: (curve: Curve) => string;
}) {
  const all = ill ? [...well.values, ...ill.values] : well.values;
  const places = ill ? [...well.at, ...ill.at] : well.at;
  const x = scaleLinear(extent(places) as [number, number], [LEFT, WIDTH - 8]);
  const y = scaleLinear(extent([...all, 0]) as [number, number], [HEIGHT - BOTTOM, 8]).nice();
  const path = (c: Curve) =>
    line<number>()
      .x((_v, k) => x(c.at[k]!))
      .y((v) => y(v))(c.values as number[]) ?? '';
  const summary = `${name}: ${peak(well)} when well` + (ill ? `, ${peak(ill)} with ${illName}.` : '.');
  return (
    <figure>
      <svg role="img" aria-label={summary} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="h-auto w-full max-w-4xl">
        {y.ticks(5).map((t) => (
          <g key={t}>
            <line x1={LEFT} x2={WIDTH - 8} y1={y(t)} y2={y(t)} stroke="var(--rule)" />
            <text x={LEFT - 6} y={y(t) + 4} textAnchor="end" fontSize="12" fill="var(--soft)">
              {said(t)}
            </text>
          </g>
        ))}
        {x.ticks(6).map((t) => (
          <text
            key={t}
            x={x(t)}
            y={HEIGHT - 6}
            textAnchor={x(t) > WIDTH - EDGE ? 'end' : 'middle'}
            fontSize="12"
            fill="var(--soft)"
          >
            {atWords(t)}
          </text>
        ))}
        <path d={path(well)} fill="none" stroke="var(--well)" strokeWidth="2" />
        {ill && <path d={path(ill)} fill="none" stroke="var(--lost)" strokeWidth="2" strokeDasharray="6 3" />}
      </svg>
      <figcaption className="flex flex-wrap gap-x-5 text-[14px]">
        <span className="text-well">— when well, {peak(well)}</span>
        {ill && (
          <span className="text-lost">
            - - {illName}, {peak(ill)}
          </span>
        )}
      </figcaption>
    </figure>
  );
}
