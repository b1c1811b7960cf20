import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

export const coilLeadOhms: CheckMaker = () => [
  {
    id: 'coil-lead-ohms',
    station: 'coil-lead',
    label: 'Coil lead resistance',
    set: 'Coil lead off at both ends.',
    touch: 'Probes on its two ends.',
    watch: 'A carbon core may read open and still pass a weak spark.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: 'ht-a', black: 'ht-b', bench: 'coil-lead' },
    state: KEY_OFF,
    minutes: 1,
    opens: [],
    cautions: [],
  },
];
