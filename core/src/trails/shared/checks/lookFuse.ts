import { figuresAt } from '../../../machine/figures.ts';
import { hasPart, KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

export const lookFuse: CheckMaker = (machine) =>
  hasPart(machine, 'fuse')
    ? [
        {
          id: 'look-fuse',
          station: 'fuse',
          label: 'The fuse',
          set: 'Key off, fuse out of its holder.',
          touch: 'Hold it to the light; look into the holder.',
          watch: 'A blackened glass blew hard: find out why.',
          instrument: 'eyes',
          probe: {
            kind: 'look',
            sees: (scene) => {
              const fuse = figuresAt(scene.params, 'fuse');
              const blown = seen(fuse.ohms > 1, 0.95);
              const holder = seen(fuse.holderOhms > 0.5, 0.6);
              return { blown, 'holder corroded': holder * (1 - blown), whole: (1 - blown) * (1 - holder) };
            },
          },
          state: KEY_OFF,
          words: ['whole', 'blown', 'holder corroded'],
          needs: ['fuse'],
          minutes: 1,
          opens: [],
          cautions: [],
          look: true,
        },
      ]
    : [];
