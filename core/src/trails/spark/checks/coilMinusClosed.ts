import { KEY_ON_CLOSED, touch, type CheckMaker } from '../../../machine/check.ts';

export const coilMinusClosed: CheckMaker = (machine) => [
  {
    id: 'coil-minus-closed',
    station: 'points',
    label: 'Volts left at the coil’s points terminal, points closed',
    set: 'Key on, points closed (bump the engine until they are).',
    touch: touch(machine, 'coil-', '0'),
    watch: 'All that the wire, the points and the earths lose. Small is good.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'coil-', earth: '0' },
    state: KEY_ON_CLOSED,
    minutes: 1.2,
    opens: [],
    cautions: [],
  },
];
