import { earthPost, touch, type CheckMaker } from '../../../machine/check.ts';
import { KEY_OFF } from '../../../machine/state.ts';
import { startingOf } from '../starting.ts';
import { told } from './start.ts';

/** The battery by itself: a load as heavy as the starter, and neither cables nor engine in the way. */
export const loadTest: CheckMaker = (machine) =>
  told(machine)
    ? [
        {
          id: 'battery-load',
          does: ['works at the battery', 'charges'],
          station: 'battery',
          label: 'Battery volts under a load tester',
          set: `Key off, battery charged. Set the load tester to about ${Math.round(startingOf(machine.fit).amps / 10) * 10} A and apply it for ten seconds.`,
          touch: touch(machine, 'post', earthPost(machine)),
          watch: 'It falls at once and then stays. If it goes on falling, the battery is spent.',
          instrument: 'voltmeter',
          probe: { kind: 'across', live: 'post', earth: earthPost(machine) },
          state: { ...KEY_OFF, clipped: ['load-tester'] },
          needs: ['battery'],
          minutes: 3,
          opens: [],
          cautions: [],
        },
      ]
    : [];
