import { figureOf } from './figures.ts';
import { DOT, type LaidPlace, type LaidWire, type Point } from './layout.ts';
import type { Shown, WiringProps } from './shown.ts';
import { VALUE } from './values.ts';
import { Taken, Terminals, WiringLeads } from './WiringLeads.tsx';
import { WiringPart } from './WiringPart.tsx';

const pathOf = (points: readonly Point[]) => points.map(({ x, y }, k) => `${k ? 'L' : 'M'}${x} ${y}`).join('');

/** Wires with the volts of their node; what a fault changes is boxed and said in words, not by colour alone. */
function Wire({ laid, shown }: { laid: LaidWire; shown: Shown | undefined }) {
  const { wire, points } = laid;
  const figure = shown && figureOf('volts', wire.node, shown.well, shown.bad);
  return (
    <path
      d={pathOf(points)}
      fill="none"
      className={figure?.bad ? 'stroke-lost' : 'stroke-ink'}
      strokeWidth={figure?.bad ? 3.5 : wire.highTension ? 3 : 1.8}
      strokeDasharray={wire.highTension ? '8 3' : undefined}
    />
  );
}

/** The volts of a node; with a fault those it has now, boxed. Drawn over all else: nothing hides a figure. */
function Value({ laid: { wire, value }, shown }: { laid: LaidWire; shown: Shown | undefined }) {
  const figure = shown && figureOf('volts', wire.node, shown.well, shown.bad);
  if (!value || !figure || !(figure.bad ?? figure.well)) return null;
  const middle = VALUE.width / 2;
  return (
    <g transform={`translate(${value.x} ${value.y})`} data-volts={wire.node}>
      {figure.bad && (
        <rect
          x={middle - NOW / 2}
          y="-16"
          width={NOW}
          height="31"
          rx="3"
          className="fill-panel stroke-lost"
          strokeWidth="2"
        />
      )}
      <text x={middle} y={figure.bad ? -4 : 11} textAnchor="middle" className="fill-soft text-[12px]">
        {figure.well}
      </text>
      {figure.bad && (
        <text x={middle} y="11" textAnchor="middle" className="fill-lost text-[12px] font-bold">
          now {figure.bad}
        </text>
      )}
    </g>
  );
}
/** Width of the box about what a fault has changed. */
const NOW = 80;

function PlaceDot({ laid: { place, x, y } }: { laid: LaidPlace }) {
  if (!place.leaves) return <circle cx={x + DOT / 2} cy={y + DOT / 2} r="4" className="fill-ink" />;
  return (
    <text x={x + 6} y={y + 15} className="fill-soft text-[12px]">
      → {place.label}
    </text>
  );
}

/** A laid-out drawing, alive. `probing` puts terminals on top, to be tapped. */
export function Wiring(props: WiringProps & { probing: boolean }) {
  const { laid, shown } = props;
  return (
    <>
      {laid.wires.map((w) => (
        <Wire key={w.wire.id} laid={w} shown={shown} />
      ))}
      {laid.joins.map(({ x, y }) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r="4" className="fill-ink" />
      ))}
      {laid.places.map((p) => (
        <PlaceDot key={p.place.id} laid={p} />
      ))}
      {laid.parts.map((p) => (
        <WiringPart key={p.part.id} laid={p} use={props} />
      ))}
      {laid.wires.map((w) => (
        <Value key={w.wire.id} laid={w} shown={shown} />
      ))}
      <Taken laid={laid} taken={props.taken} />
      <WiringLeads laid={laid} leads={props.leads} />
      {props.probing && <Terminals laid={laid} onTerminal={props.onTerminal} />}
    </>
  );
}
