import type { Station, StationState } from '@pondu/core';
import { Info } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useRef, type CSSProperties, type KeyboardEvent } from 'react';
import { percent } from '../words/belief.ts';
import { Picture } from './Picture.tsx';
import './trailMap.css';

const STATE_WORDS: Readonly<Record<StationState['state'], string>> = {
  proven: 'proven',
  cleared: 'cleared, not measured',
  'lost here': 'lost here',
  unknown: 'not proven',
};

/** Height of the tallest bar, pixels. */
const TALLEST = 19;

/** A station holds so much before its share is written beside it. */
export const WRITTEN_FROM = 0.03;

/** Something else on the same feed or earth, and what is known of it. */
export interface Tap {
  readonly checkId: string;
  readonly label: string;
  readonly joins: string;
  readonly word: string | undefined;
}
const TAP_STATES: Readonly<Record<string, StationState['state']>> = {
  works: 'proven',
  weakly: 'lost here',
  dead: 'lost here',
};

interface Props {
  stations: readonly Station[];
  states: readonly StationState[];
  selected: string | undefined;
  onSelect: (station: string) => void;
  taps?: readonly Tap[];
  onTap?: (checkId: string) => void;
}

/** The machine's trail as one line, and beside it what comes in at the side; suspicion stands on each as a bar. */
export function TrailMap({ stations, states, selected, onSelect, taps = [], onTap }: Props) {
  const map = useRef<HTMLDivElement>(null);
  const walk = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (step === 0) return;
    const buttons = [...(map.current?.querySelectorAll('button') ?? [])];
    const at = buttons.indexOf(document.activeElement as HTMLButtonElement);
    buttons[Math.min(buttons.length - 1, Math.max(0, at + step))]?.focus();
    event.preventDefault();
  };
  const most = Math.max(0.2, ...states.map((s) => s.share));
  const cell = (station: Station) => {
    const state = states.find((s) => s.id === station.id) ?? { share: 0, state: 'unknown' as const };
    return (
      <li key={station.id} data-state={state.state} data-joint={station.joint ?? false}>
        <button type="button" aria-pressed={selected === station.id} onClick={() => onSelect(station.id)}>
          <span className="trail-bar" style={{ height: (state.share / most) * TALLEST }} />
          <span className="trail-node" />
          <Picture name={station.picture} className="trail-picture" />
          <span className="trail-label">{station.label}</span>
          <span className="trail-share">{state.share >= WRITTEN_FROM ? percent(state.share) : ''}</span>
          <span className="sr-only">{STATE_WORDS[state.state]}</span>
        </button>
      </li>
    );
  };
  const lanes = new Map<string, Station[]>();
  for (const s of stations) if (s.lane) lanes.set(s.lane.name, [...(lanes.get(s.lane.name) ?? []), s]);
  const suspected = states.some((s) => s.share >= WRITTEN_FROM && stations.some((t) => t.id === s.id && t.lane));
  const labelOf = (id: string) => stations.find((s) => s.id === id)?.label ?? '';
  const here = taps.filter((t) => stations.some((s) => s.id === t.joins));
  return (
    <div ref={map} onKeyDown={walk}>
      <ol className="trail" aria-label="Trail">
        {stations.filter((s) => !s.lane).map(cell)}
      </ol>
      {lanes.size + here.length > 0 && (
        <div className="trail-lanes" data-quiet={!suspected}>
          {[...lanes].map(([name, own]) => {
            const joins = labelOf(own[0]!.lane!.joins);
            return (
              <div key={name} className="trail-lane">
                <ol
                  className="trail"
                  aria-label={`${name}, into ${joins}`}
                  style={{ '--cells': own.length } as CSSProperties}
                >
                  {own.map(cell)}
                </ol>
                <span aria-hidden className="trail-joins">
                  {joins}
                </span>
              </div>
            );
          })}
          {here.map((tap) => (
            <div key={tap.checkId} className="trail-lane trail-tap">
              <ol
                className="trail"
                aria-label={`Also on ${labelOf(tap.joins)}`}
                style={{ '--cells': 1 } as CSSProperties}
              >
                <li data-state={TAP_STATES[tap.word ?? ''] ?? 'unknown'} data-joint={false}>
                  <button type="button" onClick={() => onTap?.(tap.checkId)}>
                    <span className="trail-node" />
                    <Picture name="lamp" className="trail-picture" />
                    <span className="trail-label">{tap.label}</span>
                    <span className="sr-only">{tap.word ?? 'not tried'}</span>
                  </button>
                </li>
              </ol>
              <span aria-hidden className="trail-joins">
                {labelOf(tap.joins)}
              </span>
            </div>
          ))}
        </div>
      )}
    </div>
  );
}

/** What the lines mean, where it is asked. */
export function TrailKey() {
  return (
    <Popover.Root>
      <Popover.Trigger className="ml-auto flex min-h-12 items-center gap-1 rounded-lg px-2 text-[14px] text-soft hover:bg-sunk">
        <Info aria-hidden className="size-4" /> Key
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content align="end" className="card z-30 p-3 shadow-lg">
          <ul className="trail-key" aria-label="What the lines mean">
            <li data-state="proven">proven</li>
            <li data-state="cleared">cleared, not measured</li>
            <li data-state="unknown">not proven</li>
            <li data-state="lost here">lost here</li>
            <li data-state="bar">suspicion</li>
          </ul>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
