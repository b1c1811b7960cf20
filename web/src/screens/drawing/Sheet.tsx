import { freeProbeId, type FreeProbe } from '@pondu/core';
import { Crosshair, Maximize, Minus, Plus } from 'lucide-react';
import { useNavigate } from 'react-router';
import { useZoom } from '../../drawing/useZoom.ts';
import { Wiring } from '../../drawing/Wiring.tsx';
import { Button } from '../../ui/Button.tsx';
import type { DrawingPageState } from './useDrawingPage.ts';
import { PROBED_IN } from './words.ts';

const CLOSER = 1.3;
const ARROWS: Readonly<Record<string, 1 | -1>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** The next part along the wires from the one that has the focus, the way the arrow points. */
function alongWires(page: DrawingPageState, from: string, way: 1 | -1): string | undefined {
  const { parts, wires } = page.view!.drawing;
  const next = (id: string) =>
    wires.flatMap(({ from: f, to: t }) => (way === 1 ? (f.of === id ? [t.of] : []) : t.of === id ? [f.of] : []));
  const isPart = (id: string) => parts.some((p) => p.id === id);
  return next(from).flatMap((id) => (isPart(id) ? [id] : next(id).filter(isPart)))[0];
}

/** Where it opens: at the red lead of the next check, at the fault that is shown, or at the battery. */
function focusOf({ laid, leads, fault }: DrawingPageState): { x: number; y: number } | undefined {
  const { parts } = laid!;
  const part =
    parts.find((p) => p.part.ports.some((t) => t.node === leads?.red && !t.earthed)) ??
    parts.find((p) => p.part.id === fault?.part) ??
    parts.find((p) => p.part.symbol === 'battery');
  return part && { x: part.x + part.box.middle.x, y: part.y + part.box.middle.y };
}

/** The drawing itself: dragged, pinched, walked with the arrow keys; in a job, two taps make a probe. */
export function Sheet({ page, onPick }: { page: DrawingPageState; onPick: (part: string) => void }) {
  const laid = page.laid!;
  const { svg, viewBox, transform, fit, by } = useZoom(laid, focusOf(page));
  const go = useNavigate();
  const { probe, setProbe, jobId } = page;

  function tapped(node: string) {
    if (!probe?.live) return setProbe({ live: node });
    if (probe.live === node) return setProbe({});
    const made: FreeProbe = {
      instrument: 'voltmeter',
      live: probe.live,
      earth: node,
      state: PROBED_IN[page.state],
      unplugged: [],
    };
    const query = new URLSearchParams({ check: freeProbeId(made), probe: JSON.stringify(made) });
    void go(`/jobs/${jobId}/trace?${query.toString()}`);
  }
  function walk(key: string, target: EventTarget) {
    const at = (target as Element).closest<SVGGElement>('[data-part]')?.dataset['part'];
    const way = ARROWS[key];
    const to = at && way && alongWires(page, at, way);
    if (to) svg.current?.querySelector<SVGGElement>(`[data-part="${CSS.escape(to)}"]`)?.focus();
    return Boolean(to);
  }
  return (
    <section className="card relative overflow-hidden" aria-label="Wiring diagram">
      <svg
        id="wiring"
        ref={svg}
        data-width={laid.width}
        data-height={laid.height}
        viewBox={viewBox}
        className="block h-[66vh] min-h-80 w-full touch-none bg-panel select-none print:h-[150mm]"
        onKeyDown={(e) => {
          if (walk(e.key, e.target)) e.preventDefault();
        }}
      >
        <g data-view transform={transform}>
          <Wiring
            laid={laid}
            shown={page.live}
            picked={page.picked}
            failed={page.fault?.part}
            leads={page.leads}
            suspicion={page.suspicion}
            taken={page.taken}
            proven={page.proven}
            onPick={onPick}
            probing={probe !== undefined}
            onTerminal={tapped}
          />
        </g>
      </svg>
      <div className="no-print absolute right-2 bottom-2 flex gap-2">
        {jobId && (
          <Button onClick={() => setProbe(probe ? undefined : {})} aria-pressed={probe !== undefined}>
            <Crosshair aria-hidden className="size-5" /> {probe ? 'Leave probing' : 'Probe'}
          </Button>
        )}
        <Button onClick={() => by(CLOSER)} aria-label="Closer">
          <Plus aria-hidden className="size-5" />
        </Button>
        <Button onClick={() => by(1 / CLOSER)} aria-label="Further away">
          <Minus aria-hidden className="size-5" />
        </Button>
        <Button onClick={fit} aria-label="All of it">
          <Maximize aria-hidden className="size-5" />
        </Button>
      </div>
      {probe && (
        <p role="status" className="no-print absolute top-2 left-2 rounded-lg bg-ink px-3 py-2 text-panel">
          {probe.live ? 'Now tap where the black lead goes.' : 'Tap the terminal for the red lead.'}
        </p>
      )}
    </section>
  );
}
