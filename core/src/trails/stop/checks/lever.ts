import { figuresAt } from '../../../machine/figures.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';
import { KEY_ON_OPEN } from '../../../machine/state.ts';
import { rackAtStop } from '../holding.ts';
import { RACK } from '../ids.ts';
import { STILL } from './state.ts';

/** The lever on the pump, by hand: what everything else ends at, and what stops a runaway. */
export const lever: CheckMaker = (machine) =>
  machine.partById.has(RACK)
    ? [
        looking(
          {
            ...STILL,
            id: 'stop-lever',
            station: RACK,
            label: 'Stop lever on the pump, by hand',
            set: 'Engine still.',
            touch: 'Move the lever to stop and let it go.',
            watch: 'The lever moves freely and returns to run.',
            words: ['free, back at run', 'stays at run', 'stays at stop'],
            needs: [RACK],
            minutes: 1,
            look: true,
          },
          ({ params }) => {
            const open = seen(figuresAt(params, RACK).stuckOpen > 0.5, 0.95);
            const shut = (1 - open) * seen(figuresAt(params, RACK).stuckShut > 0.5, 0.95);
            return { 'free, back at run': 1 - open - shut, 'stays at run': open, 'stays at stop': shut };
          },
        ),
        looking(
          {
            ...STILL,
            id: 'stop-where',
            station: RACK,
            label: 'Where does the stop lever stand with the key on?',
            set: 'Key on, or the cable pushed home; engine still.',
            touch: 'Look at it; move nothing.',
            watch: 'At run. At stop: whatever draws it there is doing so now.',
            words: ['at run', 'at stop'],
            needs: [RACK],
            minutes: 0.7,
            look: true,
            state: KEY_ON_OPEN,
          },
          (scene) => {
            const stop = 0.01 + 0.97 * rackAtStop(scene, 'run');
            return { 'at run': 1 - stop, 'at stop': stop };
          },
        ),
      ]
    : [];
