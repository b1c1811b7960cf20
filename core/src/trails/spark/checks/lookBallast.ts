import { figuresAt } from '../../../machine/figures.ts';
import { hasPart, KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

export const lookBallast: CheckMaker = (machine) =>
  hasPart(machine, 'ballast')
    ? [
        {
          id: 'look-ballast',
          station: 'ballast',
          label: 'The ballast and its wires',
          set: 'Key off.',
          touch: 'Follow the feed through the ballast to the coil.',
          watch: 'A wire across it, a burnt element, or none at all.',
          instrument: 'eyes',
          probe: {
            kind: 'look',
            sees: (scene) => {
              const ohms = figuresAt(scene.params, 'ballast').ohms;
              const [bypassed, burnt] = [seen(ohms < 0.3, 0.8), seen(ohms > 1e6, 0.4)];
              return { bypassed, burnt: burnt * (1 - bypassed), fitted: (1 - bypassed) * (1 - burnt) };
            },
          },
          state: KEY_OFF,
          words: ['fitted', 'burnt', 'bypassed'],
          needs: ['ballast'],
          minutes: 0.8,
          opens: [],
          cautions: [],
          look: true,
        },
      ]
    : [];
