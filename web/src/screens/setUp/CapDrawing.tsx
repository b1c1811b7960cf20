import type { SheetOf } from '@pondu/core';

const [SIZE, RING, TOWER] = [300, 98, 21];
/** The arrow of the rotor's turning goes round so much of the circle, radians. */
const ARROW = 1.6;

interface Props {
  sheet: SheetOf<'leads'>;
  found: readonly number[];
  wanted: readonly number[];
  looked: boolean;
}

/** The cap from above: which cylinder belongs at each tower, and where another's lead was found. */
export function CapDrawing({ sheet, found, wanted, looked }: Props) {
  const angle = (k: number) => (2 * Math.PI * k) / wanted.length - Math.PI / 2;
  const at = (a: number, r: number) => [SIZE / 2 + r * Math.cos(a), SIZE / 2 + r * Math.sin(a)] as const;
  const said = wanted
    .map((c, k) => `tower ${k + 1}: ${c}${looked && found[k] !== c ? `, found ${found[k]}` : ''}`)
    .join('; ');
  const way = sheet.turns === 'clockwise' ? 1 : -1;
  const [from, to] = [angle(sheet.first), angle(sheet.first) + way * ARROW];
  const [sx, sy] = at(from + way * 0.3, 46);
  const [ex, ey] = at(to, 46);
  const head = [at(to - way * 0.28, 54), at(to - way * 0.28, 38)];
  return (
    <svg
      role="img"
      aria-label={`Cap from above, rotor ${sheet.turns}: ${said}.`}
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      className="h-auto w-full max-w-[340px]"
    >
      <circle cx={SIZE / 2} cy={SIZE / 2} r={RING + TOWER + 10} fill="var(--sunk)" stroke="var(--rule)" />
      <path
        d={`M${sx},${sy} A46,46 0 0 ${way === 1 ? 1 : 0} ${ex},${ey}`}
        fill="none"
        stroke="var(--soft)"
        strokeWidth="3"
      />
      <path
        d={`M${head[0]!.join()} L${ex},${ey} L${head[1]!.join()}`}
        fill="none"
        stroke="var(--soft)"
        strokeWidth="3"
      />
      <line
        x1={SIZE / 2}
        y1={SIZE / 2}
        x2={at(from, RING - TOWER - 6)[0]}
        y2={at(from, RING - TOWER - 6)[1]}
        stroke="var(--ink)"
        strokeWidth="7"
        strokeLinecap="round"
      />
      {wanted.map((c, k) => {
        const [x, y] = at(angle(k), RING);
        const wrong = looked && found[k] !== c;
        const [ox, oy] = at(angle(k), RING + TOWER + 22);
        return (
          <g key={k}>
            <circle
              cx={x}
              cy={y}
              r={TOWER}
              fill={k === sheet.first ? 'var(--do)' : 'var(--panel)'}
              stroke={wrong ? 'var(--lost)' : 'var(--ink)'}
              strokeWidth={wrong ? 5 : 2}
              strokeDasharray={wrong ? '6 4' : undefined}
            />
            <text
              x={x}
              y={y + 7}
              textAnchor="middle"
              fontSize="21"
              fontWeight="700"
              fill={k === sheet.first ? 'var(--on-do)' : 'var(--ink)'}
            >
              {c}
            </text>
            {wrong && (
              <text x={ox} y={oy + 5} textAnchor="middle" fontSize="15" fontWeight="700" fill="var(--lost)">
                {found[k]}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
