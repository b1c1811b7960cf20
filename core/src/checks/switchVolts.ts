import { loaded, touch, type CheckMaker } from './check.ts';

export const switchVolts: CheckMaker = (layout) => [
  {
    id: 'switch-volts',
    station: 'switch',
    label: 'Volts out of the switch',
    ...loaded(layout),
    touch: touch(layout, 'switch-out', 'block'),
    watch: 'Read with the current flowing.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'switch-out', earth: 'block' },
    minutes: 1.3,
    opens: ['behind the dash'],
  },
];
