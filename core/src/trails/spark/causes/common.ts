import { fails, type CauseSpec } from '../../../machine/cause.ts';

/** Causes that stand behind more than one part of an ignition. */
export const tooMuchCurrent: readonly CauseSpec[] = [
  {
    id: 'ballast-bypassed',
    label: 'The coil draws too much: its ballast is bypassed',
    faults: [fails('ballast', 'bypassed')],
    look: 'Follow the feed through the ballast; measure it.',
    weight: 3,
  },
  {
    id: 'wrong-coil',
    label: 'The coil draws too much: it is of the wrong type',
    faults: [fails('coil', 'wrong')],
    look: 'Read the coil’s label; measure its primary.',
    weight: 2,
  },
];
export const openSecondary: readonly CauseSpec[] = [
  {
    id: 'lead-open',
    label: 'A lead was open, so the spark had nowhere to go',
    faults: [fails('high-tension lead', 'open')],
    look: 'Measure every lead end to end.',
    weight: 3,
  },
  {
    id: 'gaps-wide',
    label: 'Plug gaps burnt wide',
    faults: [fails('set of plugs', 'wide'), fails('spark plug', 'wide')],
    look: 'Gauge every plug.',
    weight: 3,
  },
];
export const cooked: CauseSpec = {
  id: 'heat',
  label: 'Mounted where it cooks',
  faults: [],
  look: 'See how near the exhaust it sits.',
  weight: 1,
};
