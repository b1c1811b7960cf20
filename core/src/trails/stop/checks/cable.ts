import { figuresAt } from '../../../machine/figures.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';
import { CABLE } from '../ids.ts';
import { STILL } from './state.ts';

export const cable: CheckMaker = (machine) =>
  machine.partById.has(CABLE)
    ? [
        looking(
          {
            ...STILL,
            id: 'stop-cable-look',
            station: CABLE,
            label: 'Stop cable, pulled out and pushed in',
            set: 'Engine still, an eye on the lever.',
            touch: 'Pull the knob, push it home.',
            watch: 'The lever follows both ways.',
            words: ['follows both ways', 'does not pull', 'does not come back'],
            needs: [CABLE],
            minutes: 1,
            look: true,
          },
          ({ params }) => {
            const broken = seen(figuresAt(params, CABLE).pulls < 0.5, 0.96);
            const seized = (1 - broken) * seen(figuresAt(params, CABLE).stays > 0.5, 0.96);
            return { 'follows both ways': 1 - broken - seized, 'does not pull': broken, 'does not come back': seized };
          },
        ),
      ]
    : [];

/** Checks of the stop trail, in the order in which one walks it. */
