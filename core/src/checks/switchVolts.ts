import { KEY_ON_CLOSED, touch, type CheckMaker } from './check.ts';

export const switchVolts: CheckMaker = (layout) => [
  {
    id: 'switch-volts',
    station: 'switch',
    label: 'Volts out of the switch',
    set: 'Key on, points closed (bump the engine until they are).',
    touch: touch(layout, 'switch-out', 'block'),
    watch: 'Read with the current flowing.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'switch-out', earth: 'block' },
    state: KEY_ON_CLOSED,
    minutes: 1.3,
    opens: ['behind the dash'],
    cautions: [],
  },
];
