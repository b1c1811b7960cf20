import type { ModelView } from '@pondu/core';
import { useEffect, useRef } from 'react';
import { Button } from '../../ui/Button.tsx';
import type { useProbing } from './useProbing.ts';

interface Props {
  probing: ReturnType<typeof useProbing>;
  stations: ModelView['stations'];
  places: NonNullable<ModelView['probing']>;
}

/** Below the map while a lead waits to be placed: which one, and the places at the station that was tapped. */
export function ProbePicker({ probing: { probe, lead, station, pick, place }, stations, places }: Props) {
  const box = useRef<HTMLDivElement>(null);
  // The map is what is asked for now, wherever on the page it was asked from.
  useEffect(() => {
    box.current?.scrollIntoView({ block: 'center' });
    box.current?.focus({ preventScroll: true });
  }, [lead]);
  const clamp = probe.instrument === 'clamp meter';
  const all = clamp ? places.wires : places.places;
  const own = all.filter((p) => p.station === station);
  const where = stations.find((s) => s.id === station)?.label;
  const name = clamp ? 'The clamp' : lead === 'live' ? 'The live lead' : 'The other lead';
  return (
    <div
      ref={box}
      tabIndex={-1}
      role="group"
      aria-label="Placing a lead"
      className="flex flex-wrap items-center gap-2 rounded-lg bg-sunk px-3 py-1"
      onKeyDown={(e) => e.key === 'Escape' && pick(undefined)}
    >
      <p role="status" className="font-medium">
        {where === undefined
          ? `${name}: tap its station on the map.`
          : own.length > 0
            ? `${name}, at ${where}, on:`
            : `Nothing to be touched at ${where}: tap another station.`}
      </p>
      {own.map((p) => (
        <Button key={p.id} onClick={() => place(p.id)}>
          {p.label}
        </Button>
      ))}
      <Button look="quiet" onClick={() => pick(undefined)}>
        Leave it
      </Button>
    </div>
  );
}
