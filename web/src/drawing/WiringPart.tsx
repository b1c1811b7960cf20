import type { SymbolId } from '@pondu/core';
import { figureOf } from './figures.ts';
import { isFramed, type Box, LABEL_HEIGHT, LINE, REACH } from './geometry.ts';
import type { LaidPart } from './layout.ts';
import { pressed } from './pressed.ts';
import type { WiringProps } from './shown.ts';
import { EarthSign, Sign } from './Sign.tsx';

/** How far a sign reaches down from its middle. */
const beneath = (symbol: SymbolId, half: number): number => (isFramed(symbol) ? half - 2 : (REACHES_DOWN[symbol] ?? 9));
const REACHES_DOWN: Partial<Record<SymbolId, number>> = {
  lamp: 15,
  motor: 15,
  generator: 15,
  capacitor: 15,
  coil: 15,
  points: 19,
};

/** A part with its label, its amperes, and how far it is suspected; a target for finger and key. */
export function WiringPart({ laid, use }: { laid: LaidPart; use: WiringProps }) {
  const { part, box, x, y } = laid;
  const { shown, picked, failed, suspicion, leads } = use;
  const { middle, half } = box;
  const figure = shown && figureOf('amps', part.id, shown.well, shown.bad);
  const share = suspicion.get(part.id) ?? 0;
  const proven = use.proven.has(part.station);
  const off = leads?.unplugged.includes(part.id);
  const earthed = box.terminals.find((t) => t.earthed);
  const said = [
    part.label,
    failed === part.id && 'shown as failed',
    off && 'unplugged for this check',
    proven && 'proven',
    figure?.bad ? `${figure.well || '0 A'} when well, now ${figure.bad}` : figure?.well,
    share >= SHOWN_FROM && `suspected, ${Math.round(100 * share)} %`,
  ].filter(Boolean);
  const labelEnds = LABEL_HEIGHT - 4;
  return (
    <g transform={`translate(${x} ${y})`}>
      <g
        {...pressed(() => use.onPick(part.id))}
        data-part={part.id}
        aria-pressed={picked === part.id}
        aria-label={said.join(', ')}
        className="cursor-pointer outline-none [&:focus-visible>rect]:stroke-do"
      >
        <rect
          x="2"
          y="-2"
          width={box.width - 4}
          height={Math.max(48, box.height)}
          rx="6"
          strokeWidth={failed === part.id || picked === part.id ? 3 : 2}
          strokeDasharray={failed === part.id ? '5 3' : undefined}
          className={frameOf(part.id, picked, failed)}
        />
        <text textAnchor="middle" className="fill-ink text-[12.5px]">
          {box.lines.map((text, k) => (
            <tspan key={text} x={middle.x} y={labelEnds - LINE * (box.lines.length - 1 - k)}>
              {k > 0 && ' '}
              {text}
            </tspan>
          ))}
        </text>
      </g>
      <g pointerEvents="none" aria-hidden>
        {share >= SHOWN_FROM && <rect x="8" y="-2" width={(box.width - 16) * share} height="5" className="fill-lost" />}
        <g fill="none" className="stroke-ink" strokeWidth="1.8" strokeLinejoin="round" opacity={off ? 0.35 : 1}>
          <Terminals box={box} symbol={part.symbol} />
          <g transform={`translate(${middle.x} ${middle.y})`}>
            <Sign symbol={part.symbol} half={half} />
          </g>
        </g>
        {proven && (
          <text x={middle.x + REACH + 4} y={middle.y - 8} className="fill-well text-[13px] font-bold">
            ✓
          </text>
        )}
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
    </g>
  );
}
/** Suspicion below this is not drawn. */
const SHOWN_FROM = 0.01;

function frameOf(id: string, picked: string | undefined, failed: string | undefined): string {
  if (failed === id) return 'fill-transparent stroke-lost';
  return picked === id ? 'fill-sunk stroke-ink' : 'fill-transparent stroke-transparent';
}

/** From the sign's ends to its terminals, and the sign of earth. */
function Terminals({ box: { terminals, middle, half }, symbol }: { box: Box; symbol: SymbolId }) {
  const fromEdge = isFramed(symbol) || symbol === 'plug';
  return terminals.map((t) =>
    t.earthed ? (
      <g key={t.name}>
        <path d={`M${t.x} ${middle.y + (fromEdge ? half - 2 : 0)}V${t.y}`} />
        <EarthSign x={t.x} y={t.y} />
      </g>
    ) : (
      <path key={t.name} d={`M${t.x} ${t.y}H${middle.x + (t.side === 'left' ? -REACH : REACH)}`} />
    ),
  );
}
