import { KEY_OFF, type CheckMaker } from './check.ts';

/** One for each cylinder. */
export const plugGap: CheckMaker = (layout) =>
  Array.from({ length: layout.fit.cylinders }, (_, i) => ({
    id: `plug-${i + 1}-gap`,
    station: 'plugs',
    label: `Plug ${i + 1} gap`,
    set: 'Plugs out, laid in order.',
    touch: 'Feeler or wire gauge between the electrodes.',
    watch: 'Compare them side by side.',
    instrument: 'feeler gauge',
    probe: {
      kind: 'figure',
      value: (scene) => scene.params[`plug-${i + 1}`]!['gapMetres']! + scene.params['plugs']!['extraGap']!,
    },
    state: KEY_OFF,
    minutes: 0.6,
    opens: ['plugs out'],
    cautions: ['fuel vapour'],
  }));
