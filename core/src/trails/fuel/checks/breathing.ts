import { figuresAt } from '../../../machine/figures.ts';
import type { CheckMaker } from '../../../machine/check.ts';
import { seenSo } from '../../../machine/seen.ts';
import { logistic } from '../../../random/lcg.ts';
import { CARBURETTOR as C, VENT } from '../ids.ts';
import { kindOf, look, ventShut } from './feed.ts';

/** Tank and bowl fill and empty only as fast as air changes places with fuel. */
export const breathing: CheckMaker = (machine) => {
  if (!kindOf(machine)) return [];
  return [
    ...(machine.fit.fuel?.sealed
      ? [
          look(
            machine,
            {
              id: 'fuel-vapour-line',
              station: VENT,
              label: 'Vapour line and its check valve, blown through',
              set: 'Line off at the tank; its valve out of it.',
              touch: 'Follow the line with a hand; blow through line and valve, each by itself, with a clean hose.',
              watch:
                'The line passes both ways, the valve lets air towards the tank. A valve that is stuck is renewed.',
              words: ['both pass', 'valve stuck', 'line kinked'],
              needs: [VENT],
              minutes: 5,
            },
            ({ params, machine: { fit } }) => {
              const { squareMetres, kinked } = figuresAt(params, VENT);
              const shut = seenSo(ventShut(squareMetres, fit), 0.94);
              const line = (kinked ?? 0) > 0 ? shut : 0.01;
              return { 'both pass': 1 - shut - 0.01, 'valve stuck': shut - line + 0.01, 'line kinked': line };
            },
          ),
        ]
      : []),
    look(
      machine,
      {
        id: 'fuel-bowl-vent-look',
        station: C.needle,
        label: 'Bowl vent, blown through',
        set: 'Engine off, air filter off.',
        touch: 'Find the small hole or hose that lets air to the bowl; blow through it with a clean hose.',
        watch: 'Air goes into the bowl as if nothing were there.',
        words: ['clear', 'blocked'],
        needs: [C.bowlVent],
        minutes: 2,
        opens: ['air filter off'],
        cautions: ['fuel vapour'],
      },
      ({ params }) => {
        const blocked = seenSo(logistic((HALF_OPEN - figuresAt(params, C.bowlVent).openShare) / 0.07), 0.94);
        return { clear: 1 - blocked, blocked };
      },
    ),
  ];
};
/** A vent that is open by less than this is felt to be blocked. */
const HALF_OPEN = 0.6;
