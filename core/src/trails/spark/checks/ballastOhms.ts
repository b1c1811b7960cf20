import { hasPart, KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

export const ballastOhms: CheckMaker = (machine) =>
  hasPart(machine, 'ballast')
    ? [
        {
          id: 'ballast-ohms',
          station: 'ballast',
          label: 'Ballast resistance',
          set: 'Key off, one wire off the ballast.',
          touch: 'Probes on its two terminals.',
          watch: 'Warm it reads more: let it cool.',
          instrument: 'ohmmeter',
          probe: { kind: 'ohms', red: 'ballast-in', black: 'coil+', bench: 'ballast' },
          state: KEY_OFF,
          minutes: 1.4,
          opens: [],
          cautions: ['hot coil'],
        },
      ]
    : [];
