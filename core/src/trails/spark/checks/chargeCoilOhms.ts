import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

export const chargeCoilOhms: CheckMaker = () => [
  {
    id: 'charge-coil-ohms',
    station: 'charge-coil',
    label: 'Charge coil resistance',
    set: 'Engine still, its connector apart. Short the probes first and subtract what they read.',
    touch: 'Red to the charge coil’s wire, black to the other end of the coil or, where it has none, to the engine.',
    watch:
      'OL is an open coil, far too little a shorted or earthed one. Right ohms do not clear it: it may break down under voltage.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: 'chg', black: '0' },
    state: { ...KEY_OFF, unplugged: ['connector'] },
    minutes: 1,
    opens: ['connectors apart'],
    cautions: [],
  },
];
