import { KEY_ON_CLOSED, touch, type CheckMaker } from '../../../machine/check.ts';

export const bodyDrop: CheckMaker = (machine) => [
  {
    id: 'body-drop',
    station: 'body',
    label: 'Voltage drop, points base plate to engine block',
    set: 'Key on, points closed (bump the engine until they are).',
    touch: touch(machine, 'plate', 'block'),
    watch: 'The plate’s pigtail breaks inside its insulation.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'plate', earth: 'block' },
    state: KEY_ON_CLOSED,
    minutes: 1,
    opens: ['cap off'],
    cautions: [],
  },
];
