import { hasPart, KEY_ON_OPEN, touch, type CheckMaker } from './check.ts';

export const coilMinusOpen: CheckMaker = (layout) => [
  {
    id: 'coil-minus-open',
    station: 'coil',
    label: hasPart(layout, 'points')
      ? 'Volts at the coil’s points terminal, points open'
      : `Volts at ${layout.nodeNames['coil-']}, key on`,
    set: hasPart(layout, 'points')
      ? 'Key on, points open (bump the engine, or slip a card between them).'
      : 'Key on, engine still.',
    touch: touch(layout, 'coil-', 'block'),
    watch: 'Through the whole primary: the same as the feed when nothing leaks.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'coil-', earth: 'block' },
    state: KEY_ON_OPEN,
    minutes: 1.2,
    opens: [],
    cautions: [],
  },
];
