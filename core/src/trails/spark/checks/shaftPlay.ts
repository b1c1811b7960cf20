import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, looking, type CheckMaker } from '../../../machine/check.ts';
import { seenSo } from '../../../machine/seen.ts';
import { FAST } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';

/** Play from which a hand feels it, and over what it becomes plain; metres. */
const FELT_FROM = 0.11e-3;
const PLAIN_OVER = 0.025e-3;
/** Degrees of dwell that a metre of gap moves: some six for a tenth of a millimetre (judgement, after dwell and gap of the plates). */
const DEGREES_PER_METRE = 6 / 0.1e-3;

/** Bushes of the distributor’s shaft: rocked by hand, and by what the dwell does as the engine is sped up. */
export const shaftPlay: CheckMaker = (machine) => [
  looking(
    {
      id: 'shaft-play',
      station: 'rotor',
      label: 'Distributor shaft, rocked sideways',
      set: 'Key off, cap off.',
      touch: 'Rock the shaft at the rotor, to and fro.',
      watch: `Hardly any. If ${machine.partById.has('points') ? 'the points open and shut as it is rocked' : 'it knocks to and fro'}, its bushes are worn.`,
      state: KEY_OFF,
      words: ['hardly any', 'it rocks'],
      needs: ['distributor-shaft'],
      minutes: 0.5,
      opens: ['cap off'],
      cautions: [],
    },
    ({ params }) => {
      const play = figuresAt(params, 'distributor-shaft').playMetres;
      const rocks = seenSo(logistic((play - FELT_FROM) / PLAIN_OVER), 0.93);
      return { 'hardly any': 1 - rocks, 'it rocks': rocks };
    },
  ),
  ...(machine.partById.has('points')
    ? [
        {
          id: 'dwell-wander',
          station: 'rotor',
          label: 'Change of dwell, idle to speed',
          set: 'Meter on the coil’s points terminal and earth. Idling, then at about 2500 rev/min.',
          touch: 'Read the dwell at idle and at speed; take one from the other.',
          watch: 'Up to about three degrees. More: the shaft’s bushes, or its plate, are worn.',
          instrument: 'dwell meter',
          probe: {
            kind: 'figure',
            value: ({ params }) => DEGREES_PER_METRE * figuresAt(params, 'distributor-shaft').playMetres,
          },
          state: FAST,
          needs: ['distributor-shaft', 'points'],
          minutes: 2,
          opens: [],
          cautions: ['rotating parts'],
        } satisfies ReturnType<CheckMaker>[number],
      ]
    : []),
];
