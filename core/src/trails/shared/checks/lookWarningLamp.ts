import { KEY_ON_CLOSED, type CheckMaker } from '../../../machine/check.ts';
import { logistic } from '../../../random/lcg.ts';

export const lookWarningLamp: CheckMaker = () => [
  {
    id: 'look-warning-lamp',
    station: 'switch',
    label: 'Warning lamp with the key on',
    set: 'Key on, engine still.',
    touch: 'Look at the ignition warning lamp.',
    watch: 'Bright tells that battery, feed and switch carry at least a lamp.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const at = scene.solve(KEY_ON_CLOSED);
        const share = Math.abs(at.volts('switch-out') - at.volts('block')) / scene.machine.fit.volts;
        const bright = logistic((share - 0.72) / 0.05);
        const out = logistic((0.3 - share) / 0.05);
        return { bright, out, dim: Math.max(0, 1 - bright - out) };
      },
    },
    state: KEY_ON_CLOSED,
    words: ['bright', 'dim', 'out'],
    needs: ['warning-lamp'],
    minutes: 0.3,
    opens: [],
    cautions: [],
    look: true,
  },
];
