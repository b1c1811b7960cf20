import { fails, type CauseSpec, type Failing } from '../../../machine/cause.ts';
import { staysOn } from '../../shared/causes.ts';
import { cooked, openSecondary, tooMuchCurrent } from './common.ts';

const ownOpen: readonly CauseSpec[] = [
  {
    id: 'own-lead-open',
    label: 'Its lead or boot was open, so the spark had nowhere to go',
    faults: [fails('high-tension lead', 'open')],
    look: 'Measure the lead end to end.',
    weight: 3,
  },
  {
    id: 'own-gap-wide',
    label: 'Its plug’s gap burnt wide',
    faults: [fails('spark plug', 'wide')],
    look: 'Gauge the plug.',
    weight: 3,
  },
];
const coil = (...modes: string[]) => ({ ...fails('coil', ...modes), part: 'coil' });

export const coilCauses: readonly Failing[] = [
  { of: [coil('primary-open', 'primary-shorted')], causes: [...tooMuchCurrent, staysOn] },
  {
    of: [
      coil('insulation', 'secondary-open', 'secondary-shorted'),
      fails('rotor', 'punched'),
      fails('distributor cap', 'tracked'),
    ],
    causes: openSecondary,
  },
  {
    of: [fails('distributor cap', 'tracked')],
    causes: [
      {
        id: 'dirt',
        label: 'Dirt and damp on the cap',
        faults: [],
        look: 'Look for the path of the track and what started it.',
        weight: 3,
      },
    ],
  },
  {
    of: [
      fails('magneto coil', 'insulation', 'secondary-open', 'secondary-shorted'),
      fails('discharge coil', 'insulation', 'secondary-open', 'secondary-shorted'),
      fails('plug coil', 'dead', 'insulation'),
      fails('power pack', 'channel'),
      fails('battery-fed pack', 'channel'),
    ],
    causes: ownOpen,
  },
  {
    of: [fails('ballast', 'open')],
    causes: [
      { id: 'key-left-on', label: 'Key left on with the engine still', faults: [], look: 'Ask the owner.', weight: 3 },
    ],
  },
  { of: [fails('condenser', 'shorted'), fails('suppression capacitor', 'shorted')], causes: [cooked] },
];
