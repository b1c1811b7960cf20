import { jetFor, richerAt } from '@pondu/core';
import { HEIGHTS } from '@pondu/core/schema';
import { Answer, FigureField, Part, useHeight, useJet } from './figure.tsx';
import { heightLabelled, showHeight } from '../../units/quantity.ts';

/** A jet as it is stamped, and its bore. */
const jetWords = (metres: number) => `${Math.round(metres * 1e5)} (${(metres * 1e3).toFixed(2)} mm)`;

/** From so much richer or weaker on the plugs and the idle show it. */
const SHOWS_FROM = 0.02;
const asked = () => `Above the sea, from ${showHeight(HEIGHTS.least)} to ${showHeight(HEIGHTS.most)}.`;
const within = (metres: number | undefined) =>
  metres !== undefined && metres >= HEIGHTS.least && metres <= HEIGHTS.most;

/** The same jets at another height: how much richer they mix, and what to fit there. */
export function JetsPart({ jobId, altitude }: { jobId: string; altitude: number | undefined }) {
  const jet = useJet(`${jobId}.jets.jet`);
  const from = useHeight(`${jobId}.jets.from`);
  const typedTo = useHeight(`${jobId}.jets.to`);
  const [at, to] = [from.value ?? 0, typedTo.value ?? altitude];
  const heights = within(at) && within(to);
  const richer = heights ? richerAt(at, to!) - 1 : 0;
  const words = !heights
    ? ''
    : Math.abs(richer) < SHOWS_FROM
      ? 'Leave the jets: nothing that shows.'
      : `${Math.round(Math.abs(richer) * 100)} % ${richer > 0 ? 'richer' : 'weaker'} there.${
          jet.value === undefined ? '' : ` Fit ${jetWords(jetFor(jet.value, at, to!))}.`
        }`;
  return (
    <Part
      title="Jets for the height"
      about="Thin air takes as much fuel through the same jet: it runs rich up there, and weak when it comes down again."
    >
      <div className="grid gap-2 sm:grid-cols-3">
        <FigureField label="Main jet" figure={jet} hint="As stamped: 120 is 1.20 mm." />
        <FigureField label={heightLabelled('Right at')} figure={from} hint="By the sea when nothing is said." />
        <FigureField
          label={heightLabelled('It works at')}
          figure={typedTo}
          hint={altitude === undefined ? asked() : `Its machine says ${showHeight(altitude)}.`}
        />
      </div>
      <Answer>{words}</Answer>
      {!heights && (from.value !== undefined || typedTo.value !== undefined) && (
        <p className="text-[14px] text-warn">{to === undefined ? 'Say where it works.' : asked()}</p>
      )}
    </Part>
  );
}
