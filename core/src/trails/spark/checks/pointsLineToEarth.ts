import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

export const pointsLineToEarth: CheckMaker = () => [
  {
    id: 'points-line-to-earth',
    station: 'coil-minus',
    label: 'Points line to earth, points open, ohms',
    set: 'Key off, points open, the thin wire off the coil’s points terminal.',
    touch: 'Red to that wire, black to the engine block.',
    watch: 'Nothing but insulation: OL. A low reading is a short in wire, condenser or points.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: 'coil-', black: 'block' },
    state: { ...KEY_OFF, unplugged: ['coil'] },
    minutes: 1.5,
    opens: ['coil leads off'],
    cautions: [],
  },
];
