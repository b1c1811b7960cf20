import { fails, type Failing } from '../../../machine/cause.ts';
import { staysOn } from '../../shared/causes.ts';
import { tooMuchCurrent } from './common.ts';

export const pointsCauses: readonly Failing[] = [
  {
    of: [fails('breaker points', 'burnt')],
    causes: [
      ...tooMuchCurrent,
      staysOn,
      {
        id: 'condenser',
        label: 'The condenser is of the wrong value or failing',
        faults: [fails('condenser', 'open', 'leaky')],
        look: 'Watch the points for arcing; measure the condenser.',
        weight: 3,
      },
      {
        id: 'oil',
        label: 'Oil or grease on the contacts',
        faults: [],
        look: 'Look for oil under the base plate and too much grease on the cam.',
        weight: 2,
      },
    ],
  },
  {
    of: [
      fails('breaker points', 'closed-up'),
      fails('points of one coil', 'closed-up'),
      fails('flywheel points', 'closed-up'),
    ],
    causes: [
      {
        id: 'heel-dry',
        label: 'The heel ran dry on the cam',
        faults: [],
        look: 'Feel the cam for grease and the heel for wear.',
        weight: 4,
      },
      {
        id: 'screw-loose',
        label: 'The fixing screw was loose',
        faults: [],
        look: 'Try the screw before moving it.',
        weight: 2,
      },
    ],
  },
  {
    of: [fails('points of one coil', 'burnt'), fails('flywheel points', 'burnt')],
    causes: [
      {
        id: 'own-condenser',
        label: 'Its condenser is of the wrong value or failing',
        faults: [fails('condenser', 'open', 'leaky')],
        look: 'Watch the points for arcing; measure the condenser.',
        weight: 3,
      },
      {
        id: 'stood',
        label: 'It stood damp for years',
        faults: [],
        look: 'Look for furring on the faces.',
        weight: 3,
      },
    ],
  },
];
