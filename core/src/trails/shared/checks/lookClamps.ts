import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { logistic } from '../../../random/lcg.ts';
import { seenSo } from '../../../machine/seen.ts';

/** From about so much a joint of the starter's current is seen or felt to be poor, ohms. */
const POOR_OHMS = 2e-3;

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
        const bad = (id: 'live-clamp' | 'strap') =>
          seenSo(logistic(Math.log(figuresAt(scene.params, id).ohms / POOR_OHMS) / 0.5), 0.78);
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
