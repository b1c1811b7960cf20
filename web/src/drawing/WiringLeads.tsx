import type { Laid } from './layout.ts';
import { pressed } from './pressed.ts';
import type { WiringProps } from './shown.ts';

const LEAD = { red: 'fill-danger', black: 'fill-ink' } as const;
interface Spot {
  readonly part: string;
  readonly x: number;
  readonly y: number;
}
/** Terminals at which a node can be touched: where a wire ends, and only where none does at a sign of earth. */
function spotsOf(laid: Laid, node: string): Spot[] {
  const all = laid.parts.flatMap(({ part, box, x, y }) =>
    box.terminals.flatMap((t) =>
      t.node === node ? [{ part: part.label, x: x + t.x, y: y + t.y, earthed: t.earthed }] : [],
    ),
  );
  const wired = all.filter((s) => !s.earthed);
  return wired.length ? wired : all;
}
/** Where the two leads of a check go: earth is touched where it is near. */
function spots(laid: Laid, leads: NonNullable<WiringProps['leads']>): Partial<Record<'red' | 'black', Spot>> {
  const [reds, blacks] = [spotsOf(laid, leads.red), spotsOf(laid, leads.black)];
  const apart = (a: Spot, b: Spot) => Math.hypot(a.x - b.x, a.y - b.y);
  const pairs = reds.flatMap((red) => blacks.map((black) => ({ red, black })));
  const [nearest] = pairs.sort((p, q) => apart(p.red, p.black) - apart(q.red, q.black));
  if (nearest) return nearest;
  const [red, black] = [reds[0], blacks[0]];
  return { ...(red && { red }), ...(black && { black }) };
}

/** The two leads of a check, or of a probe that is being placed. */
export function WiringLeads({ laid, leads }: { laid: Laid; leads: WiringProps['leads'] }) {
  if (!leads) return null;
  const found = spots(laid, leads);
  return (['red', 'black'] as const).map((which) => {
    const spot = found[which];
    if (!spot) return null;
    return (
      <g key={which} transform={`translate(${spot.x} ${spot.y})`} data-lead={which} pointerEvents="none">
        <path d={which === 'red' ? 'M0 0L-9 -22H9Z' : 'M0 0L-9 22H9Z'} className={LEAD[which]} />
        <text
          y={which === 'red' ? -26 : 36}
          textAnchor="middle"
          className={`text-[13px] font-bold ${LEAD[which]}`}
          aria-label={`${which} lead: ${spot.part}`}
        >
          {which}
        </text>
      </g>
    );
  });
}

/** What was read, each at the first terminal of its node; several at one place under one another. */
export function Taken({ laid, taken }: { laid: Laid; taken: WiringProps['taken'] }) {
  const seen = new Map<string, number>();
  return taken.map(({ node, words }, k) => {
    const [spot] = spotsOf(laid, node);
    if (!spot) return null;
    const row = seen.get(node) ?? 0;
    seen.set(node, row + 1);
    return (
      <g key={k} transform={`translate(${spot.x} ${spot.y + 20 + 18 * row})`} data-taken={node} pointerEvents="none">
        <rect x="-34" y="-12" width="68" height="17" rx="8" className="fill-ink" />
        <text textAnchor="middle" className="fill-panel text-[12px]">
          {words}
        </text>
      </g>
    );
  });
}

/** Terminals as targets of a finger: 48 units across, so that a probe is two taps. */
export function Terminals({ laid, onTerminal }: { laid: Laid; onTerminal: WiringProps['onTerminal'] }) {
  return laid.parts.flatMap(({ part, box, x, y }) =>
    box.terminals.map((t) => (
      <circle
        key={`${part.id}#${t.name}`}
        cx={x + t.x}
        cy={y + t.y}
        r="24"
        {...pressed(() => onTerminal(t.node))}
        aria-label={`Lead on ${part.label}, ${t.name}`}
        data-node={t.node}
        className="cursor-crosshair fill-do/15 stroke-do outline-none hover:fill-do/40 focus-visible:fill-do/40"
      />
    )),
  );
}
