import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { firstSeen, seen, seenFrom } from '../../../machine/seen.ts';

/** A track that leaks more than this is seen as a grey line, ohms. */
const TRACKED_OHMS = 600e3;

export const lookRotor: CheckMaker = () => [
  {
    id: 'look-rotor',
    station: 'rotor',
    label: 'The rotor arm',
    set: 'Key off, cap off, rotor off its shaft.',
    touch: 'Look under it and at its tip; press its spring.',
    watch: 'A pinhole with a burnt rim, a tip burnt short, a spring that is gone, a grey line from brass to shaft.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const rotor = figuresAt(scene.params, 'rotor');
        const spring = (rotor.springGone ?? 0) > 0;
        return firstSeen(
          [
            ['spring gone', seen(spring, 0.97)],
            ['tip burnt short', spring ? seen(false, 0.95) : seenFrom(rotor.gapVolts, 2500, 7000, 0.95)],
            ['carbon track', seen((rotor.carbonOhms ?? Infinity) < TRACKED_OHMS, 0.93)],
            ['burnt through', seen(rotor.flashVolts < 10e3, 0.35)],
          ],
          'sound',
        );
      },
    },
    state: KEY_OFF,
    words: ['sound', 'burnt through', 'tip burnt short', 'spring gone', 'carbon track'],
    needs: ['rotor'],
    minutes: 0.5,
    opens: ['cap off'],
    cautions: [],
  },
];
