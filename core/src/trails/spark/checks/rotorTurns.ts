import { figuresAt } from '../../../machine/figures.ts';
import { CRANKING, looking, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

/** The first thing that a cap off tells: whether what it covers goes round with the engine. */
export const rotorTurns: CheckMaker = () => [
  looking(
    {
      id: 'rotor-turns',
      station: 'rotor',
      label: 'Does the rotor turn as it is cranked?',
      set: 'Cap off, coil lead earthed; crank for two seconds.',
      touch: 'Nothing: watch the rotor.',
      watch: 'It goes round. If it stands, the pin or gear of its drive is broken.',
      state: CRANKING,
      words: ['turns', 'stands still'],
      needs: ['distributor-shaft'],
      minutes: 0.7,
      opens: ['cap off'],
      cautions: ['high tension', 'fuel vapour', 'rotating parts'],
    },
    ({ params }) => {
      const stands = seen(figuresAt(params, 'distributor-shaft').still !== undefined, 0.98);
      return { turns: 1 - stands, 'stands still': stands };
    },
  ),
];
