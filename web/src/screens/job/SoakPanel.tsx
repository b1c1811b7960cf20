import { soak, SOAK_MINUTES, type Conditions, type TraceView } from '@pondu/core';
import { Flame } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { percent } from '../../words/belief.ts';
import { showQuantity } from '../../units/quantity.ts';

interface Props {
  jobId: string;
  advice: TraceView['soak'];
  /** Puts the soak's minutes into the reading that is being entered. */
  onSoaked: (conditions: Conditions) => void;
}

/** A timed soak: how warm the part is by now, and what a pass would be worth. Runs on through a reload. */
export function SoakPanel({ jobId, advice, onSoaked }: Props) {
  const [started, setStarted, clear] = useDraft<number | null>(`${jobId}.soak`, null);
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (started === null) return undefined;
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, [started]);
  const minutes = started === null ? 0 : Math.max(0, (now - started) / 60_000);
  const { celsius, shows, passLeaves } = soak(minutes);
  const clock = `${Math.floor(minutes)}:${String(Math.floor((minutes % 1) * 60)).padStart(2, '0')}`;
  return (
    <section aria-label="Soak test" className="card grid gap-2 p-3">
      <div className="flex flex-wrap items-center gap-3">
        <Flame aria-hidden className="size-6" />
        <h2 className="grow text-lg">Soak test</h2>
        {started !== null && (
          <span className="figures text-2xl font-semibold" role="timer">
            {clock}
          </span>
        )}
      </div>
      {started === null ? (
        <>
          <p className="text-[15px]">
            It fails hot. Run it, or warm the suspected part, for about {SOAK_MINUTES} minutes and read again: then a
            pass counts.
            {advice && ` “${advice.check.label}” would then tell most.`}
          </p>
          <Button
            look="do"
            className="justify-self-start"
            onClick={() => {
              setNow(Date.now());
              setStarted(Date.now());
            }}
          >
            Start the clock
          </Button>
        </>
      ) : (
        <>
          <p className="text-[15px]">
            The part is at about {showQuantity(Math.round(celsius), 'temperature')}. {percent(shows)} of faults that
            heat brings on would show by now; a pass leaves one of them at {percent(passLeaves)} of what it was.
          </p>
          <div className="flex flex-wrap gap-3">
            <Button
              look="do"
              onClick={() =>
                onSoaked({ faultPresent: 'unknown', warmth: 'hot', soakMinutes: Math.round(minutes * 10) / 10 })
              }
            >
              Read now, {Math.floor(minutes)} min
            </Button>
            <Button onClick={clear}>Stop the clock</Button>
          </div>
        </>
      )}
    </section>
  );
}
