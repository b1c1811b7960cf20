import { block, CRANKING, earthPost, touch, type CheckMaker } from '../../../machine/check.ts';

export const strapDrop: CheckMaker = (machine) =>
  machine.fit.crank?.kind === 'pull'
    ? []
    : [
        {
          id: 'strap-drop',
          station: 'strap',
          label: 'Voltage drop, engine block to battery earth post, cranking',
          set: 'Crank for three seconds, gearbox out of gear. Hold the maximum on the meter if you are alone.',
          touch: touch(machine, block(machine), earthPost(machine)),
          watch: 'A sound strap drops almost nothing.',
          instrument: 'voltmeter',
          probe: { kind: 'across', live: block(machine), earth: earthPost(machine) },
          state: CRANKING,
          minutes: 1,
          opens: [],
          cautions: ['rotating parts'],
        },
      ];
