import type { Station, StationState } from '@pondu/core';

const SAID: readonly { state: StationState['state']; words: string }[] = [
  { state: 'proven', words: 'Proven by a reading' },
  { state: 'cleared', words: 'Not measured; cleared, for the fault explains the complaint' },
  { state: 'lost here', words: 'Lost at' },
  { state: 'unknown', words: 'Not known' },
];

/** What readings proved, what was only reasoned away, and what nobody knows: the next person reads it here. */
export function CardStations({
  stations,
  states,
}: {
  stations: readonly Pick<Station, 'id' | 'label'>[];
  states: readonly StationState[];
}) {
  const of = (state: StationState['state']) =>
    stations.filter((s) => states.some((x) => x.id === s.id && x.state === state)).map((s) => s.label);
  return (
    <dl>
      {SAID.map(({ state, words }) => {
        const named = of(state);
        return (
          named.length > 0 && (
            <div key={state} className="sm:grid sm:grid-cols-[15rem_1fr] sm:gap-3">
              <dt className="text-soft">{words}</dt>
              <dd>{named.join(', ')}</dd>
            </div>
          )
        );
      })}
    </dl>
  );
}
