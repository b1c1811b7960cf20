import { fromSi, springSays, unitBySymbol, USUAL_PULL, type SpringSays } from '@pondu/core';
import { showBand } from '../../units/quantity.ts';
import { Answer, FigureField, Part, type Figure } from './figure.tsx';

const ounces = (newtons: number): string => fromSi(newtons, unitBySymbol('oz')).toFixed(0);
/** As spring balances show it, in grams or in ounces. */
const USUAL = `${showBand(USUAL_PULL.low, USUAL_PULL.high, 'force')}, or ${ounces(USUAL_PULL.low)} to ${ounces(USUAL_PULL.high)} oz`;
/** A speed that is known no better, rev/min. */
const ABOUT = 50;

const SAYS: Readonly<Record<SpringSays['says'], string>> = {
  weak: 'Too weak: bend it up or renew the points, or they float at speed.',
  right: 'As it should be.',
  hard: 'Too strong: it wears the heel and the cam. These points are for another distributor, or the spring was bent.',
};

/** The pull of the points’ spring, and the speed up to which it holds the heel on the cam. */
export function SpringPart({ pull, topRpm }: { pull: Figure; topRpm: number | undefined }) {
  const newtons = pull.value;
  const found = newtons === undefined || topRpm === undefined ? undefined : springSays(newtons, USUAL_PULL, topRpm);
  const floats =
    found?.says === 'weak' ? ` They float from about ${Math.round(found.floatsFrom / ABOUT) * ABOUT} rev/min.` : '';
  return (
    <Part
      title="Spring tension"
      about={`Spring balance hooked to the arm beside the contact, pulled in line with its movement: the figure as the contacts part. Usual: ${USUAL}.`}
    >
      <FigureField label="Pull as they part, g" figure={pull} hint="Or 20 oz." within={{ low: 0.5, high: 20 }} />
      <Answer>{found ? `${SAYS[found.says]}${floats}` : ''}</Answer>
    </Part>
  );
}
