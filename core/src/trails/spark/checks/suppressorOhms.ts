import { KEY_OFF, nodeOf, type CheckMaker } from '../../../machine/check.ts';

export const suppressorOhms: CheckMaker = (machine) => [
  {
    id: 'suppressor-insulation',
    station: 'coil-feed',
    label: 'Suppression capacitor’s insulation',
    set: 'Key off, the capacitor’s wire off.',
    touch: 'Red to its wire, black to its case.',
    watch: 'It kicks and climbs to OL. Near nothing: it blows the fuse.',
    instrument: 'ohmmeter',
    probe: {
      kind: 'ohms',
      red: nodeOf(machine, 'suppressor', 'a'),
      black: nodeOf(machine, 'suppressor', 'b'),
      bench: 'suppressor',
    },
    state: KEY_OFF,
    minutes: 1.2,
    opens: [],
    cautions: [],
  },
];
