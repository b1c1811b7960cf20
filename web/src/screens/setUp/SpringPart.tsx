import { fromSi, springSays, unitBySymbol, USUAL_PULL, type SpringSays } from '@pondu/core';
import { showQuantity } from '../../units/quantity.ts';
import { Answer, FigureField, Part, type Figure } from './figure.tsx';

/** As a spring balance shows it: grams, and ounces beside them. */
export const pullWords = (newtons: number): string =>
  `${showQuantity(newtons, 'force')}, ${fromSi(newtons, unitBySymbol('oz')).toFixed(0)} oz`;

const SAYS: Readonly<Record<SpringSays['says'], string>> = {
  weak: 'Too weak: bend it up or renew the points, or they float at speed.',
  right: 'As it should be.',
  hard: 'Too strong: it wears the heel and the cam. These points are for another distributor, or the spring was bent.',
};

/** The pull of the points’ spring, and the speed up to which it holds the heel on the cam. */
export function SpringPart({ pull, topRpm }: { pull: Figure; topRpm: number | undefined }) {
  const newtons = pull.value;
  const found = newtons === undefined || topRpm === undefined ? undefined : springSays(newtons, USUAL_PULL, topRpm);
  const floats = found?.says === 'weak' ? ` They float from about ${found.floatsFrom.toFixed(0)} rev/min.` : '';
  return (
    <Part
      title="Spring tension"
      about={`Spring balance hooked to the arm beside the contact, pulled in line with its movement: the figure as the contacts part. Usual: ${pullWords(USUAL_PULL.low)} to ${pullWords(USUAL_PULL.high)}.`}
    >
      <FigureField label="Pull as they part, g" figure={pull} hint="Or 20 oz." within={{ low: 0.5, high: 20 }} />
      <Answer>{found ? `${SAYS[found.says]}${floats}` : ''}</Answer>
    </Part>
  );
}
