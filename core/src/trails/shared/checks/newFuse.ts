import { figuresAt } from '../../../machine/figures.ts';
import { hasHeldPoints, hasPart, looking, type CheckMaker } from '../../../machine/check.ts';
import { KEY_ON_CLOSED, KEY_ON_OPEN } from '../../../machine/state.ts';
import type { MachineState } from '../../../machine/part.ts';
import { logistic } from '../../../random/lcg.ts';
import { meltingAmps } from '../parts/index.ts';

const withNew = (state: MachineState): MachineState => ({ ...state, clipped: ['fuse'] });
const [CLOSED, OPEN] = [withNew(KEY_ON_CLOSED), withNew(KEY_ON_OPEN)];
/** Fuses of a rating melt within so much of one another; a logarithm. */
const SPREAD = 0.15;

/** A fuse of its rating put in: it holds, or what lies behind it melts it. */
export const newFuse: CheckMaker = (machine) =>
  hasPart(machine, 'fuse')
    ? [
        looking(
          {
            id: 'fuse-new',
            station: 'fuse',
            label: 'A new fuse of its rating',
            set: 'Key off, the new one in; then key on.',
            touch: 'Watch it, or listen: it blows with a tick.',
            watch:
              'Never a larger one and never foil: then the wire burns instead. One that blows at once has a short after it.',
            state: hasHeldPoints(machine) ? CLOSED : OPEN,
            words: ['holds', 'blows at once'],
            needs: ['fuse'],
            minutes: 2,
            opens: [],
            cautions: [],
          },
          (scene) => {
            const melts = (state: MachineState) => {
              const amps = Math.abs(scene.solve(state).amps('fuse'));
              const most = meltingAmps(figuresAt(scene.params, 'fuse').ratedAmps);
              return logistic(Math.log(Math.max(amps, 1e-6) / most) / SPREAD);
            };
            const blows = 0.005 + 0.985 * melts(hasHeldPoints(machine) ? CLOSED : OPEN);
            return { 'blows at once': blows, holds: 1 - blows };
          },
        ),
      ]
    : [];
