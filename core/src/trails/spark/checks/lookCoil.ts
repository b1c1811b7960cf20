import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';
import { PARTS } from '../parts/index.ts';
import type { Fit } from '../../../schema/fit.ts';

/** Outside 0.6 to 1.5 times the usual primary resistance the label itself differs. */
function coilBand(fit: Fit): [number, number] {
  const { low, high } = PARTS.coil.plates.find((p) => p.id === 'primaryOhms')!.typical(fit);
  return [low * 0.7, high * 1.35];
}

export const lookCoil: CheckMaker = () => [
  {
    id: 'look-coil',
    station: 'coil',
    label: 'The coil and how it is wired',
    set: 'Key off.',
    touch: 'Read the coil’s label and its terminal marks; note which lead goes where.',
    watch: 'A label that asks for a resistor where there is none; feed on the wrong terminal.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const swapped = seen(figuresAt(scene.params, 'coil').reversed > 0.5, 0.9);
        const [low, high] = coilBand(scene.machine.fit);
        const ohms = figuresAt(scene.params, 'coil').primaryOhms;
        const wrong = seen(
          ohms < 1e6 && figuresAt(scene.params, 'coil').henries > 2e-3 && (ohms < low || ohms > high),
          0.75,
        );
        return {
          'leads swapped': swapped,
          'wrong type': wrong * (1 - swapped),
          'as it should be': (1 - swapped) * (1 - wrong),
        };
      },
    },
    state: KEY_OFF,
    words: ['as it should be', 'wrong type', 'leads swapped'],
    needs: ['coil'],
    minutes: 1,
    opens: [],
    cautions: [],
    look: true,
  },
];
