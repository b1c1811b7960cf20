import { figuresAt } from '../../../machine/figures.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import { KEY_OFF } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';

/** Resting volts of twelve under which its acid floats in the red; a dead cell takes about two volts away at once. */
const LOW_UNDER = 12.2;
const CELL_UNDER = 11.1;
/** A battery that takes no charge shows it in its acid, whatever its volts say, about so often. Judgement. */
const SPOILT_SEEN = 0.5;

/** The acid of each cell, where its caps come off. */
export const hydrometer: CheckMaker = () => [
  looking(
    {
      id: 'battery-acid',
      does: ['works at the battery'],
      station: 'battery',
      label: 'Hydrometer reading of each cell',
      set: 'Engine off for an hour, caps off; goggles and gloves, water at hand. Not on a sealed battery.',
      touch: 'Draw up each cell in turn, read the float at eye level, put it back.',
      watch: 'All alike and in the green. All low: flat. One far under the rest: that cell is dead.',
      words: ['all good', 'all low', 'one cell low'],
      state: KEY_OFF,
      needs: ['battery'],
      minutes: 4,
      opens: [],
      cautions: ['charging battery'],
    },
    ({ params, machine: { fit } }) => {
      const battery = figuresAt(params, 'battery');
      const volts = (battery.restVolts * 12) / fit.volts;
      const cell = 0.01 + 0.93 * logistic((CELL_UNDER - volts) / 0.15);
      const spoilt = battery.chargeOhms === undefined ? 0 : SPOILT_SEEN;
      const low = (1 - cell) * (0.02 + 0.94 * Math.max(spoilt, logistic((LOW_UNDER - volts) / 0.08)));
      return { 'all good': 1 - cell - low, 'all low': low, 'one cell low': cell };
    },
  ),
];
