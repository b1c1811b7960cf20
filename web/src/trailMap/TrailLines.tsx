import type { ModelView, StationState, TraceView, TrailName } from '@pondu/core';
import { percent } from '../words/belief.ts';
import { TRAIL_LABELS } from '../words/trails.ts';
import { TrailMap, WRITTEN_FROM, type Tap } from './TrailMap.tsx';

interface Props {
  model: Pick<ModelView, 'trails'>;
  states: readonly StationState[];
  shares: TraceView['trails'];
  /** The trail that is open; the one most suspected when none was chosen. */
  open: TrailName | undefined;
  onOpen: (trail: TrailName) => void;
  selected: string | undefined;
  onSelect: (station: string) => void;
  taps: readonly Tap[];
  onTap: (checkId: string) => void;
  /** What stands at the end of the row of trails. */
  children?: React.ReactNode;
}

/** Which of the machine's lines is open: the one chosen, the one of the station in hand, else the most suspected. */
function openTrail({ model, shares, open, selected }: Pick<Props, 'model' | 'shares' | 'open' | 'selected'>) {
  const told = model.trails.map((t) => t.id);
  const holds = (t: ModelView['trails'][number]) => t.stations.some((s) => s.id === selected);
  return (
    told.find((t) => t === open) ??
    model.trails.find(holds)?.id ??
    shares.map((s) => s.trail).find((t) => told.some((x) => x === t)) ??
    told[0]!
  );
}

/** Every trail of the machine as a line into the engine with its share of suspicion; the one being walked lies open. */
export function TrailLines(props: Props) {
  const { model, states, shares, onOpen, selected, onSelect, taps, onTap } = props;
  const shown = openTrail(props);
  const trail = model.trails.find((t) => t.id === shown)!;
  const shareOf = (t: TrailName) => shares.find((s) => s.trail === t)?.share ?? 0;
  const told = model.trails.map((t) => t.id as TrailName);
  const untold = shares.filter((s) => !told.includes(s.trail) && s.share >= 0.005);
  return (
    <div className="grid gap-1">
      <div className="lines">
        <div role="tablist" aria-label="Trails of this machine" className="lines-told">
          {told.map((t) => (
            <button
              key={t}
              type="button"
              role="tab"
              aria-selected={t === shown}
              aria-controls="open-trail"
              onClick={() => onOpen(t)}
            >
              <span>{TRAIL_LABELS[t]}</span>
              <TrailShareBar share={shareOf(t)} />
            </button>
          ))}
        </div>
        {untold.length > 0 && (
          <ul className="lines-untold" aria-label="Not told: elsewhere">
            {untold.map(({ trail: t, share }) => (
              <li key={t}>
                {TRAIL_LABELS[t]} <b>{percent(share)}</b>
              </li>
            ))}
          </ul>
        )}
        {props.children}
      </div>
      <div id="open-trail" role="tabpanel" aria-label={TRAIL_LABELS[shown]}>
        <TrailMap stations={trail.stations} {...{ states, selected, onSelect, taps, onTap }} />
      </div>
    </div>
  );
}

/** A trail's share of the suspicion, as a bar and in figures. */
function TrailShareBar({ share }: { share: number }) {
  return (
    <>
      <span aria-hidden className="lines-bar" style={{ width: `${Math.round(share * FULL_BAR_PX)}px` }} />
      <b className="whitespace-nowrap">{percent(share)}</b>
    </>
  );
}
const FULL_BAR_PX = 64;

/** The map in one line: the trail in hand, where on it most is suspected, and how much. */
export function TrailLine({
  model,
  states,
  shares,
  open,
  selected,
}: Pick<Props, 'model' | 'states' | 'shares' | 'open' | 'selected'>) {
  const trail = model.trails.find((t) => t.id === openTrail({ model, shares, open, selected }))!;
  const own = states.filter((s) => trail.stations.some((t) => t.id === s.id)).sort((a, b) => b.share - a.share);
  const [worst] = own;
  const label = trail.stations.find((t) => t.id === worst?.id)?.label;
  const share = shares.find((s) => s.trail === trail.id)?.share ?? 0;
  return (
    <span className="flex min-w-0 grow items-center gap-2">
      <b>{TRAIL_LABELS[trail.id as TrailName]}</b>
      <TrailShareBar share={share} />
      {worst && worst.share >= WRITTEN_FROM && (
        <span className={`truncate ${worst.state === 'lost here' ? 'text-lost' : 'text-soft'}`}>
          {worst.state === 'lost here' ? 'lost at ' : ''}
          {label} {percent(worst.share)}
        </span>
      )}
    </span>
  );
}
