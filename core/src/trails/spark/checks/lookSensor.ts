import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

export const lookSensor: CheckMaker = () => [
  {
    id: 'look-sensor',
    does: ['turned by hand'],
    station: 'trigger',
    label: 'The sensor and its vane',
    set: 'Key off, cap off.',
    touch: 'Look into the slot with a lamp; turn the shaft and see whether the vane runs clear.',
    watch: 'Oil, dust or water in the slot, a bent vane, a loose sensor.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const dirty = seen((figuresAt(scene.params, 'sensor').dirty ?? 0) > 0, 0.92);
        return { 'dirty or out of place': dirty, 'clean and clear': 1 - dirty };
      },
    },
    state: KEY_OFF,
    words: ['clean and clear', 'dirty or out of place'],
    needs: ['sensor'],
    minutes: 1,
    opens: ['cap off'],
    cautions: [],
  },
];
