import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

export const lookClamps: CheckMaker = () => [
  {
    id: 'look-clamps',
    station: 'terminals',
    label: 'Battery clamps and engine strap',
    set: 'Key off.',
    touch: 'Twist each clamp and the strap’s ends by hand.',
    watch: 'White or green growth, a clamp that turns, a strap hanging by threads.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const bad = (id: 'live-clamp' | 'strap') => seen(figuresAt(scene.params, id).ohms > 0.003, 0.8);
        const [clamp, strap] = [bad('live-clamp'), bad('strap')];
        return { 'clamp bad': clamp, 'strap bad': strap * (1 - clamp), sound: (1 - clamp) * (1 - strap) };
      },
    },
    state: KEY_OFF,
    words: ['sound', 'clamp bad', 'strap bad'],
    needs: ['live-clamp'],
    minutes: 0.6,
    opens: [],
    cautions: ['battery'],
    look: true,
  },
];
