import { figuresAt } from '../../../machine/figures.ts';
import { KEY_ON_CLOSED, type CheckMaker } from '../../../machine/check.ts';
import { logistic } from '../../../random/lcg.ts';
import { seen } from '../../../machine/seen.ts';

export const watchPoints: CheckMaker = () => [
  {
    id: 'watch-points',
    does: ['turned by hand'],
    station: 'condenser',
    label: 'The points while they open',
    set: 'Cap off, coil lead earthed; flick the points with the key on, in shade.',
    touch: 'Watch between the contacts.',
    watch:
      'A small blue snap is normal; fat arcs mean the condenser does nothing; nothing at all means no current is cut.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const on = scene.solve(KEY_ON_CLOSED);
        const off = scene.solve({ ...KEY_ON_CLOSED, points: 'open' });
        const cut = Math.abs(on.amps('coil')) - Math.abs(off.amps('coil'));
        const something = logistic((cut - 0.4) / 0.1);
        const fat = seen(figuresAt(scene.params, 'condenser').farads < 40e-9, 0.93);
        return { nothing: 1 - something, 'fat arcs': something * fat, 'small snap': something * (1 - fat) };
      },
    },
    state: KEY_ON_CLOSED,
    words: ['small snap', 'fat arcs', 'nothing'],
    needs: ['condenser', 'points'],
    minutes: 0.8,
    opens: ['cap off'],
    cautions: ['high tension', 'fuel vapour'],
  },
];
