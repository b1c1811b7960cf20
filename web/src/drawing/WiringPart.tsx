import type { SymbolId } from '@pondu/core';
import { figureOf } from './figures.ts';
import { isFramed, LABEL_HEIGHT, LINE, REACH } from './geometry.ts';
import type { LaidPart } from './layout.ts';
import type { WiringProps } from './shown.ts';
import { EarthSign, Sign } from './Sign.tsx';

/** How far a sign reaches down from its middle. */
const beneath = (symbol: SymbolId, half: number): number => (isFramed(symbol) ? half - 2 : ROUND.has(symbol) ? 15 : 9);
const ROUND: ReadonlySet<SymbolId> = new Set(['lamp', 'motor', 'generator', 'capacitor', 'coil']);

/** A part with its label, its amperes, and how far it is suspected; a target for finger and key. */
export function WiringPart({ laid, use }: { laid: LaidPart; use: WiringProps }) {
  const { part, box, x, y } = laid;
  const { shown, picked, failed, suspicion, leads } = use;
  const { middle, half } = box;
  const figure = shown && figureOf('amps', part.id, shown.well, shown.bad);
  const share = suspicion.get(part.id) ?? 0;
  const off = leads?.unplugged.includes(part.id);
  const earthed = box.terminals.find((t) => t.earthed);
  const said = [
    part.label,
    failed === part.id && 'shown as failed',
    off && 'unplugged for this check',
    figure?.bad ? `${figure.well || '0 A'} when well, now ${figure.bad}` : figure?.well,
    share >= 0.01 && `suspected, ${Math.round(100 * share)} %`,
  ].filter(Boolean);
  return (
    <g
      transform={`translate(${x} ${y})`}
      role="button"
      tabIndex={0}
      data-part={part.id}
      aria-pressed={picked === part.id}
      aria-label={said.join(', ')}
      className="cursor-pointer outline-none [&:focus-visible>rect:first-child]:stroke-do"
      onClick={() => use.onPick(part.id)}
      onKeyDown={(e) => {
        if (e.key !== 'Enter' && e.key !== ' ') return;
        e.preventDefault();
        use.onPick(part.id);
      }}
    >
      <rect
        x="2"
        y="-2"
        width={box.width - 4}
        height={Math.max(48, box.height)}
        rx="6"
        strokeWidth={failed === part.id || picked === part.id ? 3 : 2}
        strokeDasharray={failed === part.id ? '5 3' : undefined}
        className={
          failed === part.id
            ? 'fill-transparent stroke-lost'
            : picked === part.id
              ? 'fill-sunk stroke-ink'
              : 'fill-transparent stroke-transparent'
        }
      />
      {share >= 0.01 && <rect x="8" y="-2" width={(box.width - 16) * share} height="5" className="fill-lost" />}
      {box.lines.map((text, k) => (
        <text
          key={text}
          x={middle.x}
          y={LABEL_HEIGHT - 4 - LINE * (box.lines.length - 1 - k)}
          textAnchor="middle"
          className="fill-ink text-[12.5px]"
        >
          {text}
        </text>
      ))}
      <g fill="none" className="stroke-ink" strokeWidth="1.8" strokeLinejoin="round" opacity={off ? 0.35 : 1}>
        {box.terminals.map((t) =>
          t.earthed ? (
            <g key={t.name}>
              <path
                d={`M${t.x} ${middle.y + (isFramed(part.symbol) || part.symbol === 'plug' ? half - 2 : 0)}V${t.y}`}
              />
              <EarthSign x={t.x} y={t.y} />
            </g>
          ) : (
            <path key={t.name} d={`M${t.x} ${t.y}H${middle.x + (t.side === 'left' ? -REACH : REACH)}`} />
          ),
        )}
        <g transform={`translate(${middle.x} ${middle.y})`}>
          <Sign symbol={part.symbol} half={half} />
        </g>
      </g>
      {off && (
        <text x={middle.x} y={middle.y + 20} textAnchor="middle" className="fill-lost text-[12px] font-bold">
          unplugged
        </text>
      )}
      {figure && (figure.bad ?? figure.well) && (
        <text
          x={middle.x + (earthed ? 4 : 0)}
          y={middle.y + (earthed ? half + 12 : beneath(part.symbol, half) + 13)}
          dx={earthed && earthed.x > middle.x ? -6 : earthed ? 14 : 0}
          textAnchor={!earthed ? 'middle' : earthed.x > middle.x ? 'end' : 'start'}
          className={figure.bad ? 'fill-lost text-[12px] font-bold' : 'fill-soft text-[12px]'}
        >
          {figure.bad ? `now ${figure.bad}` : figure.well}
        </text>
      )}
    </g>
  );
}
