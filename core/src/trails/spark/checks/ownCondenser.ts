import { figuresAt } from '../../../machine/figures.ts';
import { eachOf, idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker, nodeOf, overPoints, openedWords, pullerCaution } from '../../../machine/check.ts';

/** Insulation, then capacitance, of the condenser of each cylinder. */
export const ownCondenser: CheckMaker = (machine) => [
  ...eachOf(machine, 'condenser', (n, named) => ({
    id: `condenser-${n}-insulation`,
    station: 'condenser',
    label: `${named('Condenser')} insulation`,
    set: `${openedWords(machine)}, the condenser’s wire unhooked from the points.`,
    touch: 'Red to its wire, black to its case.',
    watch: 'It kicks and climbs to OL.',
    instrument: 'ohmmeter',
    probe: {
      kind: 'ohms',
      red: nodeOf(machine, idOf('condenser', n), 'a'),
      black: nodeOf(machine, idOf('condenser', n), 'b'),
      bench: idOf('condenser', n),
    },
    state: KEY_OFF,
    minutes: 0.8,
    opens: [overPoints(machine), 'condenser unhooked'],
    cautions: pullerCaution(machine),
  })),
  ...eachOf(machine, 'condenser', (n, named) => ({
    id: `condenser-${n}-capacitance`,
    station: 'condenser',
    label: `${named('Condenser')} capacitance`,
    set: `${openedWords(machine)}, the condenser’s wire unhooked, condenser discharged.`,
    touch: 'Red to its wire, black to its case.',
    watch: 'Nearly nothing: it is open inside, and the points arc.',
    instrument: 'capacitance meter',
    probe: { kind: 'figure', value: (scene) => figuresAt(scene.params, idOf('condenser', n)).farads },
    state: KEY_OFF,
    needs: [idOf('condenser', n)],
    minutes: 0.8,
    opens: [overPoints(machine), 'condenser unhooked'],
    cautions: pullerCaution(machine),
  })),
];
