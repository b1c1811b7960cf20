import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seenFrom } from '../../../machine/seen.ts';

export const magnets: CheckMaker = () => [
  {
    id: 'magnets',
    station: 'flywheel',
    label: 'Magnets of the flywheel',
    set: 'Flywheel off, away from steel dust.',
    touch: 'Hang a light spanner on each magnet in turn; try each for looseness.',
    watch: 'All pull alike and hard; none rattles, none is cracked.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const weak = seenFrom(figuresAt(scene.params, 'flywheel').strength, 0.95, 0.65, 0.8);
        return { 'weak or loose': weak, 'all pull alike': 1 - weak };
      },
    },
    state: KEY_OFF,
    words: ['all pull alike', 'weak or loose'],
    needs: ['flywheel'],
    minutes: 1,
    opens: ['flywheel off'],
    cautions: ['flywheel puller'],
  },
];
