import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';

interface Bar {
  readonly n: number;
  readonly low: number;
  readonly high: number;
  readonly value: number | undefined;
}
const [WIDTH, HEIGHT, TOP, BOTTOM] = [480, 150, 16, 20];
const MIDDLE = (WIDTH - 60) / 2;

/** Each beside the others, with the band in which it should stand; outside it, hatched as well as coloured. */
export function BesideBars({
  label,
  bars,
  said,
}: {
  label: string;
  bars: readonly Bar[];
  said: (v: number) => string;
}) {
  const top = max(bars.flatMap((b) => [b.high, b.value ?? 0]).filter(Number.isFinite)) ?? 1;
  const y = scaleLinear([0, top], [HEIGHT - BOTTOM, TOP]).nice();
  const step = (WIDTH - 60) / bars.length;
  const off = (b: Bar) => b.value !== undefined && (b.value < b.low || b.value > b.high);
  const words = bars.map((b) => {
    const reads = b.value === undefined ? 'not read' : said(b.value);
    return `${b.n}: ${reads}${off(b) ? ', out of its band' : ''}`;
  });
  return (
    <svg
      role="img"
      aria-label={`${label}. ${words.join('; ')}.`}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-xl"
    >
      <defs>
        <pattern id="off-band" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="3" height="6" fill="var(--lost)" />
        </pattern>
      </defs>
      {y.ticks(4).map((t) => (
        <g key={t}>
          <line x1="56" x2={WIDTH} y1={y(t)} y2={y(t)} stroke="var(--rule)" />
          <text x="52" y={y(t) + 4} textAnchor="end" fontSize="12" fill="var(--soft)">
            {said(t)}
          </text>
        </g>
      ))}
      {bars.map((b, k) => {
        const x = 60 + k * step;
        const wide = Math.min(step * 0.7, MIDDLE);
        return (
          <g key={b.n}>
            {Number.isFinite(b.high) && (
              <rect
                x={x}
                width={wide}
                y={y(b.high)}
                height={Math.max(2, y(b.low) - y(b.high))}
                fill="var(--well-wash, none)"
                stroke="var(--well)"
              />
            )}
            {b.value !== undefined && Number.isFinite(b.value) && (
              <rect
                x={x + wide * 0.25}
                width={wide * 0.5}
                y={y(b.value)}
                height={Math.max(1, y(0) - y(b.value))}
                fill={off(b) ? 'url(#off-band)' : 'var(--ink)'}
                stroke={off(b) ? 'var(--lost)' : 'none'}
              />
            )}
            <text x={x + wide / 2} y={HEIGHT - 5} textAnchor="middle" fontSize="13" fill="var(--ink)">
              {b.n}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
