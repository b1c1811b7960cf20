import { idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

const plugWords = (cylinders: number): string[] => [
  'all dry and even',
  'all wet or sooty',
  'all gaps wide',
  ...Array.from({ length: cylinders }, (_, i) => `only ${i + 1} is wet or sooty`),
  ...Array.from({ length: cylinders }, (_, i) => `only ${i + 1} has a wide gap`),
];

/** One plug among many: false alarms are spread over all of them. */
const seenOne = (there: boolean): number => (there ? 0.93 : 0.003);

export const lookPlugs: CheckMaker = (machine) => [
  {
    id: 'look-plugs',
    station: 'plugs',
    label: 'Plugs, side by side',
    set: 'Plugs out, laid in order.',
    touch: 'Look at the noses and smell them.',
    watch: 'All wet or sooty; one unlike the rest; gaps.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const all = scene.params['plugs']!;
        const wet = seen(all['shuntOhms']! < 1e6, 0.97);
        const wide = seen(all['extraGap']! > 0.6e-3, 0.95) * (1 - wet);
        const shares: Record<string, number> = { 'all wet or sooty': wet, 'all gaps wide': wide };
        for (let i = 1; i <= scene.machine.fit.cylinders; i++) {
          const own = scene.params[idOf('plug', i)]!;
          shares[`only ${i} is wet or sooty`] = seenOne(own['shuntOhms']! < 1e6) * (1 - wet - wide);
          shares[`only ${i} has a wide gap`] = seenOne(own['gapMetres']! > 1.3e-3) * (1 - wet - wide);
        }
        shares['all dry and even'] = Math.max(0, 1 - Object.values(shares).reduce((a, b) => a + b, 0));
        return shares;
      },
    },
    state: KEY_OFF,
    words: plugWords(machine.fit.cylinders),
    needs: ['plugs'],
    minutes: 1,
    opens: ['plugs out'],
    cautions: ['fuel vapour', 'hot coil'],
  },
];
