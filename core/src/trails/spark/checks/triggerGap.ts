import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

export const triggerGap: CheckMaker = () => [
  {
    id: 'trigger-gap',
    station: 'trigger',
    label: 'Trigger’s gap to its magnet',
    set: 'Flywheel off.',
    touch: 'Look how the trigger sits on its bracket and whether its screws are tight.',
    watch: 'A bent bracket, loose screws, rubbing marks.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const far = seen((figuresAt(scene.params, 'trigger').farFromMagnet ?? 0) > 0.5, 0.85);
        return { 'out of place': far, 'in place': 1 - far };
      },
    },
    state: KEY_OFF,
    words: ['in place', 'out of place'],
    needs: ['trigger', 'flywheel'],
    minutes: 1,
    opens: ['flywheel off'],
    cautions: ['flywheel puller'],
  },
];
