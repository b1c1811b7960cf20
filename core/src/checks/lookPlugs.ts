import { KEY_OFF, type CheckMaker } from './check.ts';
import { seen } from './seen.ts';

const plugWords = (cylinders: number): string[] => [
  'all dry and even',
  'all wet or sooty',
  ...Array.from({ length: cylinders }, (_, i) => `only ${i + 1} is wet or sooty`),
];

export const lookPlugs: CheckMaker = (layout) => [
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
        const one = (i: number) => seen(scene.params[`plug-${i}`]!['shuntOhms']! < 1e6, 0.9);
        const all = seen(scene.params['plugs']!['shuntOhms']! < 1e6, 0.97);
        const each = Array.from({ length: scene.layout.fit.cylinders }, (_, i) => one(i + 1) * (1 - all));
        const shares: Record<string, number> = { 'all wet or sooty': all };
        each.forEach((p, i) => (shares[`only ${i + 1} is wet or sooty`] = p));
        shares['all dry and even'] = Math.max(0, 1 - Object.values(shares).reduce((a, b) => a + b, 0));
        return shares;
      },
    },
    state: KEY_OFF,
    words: plugWords(layout.fit.cylinders),
    minutes: 1,
    opens: ['plugs out'],
    cautions: ['fuel vapour', 'hot coil'],
  },
];
