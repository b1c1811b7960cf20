import { fails, type CauseSpec, type FailsSo, type Failing } from '../../../machine/cause.ts';

const hotOrLoose = (earth: FailsSo): readonly CauseSpec[] => [
  {
    id: 'earth-poor',
    label: 'It sat on a poor earth and cooked',
    faults: [earth],
    look: 'Measure its earth; look for dried or missing heat paste under it.',
    weight: 3,
  },
  {
    id: 'lead-open',
    label: 'A lead was off or open while it ran',
    faults: [fails('high-tension lead', 'open')],
    look: 'Measure every lead end to end.',
    weight: 2,
  },
];
const drivenHard: readonly CauseSpec[] = [
  {
    id: 'coil-low',
    label: 'The coil draws too much: turns shorted, or of the wrong type',
    faults: [fails('coil', 'primary-shorted', 'wrong')],
    look: 'Measure its primary; read its label.',
    weight: 3,
  },
];
const nutLoose: CauseSpec = {
  id: 'nut-loose',
  label: 'The flywheel nut was loose, or the taper dirty',
  faults: [],
  look: 'Look for bruises on the taper; try the nut before it comes off.',
  weight: 4,
};

/** Modules, packs, and what the flywheel carries. */
export const switchingCauses: readonly Failing[] = [
  { of: [fails('ignition module', 'dead', 'weak')], causes: hotOrLoose(fails('module earth', 'poor')) },
  { of: [fails('ignition module', 'dead', 'stuck')], causes: drivenHard },
  {
    of: [fails('power pack', 'dead'), fails('battery-fed pack', 'dead')],
    causes: hotOrLoose(fails('pack earth', 'poor')),
  },
  {
    of: [fails('charge coil', 'open')],
    causes: [
      {
        id: 'rubbed',
        label: 'The flywheel rubbed it',
        faults: [],
        look: 'Look for bright marks on coil and magnets; feel the crank’s bearing.',
        weight: 3,
      },
    ],
  },
  {
    of: [fails('charge coil', 'earthed')],
    causes: [
      { id: 'chafed', label: 'Its wire was pinched under the plate', faults: [], look: 'Follow the wire.', weight: 3 },
    ],
  },
  {
    of: [fails('flywheel', 'sheared')],
    causes: [
      nutLoose,
      { id: 'stopped-dead', label: 'The engine was stopped dead', faults: [], look: 'Ask the owner.', weight: 3 },
    ],
  },
  {
    of: [fails('impulse coupling', 'stuck')],
    causes: [
      { id: 'gum', label: 'Old grease turned to gum', faults: [], look: 'Smell and feel the pawls.', weight: 4 },
    ],
  },
];
