import { lameCylinders } from '../../../engine/squeeze.ts';
import type { CheckMaker } from '../../../machine/check.ts';
import { ofSeveral } from '../../../machine/several.ts';
import { RUNNING } from '../../../machine/state.ts';

/** Earth one plug lead at a time while it runs: the cylinder that makes no difference is the lazy one. */
export const cylinderDrop: CheckMaker = (machine) => {
  if (machine.fit.cylinders < 2) return [];
  const ownCoils = machine.fit.spark === 'coil-on-plug';
  return [
    {
      id: 'cylinder-drop',
      station: 'plugs',
      label: 'Which cylinder makes no difference',
      set: 'Engine running at a fast idle, out of doors or with the exhaust led away.',
      touch: ownCoils
        ? 'Unplug the connector of one coil after the other for two seconds, by its catch and not by its wires.'
        : 'With insulated pliers earth one plug lead after the other for two seconds.',
      watch: 'Listen and watch the revs: each sound cylinder drops them alike; the lazy one does not.',
      instrument: 'eyes',
      probe: {
        kind: 'look',
        sees: (scene) => {
          const { none: all, alone } = ofSeveral(lameCylinders(scene, RUNNING));
          const shares: Record<string, number> = {};
          let named = all;
          alone.forEach((only, k) => {
            shares[`only ${k + 1} makes none`] = 0.95 * only + 0.01 * all;
            named += 0.95 * only;
          });
          shares['all drop alike'] = all * (1 - 0.01 * alone.length);
          shares['will not run so'] = Math.max(0, 1 - named);
          return shares;
        },
      },
      state: RUNNING,
      words: [
        'all drop alike',
        ...Array.from({ length: machine.fit.cylinders }, (_, i) => `only ${i + 1} makes none`),
        'will not run so',
      ],
      minutes: 1 + 0.25 * machine.fit.cylinders,
      opens: [],
      cautions: [
        'high tension',
        'fuel vapour',
        'rotating parts',
        'exhaust gas',
        ...(machine.fit.marine ? (['marine'] as const) : []),
      ],
    },
  ];
};
