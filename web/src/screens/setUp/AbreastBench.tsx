import { apartBy, beatsASecond, firingsATurn, type MachineBody } from '@pondu/core';
import { Answer, FigureField, Part, useFigure } from './figure.tsx';
import { strokesOf } from './strokesOf.ts';

/** Slower beats than this nobody hears, a second. */
const HEARD_FROM = 0.05;

/** Two equal engines side by side: how far their speeds are apart, by the beat that is heard, or the beat by their speeds. */
export function AbreastBench({ jobId, machine }: { jobId: string; machine: MachineBody }) {
  const key = `${jobId}.abreast`;
  const firings = firingsATurn(machine.fitOut.cylinders, strokesOf(machine));
  const [beats, seconds] = [useFigure(`${key}.beats`, 'ratio'), useFigure(`${key}.seconds`, 'time')];
  const [one, other] = [useFigure(`${key}.one`, 'speed'), useFigure(`${key}.other`, 'speed')];
  const counted =
    beats.value !== undefined && seconds.value !== undefined && seconds.value > 0
      ? apartBy(beats.value, seconds.value, firings)
      : undefined;
  const heard =
    one.value !== undefined && other.value !== undefined ? beatsASecond(one.value, other.value, firings) : undefined;
  return (
    <div className="grid gap-5 sm:grid-cols-2">
      <Part
        title="By the beat"
        about={`Both engines at cruising speed: count the beats of their sound. Each fires ${firings} ${firings === 1 ? 'time' : 'times'} a turn.`}
      >
        <div className="grid grid-cols-2 items-start gap-2">
          <FigureField label="Beats" figure={beats} within={{ low: 0, high: 300 }} />
          <FigureField label="In seconds" figure={seconds} within={{ low: 1, high: 120 }} />
        </div>
        <Answer>
          {counted === undefined
            ? ''
            : `${counted.toFixed(counted < 10 ? 1 : 0)} rev/min apart. Ease one throttle: if the beat slows, that is the right way.`}
        </Answer>
      </Part>
      <Part title="By two rev counters" about="What the ear should hear if both counters are right.">
        <div className="grid grid-cols-2 items-start gap-2">
          <FigureField label="One, rev/min" figure={one} within={{ low: 200, high: 8000 }} />
          <FigureField label="The other, rev/min" figure={other} within={{ low: 200, high: 8000 }} />
        </div>
        <Answer>
          {heard === undefined
            ? ''
            : heard < HEARD_FROM
              ? 'No beat.'
              : `A beat every ${(1 / heard).toFixed(1)} seconds, ${heard.toFixed(1)} a second. If it is not so, one counter is wrong.`}
        </Answer>
      </Part>
    </div>
  );
}
