import { hasPart, loaded, touch, type CheckMaker } from '../../../machine/check.ts';

export const fuseVolts: CheckMaker = (machine) =>
  hasPart(machine, 'fuse')
    ? [
        {
          id: 'fuse-volts',
          station: 'fuse',
          label: 'Volts at the far side of the fuse',
          ...loaded(machine),
          touch: touch(machine, 'switch-in', 'block'),
          watch: 'Both ends of the fuse read alike when it is sound.',
          instrument: 'voltmeter',
          probe: { kind: 'across', live: 'switch-in', earth: 'block' },
          minutes: 1,
          opens: [],
        },
      ]
    : [];
