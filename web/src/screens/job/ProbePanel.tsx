import type { FreeProbe, ModelView } from '@pondu/core';
import { Crosshair } from 'lucide-react';
import { useId, useState } from 'react';
import type { useProbing } from './useProbing.ts';
import { Button } from '../../ui/Button.tsx';
import { SelectField } from '../../ui/Field.tsx';
import { Folded } from '../../ui/Folded.tsx';
import { Select } from '../../ui/Select.tsx';

const INSTRUMENTS: readonly { value: FreeProbe['instrument']; label: string }[] = [
  { value: 'voltmeter', label: 'Voltmeter' },
  { value: 'ohmmeter', label: 'Ohmmeter' },
  { value: 'test lamp', label: 'Test lamp' },
  { value: 'LED lamp', label: 'LED lamp' },
  { value: 'clamp meter', label: 'Clamp meter' },
];
type Probing = NonNullable<ModelView['probing']>;

interface Props {
  use: ReturnType<typeof useProbing>;
  probing: Probing;
  stations: ModelView['stations'];
  /** A place that was picked on the map comes first. */
  station: string | undefined;
  onProbe: (probe: FreeProbe) => void;
}

const STILL: FreeProbe['state'] = 'key off';

/** Leads on any two places, in any state, with anything unplugged: the ruler for it comes from the same model. */
export function ProbePanel({ use, probing, stations, station, onProbe }: Props) {
  const { probe, clear } = use;
  const [error, setError] = useState('');
  const clamp = probe.instrument === 'clamp meter';
  const put = (change: Partial<FreeProbe>) => {
    setError('');
    use.put(change);
  };
  function go() {
    if (!probe.live) return setError(clamp ? 'Pick the wire first.' : 'Pick where the live lead goes.');
    if (!clamp && !probe.earth) return setError('Pick where the other lead goes.');
    if (!clamp && probe.earth === probe.live) return setError('Both leads are on the same place: move one.');
    onProbe(clamp ? { ...probe, earth: '' } : probe);
    clear();
  }
  const free = probing.parts.filter((p) => !probe.unplugged.includes(p.id));
  return (
    <Folded name="Probe anywhere" className="card p-3">
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField
          label="With"
          value={probe.instrument}
          options={INSTRUMENTS}
          onChange={(instrument) => put({ instrument: instrument as FreeProbe['instrument'], live: '', earth: '' })}
        />
        <SelectField
          label="While"
          value={probe.instrument === 'ohmmeter' ? STILL : probe.state}
          options={probing.states
            .filter((s) => probe.instrument !== 'ohmmeter' || s === STILL)
            .map((s) => ({ value: s, label: s }))}
          onChange={(state) => put({ state: state as FreeProbe['state'] })}
        />
        {clamp ? (
          <PlaceField
            label="Around the wire of"
            places={probing.wires}
            {...{ stations, station }}
            value={probe.live}
            onChange={(live) => put({ live })}
            onMap={() => use.pick('live')}
          />
        ) : (
          <>
            <PlaceField
              label="Live lead on"
              places={probing.places}
              {...{ stations, station }}
              value={probe.live}
              onChange={(live) => put({ live })}
              onMap={() => use.pick('live')}
            />
            <PlaceField
              label="Other lead on"
              places={probing.places}
              {...{ stations, station }}
              value={probe.earth}
              onChange={(earth) => put({ earth })}
              onMap={() => use.pick('earth')}
            />
          </>
        )}
        <SelectField
          label="Unplug meanwhile"
          value=""
          options={[{ value: '', label: 'nothing more' }, ...free.map((p) => ({ value: p.id, label: p.label }))]}
          onChange={(id) => id && put({ unplugged: [...probe.unplugged, id] })}
        />
      </div>
      {probe.unplugged.length > 0 && (
        <p className="mt-2 flex flex-wrap items-center gap-2">
          {probe.unplugged.map((id) => (
            <Button key={id} look="quiet" onClick={() => put({ unplugged: probe.unplugged.filter((u) => u !== id) })}>
              {probing.parts.find((p) => p.id === id)?.label ?? id} is off: plug it in again
            </Button>
          ))}
        </p>
      )}
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <Button onClick={go}>Show what it should read</Button>
        <p role="alert" className="font-medium text-danger empty:hidden">
          {error}
        </p>
      </div>
    </Folded>
  );
}

/** Places by the station at which they are, those of the one picked on the map first. */
function PlaceField({
  label,
  places,
  stations,
  station,
  value,
  onChange,
  onMap,
}: {
  label: string;
  places: Probing['places'];
  stations: ModelView['stations'];
  station: string | undefined;
  value: string;
  onChange: (id: string) => void;
  onMap: () => void;
}) {
  const id = useId();
  const ordered = [...stations].sort((a, b) => Number(b.id === station) - Number(a.id === station));
  const options = [
    { value: '', label: 'Choose' },
    ...ordered
      .map((s) => ({
        label: s.label,
        options: places.filter((p) => p.station === s.id).map((p) => ({ value: p.id, label: p.label })),
      }))
      .filter((group) => group.options.length > 0),
  ];
  return (
    <div>
      <label id={`${id}-label`} htmlFor={id} className="tag mb-1 block">
        {label}
      </label>
      <div className="flex gap-2">
        <div className="min-w-0 grow">
          <Select id={id} labelledBy={`${id}-label`} value={value} onChange={onChange} options={options} />
        </div>
        <Button look="quiet" aria-label={`${label}: pick it on the map`} onClick={onMap}>
          <Crosshair aria-hidden className="size-5" />
        </Button>
      </div>
    </div>
  );
}
