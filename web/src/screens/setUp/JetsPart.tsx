import { formatQuantity, jetFor, richerAt } from '@pondu/core';
import { HEIGHTS } from '@pondu/core/schema';
import { Answer, FigureField, Part, useFigure } from './figure.tsx';

/** From so much richer or weaker on the plugs and the idle show it. */
const SHOWS_FROM = 0.02;
const ASKED = `Metres above the sea, from −${-HEIGHTS.least} to ${HEIGHTS.most}.`;
const within = (metres: number | undefined) =>
  metres !== undefined && metres >= HEIGHTS.least && metres <= HEIGHTS.most;

/** The same jets at another height: how much richer they mix, and what to fit there. */
export function JetsPart({ jobId, altitude }: { jobId: string; altitude: number | undefined }) {
  const jet = useFigure(`${jobId}.jets.jet`, 'length');
  const from = useFigure(`${jobId}.jets.from`, 'ratio');
  const typedTo = useFigure(`${jobId}.jets.to`, 'ratio');
  const [at, to] = [from.value ?? 0, typedTo.value ?? altitude];
  const heights = within(at) && within(to);
  const richer = heights ? richerAt(at, to!) - 1 : 0;
  const words = !heights
    ? ''
    : Math.abs(richer) < SHOWS_FROM
      ? 'Leave the jets: nothing that shows.'
      : `${Math.round(Math.abs(richer) * 100)} % ${richer > 0 ? 'richer' : 'weaker'} there.${
          jet.value === undefined ? '' : ` Fit ${formatQuantity(jetFor(jet.value, at, to!), 'length')}.`
        }`;
  return (
    <Part
      title="Jets for the height"
      about="Thin air takes as much fuel through the same jet: it runs rich up there, and weak when it comes down again."
    >
      <div className="grid gap-2 sm:grid-cols-3">
        <FigureField label="Main jet, mm" figure={jet} />
        <FigureField label="Right at, m" figure={from} hint="By the sea when nothing is said." />
        <FigureField
          label="It works at, m"
          figure={typedTo}
          hint={altitude === undefined ? ASKED : `Its machine says ${altitude} m.`}
        />
      </div>
      <Answer>{words}</Answer>
      {!heights && (from.value !== undefined || typedTo.value !== undefined) && (
        <p className="text-[14px] text-warn">{to === undefined ? 'Say where it works.' : ASKED}</p>
      )}
    </Part>
  );
}
