import type { BaySummary } from '@pondu/core';

const WIDTH = 340;

/** The trail as one thin line with its suspicion, for a bay. */
export function MiniTrail({ stations, states }: Pick<BaySummary, 'stations' | 'states'>) {
  const step = WIDTH / stations.length;
  const most = Math.max(0.2, ...states.map((s) => s.share));
  const proven = states.filter((s) => s.state === 'proven').length;
  const lost = stations.find((s) => states.find((x) => x.id === s.id)?.state === 'lost here');
  const words = `${proven} of ${stations.length} stations proven${lost ? `, lost at ${lost.label}` : ''}`;
  return (
    <svg role="img" aria-label={words} viewBox={`0 0 ${WIDTH} 30`} className="h-8 w-full" preserveAspectRatio="none">
      {stations.map((station, i) => {
        const s = states.find((x) => x.id === station.id);
        const x = i * step;
        const colour = s?.state === 'lost here' ? 'var(--lost)' : s?.state === 'proven' ? 'var(--well)' : 'var(--soft)';
        const tall = ((s?.share ?? 0) / most) * 22;
        return (
          <g key={station.id}>
            <line
              x1={x}
              x2={x + step}
              y1={26}
              y2={26}
              stroke={colour}
              strokeWidth={s?.state === 'proven' ? 4 : 3}
              strokeDasharray={s?.state === 'proven' ? '' : s?.state === 'lost here' ? '2 2' : '6 4'}
            />
            <rect x={x + step / 2 - 5} y={24 - tall} width={10} height={tall} fill={colour} rx="1.5" />
          </g>
        );
      })}
    </svg>
  );
}
