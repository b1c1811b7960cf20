import { eachOf, idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker, nodeOf, overPoints, openedWords, pullerCaution } from '../../../machine/check.ts';

/** Contacts closed, then open, their wires unhooked: one of each for each cylinder. */
export const ownPointsOhms: CheckMaker = (machine) => [
  ...eachOf(machine, 'points', (n, named) => ({
    id: `points-${n}-closed`,
    station: 'points',
    label: `${named('Points')} closed: contact resistance`,
    set: `${openedWords(machine)}, points closed, coil and condenser unhooked. Short the probes first and subtract what they read.`,
    touch: 'Red to the moving contact’s spring, black to the base plate.',
    watch: 'Nearly nothing. An ohm here takes most of a magneto’s current.',
    instrument: 'ohmmeter',
    probe: {
      kind: 'ohms',
      red: nodeOf(machine, idOf('points', n), 'a'),
      black: nodeOf(machine, idOf('points', n), 'b'),
      bench: idOf('points', n),
    },
    state: { key: 'off', points: 'closed' },
    minutes: 0.8,
    opens: [overPoints(machine), 'condenser unhooked'],
    cautions: pullerCaution(machine),
  })),
  ...eachOf(machine, 'points', (n, named) => ({
    id: `points-${n}-open`,
    station: 'points',
    label: `${named('Points')} open: insulation`,
    set: `${openedWords(machine)}, points held open, coil and condenser unhooked.`,
    touch: 'Red to the moving contact’s spring, black to the base plate.',
    watch: 'OL when its insulating washers are all there.',
    instrument: 'ohmmeter',
    probe: {
      kind: 'ohms',
      red: nodeOf(machine, idOf('points', n), 'a'),
      black: nodeOf(machine, idOf('points', n), 'b'),
      bench: idOf('points', n),
    },
    state: KEY_OFF,
    minutes: 0.8,
    opens: [overPoints(machine), 'condenser unhooked'],
    cautions: pullerCaution(machine),
  })),
];
