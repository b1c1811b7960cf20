import { KEY_ON_OPEN, touch, type CheckMaker } from '../../../machine/check.ts';

export const pointsTerminal: CheckMaker = (machine) => [
  {
    id: 'points-terminal-open',
    station: 'coil-minus',
    label: 'Volts at the terminal of the points, points open',
    set: 'Key on, points open (bump the engine, or slip a card between them).',
    touch: touch(machine, 'points', 'plate'),
    watch: 'The same as at the coil when the wire is whole.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'points', earth: 'plate' },
    state: KEY_ON_OPEN,
    minutes: 1.2,
    opens: ['cap off'],
    cautions: [],
  },
];
