import { figuresAt } from '../../../machine/figures.ts';
import { hasHeldPoints, hasPart, looking, type CheckMaker } from '../../../machine/check.ts';
import { CRANKING, KEY_ON_CLOSED, KEY_ON_OPEN } from '../../../machine/state.ts';
import type { MachineState } from '../../../machine/part.ts';
import { logistic } from '../../../random/lcg.ts';
import { meltingAmps } from '../parts/index.ts';

const withNew = (state: MachineState): MachineState => ({ ...state, clipped: ['fuse'] });
const [CLOSED, OPEN, CRANKED] = [withNew(KEY_ON_CLOSED), withNew(KEY_ON_OPEN), withNew(CRANKING)];
/** Fuses of a rating melt within so much of one another; a logarithm. */
const SPREAD = 0.15;

/** A fuse of its rating put in: it holds, or what lies behind it melts it, at once or only as it is cranked. */
export const newFuse: CheckMaker = (machine) =>
  hasPart(machine, 'fuse')
    ? [
        looking(
          {
            id: 'fuse-new',
            station: 'fuse',
            label: 'A new fuse of its rating',
            set: 'Key off, the new one in; then key on, and last crank it for a moment.',
            touch: 'Watch it, or listen: it goes with a tick.',
            watch:
              'Never a larger one and never foil: then the wire burns instead. One that goes at once has a short behind it.',
            state: hasHeldPoints(machine) ? CLOSED : OPEN,
            words: ['holds', 'blows at once', 'blows as it cranks'],
            needs: ['fuse'],
            minutes: 2,
            opens: [],
            cautions: ['rotating parts'],
          },
          (scene) => {
            const melts = (state: MachineState) => {
              const amps = Math.abs(scene.solve(state).amps('fuse'));
              const most = meltingAmps(figuresAt(scene.params, 'fuse').ratedAmps);
              return logistic(Math.log(Math.max(amps, 1e-6) / most) / SPREAD);
            };
            const [atOnce, cranked] = [melts(hasHeldPoints(machine) ? CLOSED : OPEN), melts(CRANKED)];
            return {
              'blows at once': 0.005 + 0.98 * atOnce,
              'blows as it cranks': 0.005 + 0.98 * (1 - atOnce) * cranked,
              holds: 0.99 - 0.98 * (atOnce + (1 - atOnce) * cranked),
            };
          },
        ),
      ]
    : [];
