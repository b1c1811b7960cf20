import { chargePeakVolts } from '../dischargeSpark.ts';
import { CRANKING, type CheckMaker, type Check } from '../../../machine/check.ts';

const OPEN: Check['state'] = { ...CRANKING, unplugged: ['connector'] };

export const chargePeakOpen: CheckMaker = () => [
  {
    id: 'charge-peak-open',
    station: 'charge-coil',
    label: 'Charge coil peak, unplugged',
    set: 'Connector apart. Crank at full speed, plugs out or earthed.',
    touch: 'Peak adapter: red to the charge coil’s wire, black to the engine.',
    watch: 'Low here: the coil itself, or weak magnets. It shows what ohms cannot.',
    instrument: 'peak adapter',
    picksUp: 6,
    probe: { kind: 'figure', value: (scene) => chargePeakVolts(scene, OPEN, 'chg') },
    state: OPEN,
    needs: ['charge-coil'],
    minutes: 1.5,
    opens: ['connectors apart'],
    cautions: ['capacitor charge', 'rotating parts'],
  },
];
