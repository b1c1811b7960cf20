import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seenFrom } from '../../../machine/seen.ts';

export const magnetPull: CheckMaker = () => [
  {
    id: 'magnet-pull',
    does: ['turned by hand'],
    station: 'magnet-rotor',
    label: 'Pull of the magnets, turned by hand',
    set: 'Magneto off its drive or its coupling loose.',
    touch: 'Turn its shaft by hand.',
    watch: 'Two hard places to a turn. Soft all round: the magnets have lost their strength.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const soft = seenFrom(figuresAt(scene.params, 'magnet-rotor').strength, 0.92, 0.6, 0.85);
        return { 'soft all round': soft, 'two hard places': 1 - soft };
      },
    },
    state: KEY_OFF,
    words: ['two hard places', 'soft all round'],
    needs: ['magnet-rotor'],
    minutes: 8,
    opens: [],
    cautions: ['rotating parts'],
  },
];
