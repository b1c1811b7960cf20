import { loaded, touch, type CheckMaker } from '../../../machine/check.ts';

export const switchVolts: CheckMaker = (machine) => [
  {
    id: 'switch-volts',
    station: 'switch',
    label: 'Volts out of the switch',
    ...loaded(machine),
    touch: touch(machine, 'switch-out', 'block'),
    watch: 'Read with the current flowing.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'switch-out', earth: 'block' },
    minutes: 1.3,
    opens: ['behind the dash'],
  },
];
