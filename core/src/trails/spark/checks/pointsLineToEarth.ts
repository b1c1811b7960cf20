import { KEY_OFF, switching, type CheckMaker } from '../../../machine/check.ts';

export const pointsLineToEarth: CheckMaker = (machine) => {
  const { name } = switching(machine);
  const points = name === 'points';
  return [
    {
      id: 'points-line-to-earth',
      station: 'coil-minus',
      label: points ? 'Points line to earth, points open, ohms' : `Line of the ${name} to earth, ohms`,
      set: points
        ? 'Key off, points open, the thin wire off the coil’s points terminal.'
        : `Key off, the thin wire to the ${name} off the coil.`,
      touch: 'Red to that wire, black to the engine block.',
      watch: `Nothing but insulation: OL. A low reading is a short in ${points ? 'wire, condenser or points' : `wire or ${name}`}.`,
      instrument: 'ohmmeter',
      probe: { kind: 'ohms', red: 'coil-', black: 'block' },
      state: { ...KEY_OFF, unplugged: ['coil'] },
      minutes: 1.5,
      opens: ['coil leads off'],
      cautions: [],
    },
  ];
};
