import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

export const coilPrimary: CheckMaker = () => [
  {
    id: 'coil-primary',
    station: 'coil',
    label: 'Coil primary resistance',
    set: 'Key off, both thin leads off the coil. Short the probes first and subtract what they read.',
    touch: 'Probes on the two small terminals of the coil.',
    watch: 'The winding alone; a warm coil reads a little more.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: 'coil+', black: 'coil-', bench: 'coil' },
    state: KEY_OFF,
    minutes: 1,
    opens: ['coil leads off'],
    cautions: ['hot coil'],
  },
];
