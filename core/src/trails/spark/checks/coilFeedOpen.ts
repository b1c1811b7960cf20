import { hasHeldPoints, KEY_ON_OPEN, touch, type CheckMaker } from '../../../machine/check.ts';

export const coilFeedOpen: CheckMaker = (machine) => [
  {
    id: 'coil-feed-open',
    station: 'coil',
    label: hasHeldPoints(machine) ? 'Volts at the coil’s feed, points open' : 'Volts at the coil’s feed, engine still',
    set: hasHeldPoints(machine)
      ? 'Key on, points open (bump the engine, or slip a card between them).'
      : 'Key on, engine still.',
    touch: touch(machine, 'coil+', 'block'),
    watch: 'No current flows, so a poor joint may still read well.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'coil+', earth: 'block' },
    state: KEY_ON_OPEN,
    minutes: 1.2,
    opens: [],
    cautions: [],
  },
];
