import { corrected, MIXES, oilFor } from '@pondu/core';
import { Answer, Care, FigureField, Part, useFigure } from './figure.tsx';
import { labelled, showQuantity, showTank } from '../../units/quantity.ts';

const isMix = (ratio: number | undefined): ratio is number =>
  ratio !== undefined && ratio >= MIXES.least && ratio <= MIXES.most;
/** Of petrol a bare number is litres or gallons, as the shop goes: nobody mixes millilitres of it. */
const TANK = { tank: true } as const;
const ASKED = `Parts of petrol to one of oil, from ${MIXES.least} to ${MIXES.most}.`;
const volume = (cubicMetres: number) => showQuantity(cubicMetres, 'volume');
/** Less than this is left alone, cubic metres. */
const NOTHING = 1e-6;

/** Oil for fresh petrol, and what puts a tankful of another mix right. */
export function OilPart({ jobId }: { jobId: string }) {
  const ratio = useFigure(`${jobId}.oil.ratio`, 'ratio');
  const petrol = useFigure(`${jobId}.oil.petrol`, 'volume', TANK);
  const there = useFigure(`${jobId}.oil.there`, 'volume', TANK);
  const wrong = useFigure(`${jobId}.oil.wrong`, 'ratio');
  const asked = isMix(ratio.value) ? ratio.value : undefined;
  const fresh = asked !== undefined && petrol.value !== undefined && petrol.value > 0;
  const tank = asked !== undefined && isMix(wrong.value) && there.value !== undefined && there.value > 0;
  const { oil, petrol: more } = tank
    ? corrected({ cubicMetres: there.value!, ratio: wrong.value! }, asked)
    : { oil: 0, petrol: 0 };
  const bad = [ratio, wrong].some((f) => f.value !== undefined && !isMix(f.value));
  return (
    <div className="grid gap-5">
      <Care>
        In the open, engine cold, no flame; oil of the kind that the engine asks for; shake it before it goes in.
      </Care>
      <Part
        title="Oil for fresh petrol"
        about="Too much fouls the plugs, smokes and weakens the mixture; too little seizes the engine."
      >
        <div className="grid gap-2 sm:grid-cols-2">
          <FigureField label="Petrol to one of oil" figure={ratio} hint="By the engine’s book: 50, 32, 25…" />
          <FigureField label={labelled('Petrol', 'volume', TANK)} figure={petrol} />
        </div>
        <Answer>{fresh ? `${volume(oilFor(petrol.value!, asked))} of oil.` : ''}</Answer>
      </Part>
      <Part title="A tankful that was mixed otherwise" about="What to pour in, so that nothing has to be thrown away.">
        <div className="grid gap-2 sm:grid-cols-2">
          <FigureField label={labelled('In the tank', 'volume', TANK)} figure={there} />
          <FigureField label="Mixed, petrol to one of oil" figure={wrong} />
        </div>
        <Answer>
          {!tank
            ? ''
            : oil > NOTHING
              ? `Add ${volume(oil)} of oil.`
              : more > NOTHING
                ? `Add ${showTank(more)} of petrol.`
                : 'It is right as it is.'}
        </Answer>
      </Part>
      {bad && <p className="text-[14px] text-warn">{ASKED}</p>}
    </div>
  );
}
