import type { Balance } from '@pondu/core';
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';

const [WIDTH, HEIGHT, LEFT, BOTTOM, TOP] = [520, 220, 40, 34, 12];
const amps = (value: number): string => `${value.toFixed(value < 10 ? 1 : 0)} A`;
const hours = (value: number): string =>
  value < 1.5 ? `${Math.round(value * 60)} minutes` : `${value.toFixed(value < 10 ? 1 : 0)} hours`;

/** What the loads take against what the machine gives over its speed: drawn, and in words. */
export function BalancePanel({ balance: b }: { balance: Balance }) {
  const last = b.points[b.points.length - 1]!;
  const most = Math.max(b.takes, max(b.points, (p) => p.gives) ?? 0) * 1.15;
  const x = scaleLinear([0, last.rpm], [LEFT, WIDTH - 8]);
  const y = scaleLinear([0, most], [HEIGHT - BOTTOM, TOP]);
  const gives = line<Balance['points'][number]>(
    (p) => x(p.rpm),
    (p) => y(p.gives),
  );
  const lacking = area<Balance['points'][number]>(
    (p) => x(p.rpm),
    () => y(b.takes),
    (p) => y(Math.min(b.takes, p.gives)),
  );
  const idle = b.points.reduce((best, p) => (Math.abs(p.rpm - b.idleRpm) < Math.abs(best.rpm - b.idleRpm) ? p : best));
  const words = [
    `All on it takes ${amps(b.takes)} at ${b.volts.toFixed(1)} V; idling it gives ${amps(idle.gives)}.`,
    b.evenRpm === null
      ? 'It never gives as much as is taken.'
      : `From ${Math.round(b.evenRpm / 50) * 50} rev/min on it gives more than is taken.`,
    b.hoursToFlat === null ? 'Idling, the battery holds.' : `Idling, the battery is down in ${hours(b.hoursToFlat)}.`,
    b.hoursToFull === null ? 'Fast, it is not filled.' : `Fast, it is full again in ${hours(b.hoursToFull)}.`,
  ];
  return (
    <section className="card p-4" aria-label="Balance of charging">
      <h2 className="text-lg">What it gives, and what is taken</h2>
      <svg role="img" aria-label={words.join(' ')} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="mt-1 w-full">
        <path d={lacking(b.points.filter((p) => p.gives < b.takes)) ?? ''} fill="var(--lost)" opacity="0.18" />
        {y.ticks(4).map((t) => (
          <g key={t}>
            <line x1={LEFT} x2={WIDTH - 8} y1={y(t)} y2={y(t)} stroke="var(--rule)" />
            <text x={LEFT - 6} y={y(t) + 4} textAnchor="end" fontSize="12" fill="var(--soft)">
              {t} A
            </text>
          </g>
        ))}
        {x.ticks(5).map((t) => (
          <text key={t} x={x(t)} y={HEIGHT - BOTTOM + 16} textAnchor="middle" fontSize="12" fill="var(--soft)">
            {t}
          </text>
        ))}
        <text x={WIDTH - 8} y={HEIGHT - 4} textAnchor="end" fontSize="12" fill="var(--soft)">
          engine, rev/min
        </text>
        <line
          x1={LEFT}
          x2={WIDTH - 8}
          y1={y(b.takes)}
          y2={y(b.takes)}
          stroke="var(--lost)"
          strokeWidth="2.5"
          strokeDasharray="7 4"
        />
        <text x={LEFT + 6} y={y(b.takes) - 6} fontSize="12.5" fontWeight="600" fill="var(--lost)">
          taken
        </text>
        <path d={gives(b.points) ?? ''} fill="none" stroke="var(--well)" strokeWidth="3" />
        <text
          x={x(last.rpm) - 4}
          y={y(last.gives) - 6}
          textAnchor="end"
          fontSize="12.5"
          fontWeight="600"
          fill="var(--well)"
        >
          given
        </text>
        <line
          x1={x(b.idleRpm)}
          x2={x(b.idleRpm)}
          y1={TOP}
          y2={HEIGHT - BOTTOM}
          stroke="var(--soft)"
          strokeDasharray="2 4"
        />
        <text x={x(b.idleRpm) + 4} y={HEIGHT - BOTTOM - 5} fontSize="12" fill="var(--soft)">
          idle
        </text>
      </svg>
      <ul className="mt-1 grid gap-0.5 text-[14.5px]">
        {words.map((w) => (
          <li key={w}>{w}</li>
        ))}
      </ul>
      <p className="mt-1 text-[13px] text-soft">
        {b.items.length > 0
          ? `${b.items.map((i) => `${i.label} ${amps(i.amps)}`).join(', ')}. `
          : 'Consumers are not listed: what such a machine usually takes stands for them. '}
        Averages of a sound machine, battery of {Math.round(b.ampHours)} Ah from a quarter to full.
      </p>
    </section>
  );
}
