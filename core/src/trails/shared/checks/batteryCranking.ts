import { CRANKING, earthPost, touch, type CheckMaker } from '../../../machine/check.ts';

export const batteryCranking: CheckMaker = (machine) =>
  machine.fit.crank?.kind === 'pull'
    ? []
    : [
        {
          id: 'battery-cranking',
          station: 'battery',
          label: 'Battery volts, cranking',
          set: 'Crank for three seconds, gearbox out of gear. Hold the minimum on the meter if you are alone.',
          touch: touch(machine, 'post', earthPost(machine)),
          watch: 'The lowest steady figure while it turns.',
          instrument: 'voltmeter',
          probe: { kind: 'across', live: 'post', earth: earthPost(machine) },
          state: CRANKING,
          needs: ['battery'],
          minutes: 1.2,
          opens: [],
          cautions: ['battery', 'rotating parts'],
        },
      ];
