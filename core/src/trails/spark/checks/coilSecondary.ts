import { KEY_OFF, switching, type CheckMaker } from '../../../machine/check.ts';

export const coilSecondary: CheckMaker = (machine) => [
  {
    id: 'coil-secondary',
    station: 'coil',
    label: 'Coil secondary resistance',
    set: 'Key off, coil lead and thin leads off the coil.',
    touch: `One probe in the tower, one on the terminal of the ${switching(machine).name}.`,
    watch: 'Thousands of ohms. Open does not always mean no spark: it may jump inside.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: 'tower', black: 'coil-', bench: 'coil' },
    state: KEY_OFF,
    minutes: 1.2,
    opens: ['coil leads off'],
    cautions: ['hot coil'],
  },
];
