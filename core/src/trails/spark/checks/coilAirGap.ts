import { figuresAt, needed } from '../../../machine/figures.ts';
import { eachOf, idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

/** Coil of a magneto against its flywheel: one for each cylinder. */
export const coilAirGap: CheckMaker = (machine) =>
  eachOf(machine, 'coil', (n, named) => ({
    id: `coil-${n}-air-gap`,
    station: 'coils',
    label: `${named('Coil')}: gap to the flywheel`,
    set: 'Engine still, cowl off, a magnet under the coil’s feet.',
    touch: 'Slide a feeler of brass or card between the laminations and the flywheel.',
    watch: 'Alike on both feet; no rubbing marks.',
    instrument: 'feeler gauge',
    probe: {
      kind: 'figure',
      value: (scene) => needed(figuresAt(scene.params, idOf('coil', n)).airGapMetres, 'airGapMetres'),
    },
    state: KEY_OFF,
    figure: `${idOf('coil', n)}.airGapMetres`,
    needs: [idOf('coil', n), idOf('points', n), 'flywheel'],
    minutes: 1.5,
    opens: ['cowl off'],
    cautions: [],
  }));
