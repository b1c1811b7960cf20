import { hasPart, loaded, touch, type CheckMaker } from '../../../machine/check.ts';

export const ballastVolts: CheckMaker = (machine) =>
  hasPart(machine, 'ballast')
    ? [
        {
          id: 'ballast-volts',
          station: 'coil-feed',
          label: 'Volts into the ballast',
          ...loaded(machine),
          touch: touch(machine, 'ballast-in', 'block'),
          watch: 'Read with the current flowing.',
          instrument: 'voltmeter',
          probe: { kind: 'across', live: 'ballast-in', earth: 'block' },
          minutes: 1.2,
          opens: [],
        },
      ]
    : [];
