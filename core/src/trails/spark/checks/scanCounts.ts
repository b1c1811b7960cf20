import { ofSeveral } from '../../../machine/several.ts';
import { missShares } from '../../../instruments/scanReader.ts';
import { logistic } from '../../../random/lcg.ts';
import { KEY_ON_OPEN, type CheckMaker } from '../../../machine/check.ts';

/** Misses in a hundred firings from which a count stands out. */
const STANDS_OUT = 0.02;

export const scanCounts: CheckMaker = (machine) => [
  {
    id: 'scan-counts',
    station: 'computer',
    label: 'Stored misses by cylinder, and the frame frozen with them',
    set: 'Key on, scan reader plugged in. Read the counts before anything is cleared.',
    touch: 'Read the count of each cylinder, and at what speed and load the last miss came.',
    watch: 'One cylinder counts: its coil, boot or plug. Several: look at what they share.',
    instrument: 'scan reader',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const counts = missShares(scene).map((s) => 0.97 * logistic((s - STANDS_OUT) / 0.005) + 0.002);
        const { none, alone } = ofSeveral(counts);
        const shares: Record<string, number> = { 'none counts': none };
        alone.forEach((only, k) => {
          shares[`only ${k + 1} counts`] = only;
        });
        shares['several count'] = Math.max(0, 1 - Object.values(shares).reduce((a, b) => a + b, 0));
        return shares;
      },
    },
    state: KEY_ON_OPEN,
    words: [
      'none counts',
      ...Array.from({ length: machine.fit.cylinders }, (_, i) => `only ${i + 1} counts`),
      'several count',
    ],
    needs: ['command-1'],
    minutes: 3,
    opens: [],
    cautions: [],
  },
];
