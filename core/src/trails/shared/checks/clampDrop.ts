import { CRANKING, nodeOf, touch, type CheckMaker } from '../../../machine/check.ts';

export const clampDrop: CheckMaker = (machine) =>
  machine.fit.crank?.kind === 'pull'
    ? []
    : [
        {
          id: 'clamp-drop',
          station: 'terminals',
          label: 'Voltage drop, live post to clamp, cranking',
          set: 'Crank for three seconds, gearbox out of gear. Hold the maximum on the meter if you are alone.',
          touch: touch(machine, 'post', nodeOf(machine, 'live-clamp', 'b')),
          watch: 'A sound joint drops almost nothing.',
          instrument: 'voltmeter',
          probe: { kind: 'across', live: 'post', earth: nodeOf(machine, 'live-clamp', 'b') },
          state: CRANKING,
          minutes: 1,
          opens: [],
          cautions: ['rotating parts'],
        },
      ];
