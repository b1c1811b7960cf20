import { hasPart, KEY_ON_OPEN, touch, type CheckMaker } from '../../../machine/check.ts';

export const coilMinusOpen: CheckMaker = (machine) => [
  {
    id: 'coil-minus-open',
    station: 'coil',
    label: hasPart(machine, 'points')
      ? 'Volts at the coil’s points terminal, points open'
      : `Volts at ${machine.nodeNames['coil-']}, key on`,
    set: hasPart(machine, 'points')
      ? 'Key on, points open (bump the engine, or slip a card between them).'
      : 'Key on, engine still.',
    touch: touch(machine, 'coil-', 'block'),
    watch: 'Through the whole primary: the same as the feed when nothing leaks.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'coil-', earth: 'block' },
    state: KEY_ON_OPEN,
    minutes: 1.2,
    opens: [],
    cautions: [],
  },
];
