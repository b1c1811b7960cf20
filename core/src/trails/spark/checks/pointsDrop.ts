import { KEY_ON_CLOSED, touch, type CheckMaker } from '../../../machine/check.ts';

export const pointsDrop: CheckMaker = (machine) => [
  {
    id: 'points-drop',
    station: 'points',
    label: 'Drop across the closed points',
    set: 'Key on, points closed (bump the engine until they are).',
    touch: touch(machine, 'points', 'plate'),
    watch: 'A clean pair drops 0.1 to 0.25 V at most at rated current.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'points', earth: 'plate' },
    state: KEY_ON_CLOSED,
    minutes: 1.2,
    opens: ['cap off'],
    cautions: [],
  },
];
