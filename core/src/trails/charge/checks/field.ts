import { figuresAt, figuresIfAny, needed } from '../../../machine/figures.ts';
import { FAST, KEY_OFF } from '../../../machine/state.ts';
import type { Check, CheckMaker } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import { OPEN_OHMS } from '../../../machine/part.ts';
import type { Scene } from '../../../machine/scene.ts';
import { seen } from '../../../machine/seen.ts';
import { circuitOf, fieldVolts } from '../fieldCircuit.ts';
import { BELT, CUTOUT, FIELD_WIRE, REGULATOR, SOURCE } from '../making.ts';
import { running } from './volts.ts';
import { kindOf } from './which.ts';

/** Whether the machine gives all it can once its field has all it asks. */
function ableAtFullField(scene: Scene): boolean {
  const own = figuresAt(scene.params, SOURCE);
  const whole = needed(own.fieldOhms, 'fieldOhms') < OPEN_OHMS && own.ohms < OPEN_OHMS;
  const carried = figuresAt(scene.params, BELT).carried > 0.6 && (own.share ?? 1) > 0.55;
  const through =
    figuresAt(scene.params, 'charge-wire').ohms < 0.3 * scene.machine.fit.volts &&
    (figuresIfAny(scene.params, CUTOUT)?.stays ?? 0) > -0.5;
  return whole && (own.residual ?? 1) > 0.008 && carried && through;
}
const rises = (able: boolean) => (able ? { rise: 0.95, 'no change': 0.05 } : { rise: 0.04, 'no change': 0.96 });

const feeding = (
  machine: Machine,
  own: Pick<Check, 'id' | 'station' | 'label' | 'touch' | 'watch' | 'needs'>,
  able: (scene: Scene) => boolean,
): Check => ({
  ...running(machine, FAST),
  set: 'Engine a little above idle, lamps and radio off, meter on the battery. Two seconds, no more.',
  instrument: 'eyes',
  words: ['rise', 'no change'],
  minutes: 3,
  cautions: ['full field', 'charging battery', 'rotating parts', 'exhaust gas'],
  ...own,
  probe: { kind: 'look', sees: (scene) => rises(able(scene)) },
});

/** Fed past its regulator for a moment; a generator also at its box, with the field wire in the way. */
export const fullField: CheckMaker = (machine) => {
  const kind = kindOf(machine);
  if (kind === 'generator') return generatorFullField(machine);
  if (machine.fit.charge?.kind !== 'alternator-apart') return [];
  return [
    feeding(
      machine,
      {
        id: 'charge-full-field',
        station: REGULATOR,
        label: 'Full field for a moment: do the volts rise?',
        touch: 'Feed the field past the regulator as its circuit asks.',
        watch: 'Volts rise at once: the regulator, or what feeds it. They do not: the generator or alternator itself.',
        needs: [SOURCE, BELT],
      },
      ableAtFullField,
    ),
  ];
};

const generatorFullField = (machine: Machine): Check[] => {
  const a = circuitOf(machine.fit) === 'A';
  return [
    feeding(
      machine,
      {
        id: 'charge-full-field-box',
        station: FIELD_WIRE,
        label: 'Full field at the regulator box: do the volts rise?',
        touch: a
          ? 'Field wire off the box; its end to bare metal (the far end of this field goes to earth).'
          : 'Field wire off the box; its end to the box’s armature terminal (this field is fed from the armature).',
        watch: 'Volts rise at once: the regulator or its earth. They do not: the wire, or the generator.',
        needs: [SOURCE, BELT, FIELD_WIRE],
      },
      (scene) =>
        ableAtFullField(scene) && figuresAt(scene.params, FIELD_WIRE).ohms < OPEN_OHMS && !shortedIn(scene, 'B'),
    ),
    feeding(
      machine,
      {
        id: 'charge-full-field',
        station: SOURCE,
        label: 'Full field at the generator: do the volts rise?',
        touch: a
          ? 'Field wire off the generator; a jumper from its field terminal to bare metal.'
          : 'Field wire off the generator; a jumper from its armature terminal to its field terminal.',
        watch: 'Volts rise at once: the wire, the regulator or its earth. They do not: the generator itself.',
        needs: [SOURCE, BELT, FIELD_WIRE],
      },
      ableAtFullField,
    ),
  ];
};
/** Whether a chafed wire takes what is fed into its far end: it does on a B field; on an A field it feeds it itself. */
const shortedIn = (scene: Scene, circuit: 'A' | 'B'): boolean =>
  circuitOf(scene.machine.fit) === circuit && figuresAt(scene.params, FIELD_WIRE).earthOhms < 2;

/** A generator's field wire: its volts as it runs, looked at, and measured with both ends off. */
export const fieldWireChecks: CheckMaker = (machine) => {
  if (kindOf(machine) !== 'generator') return [];
  const a = circuitOf(machine.fit) === 'A';
  const ohms = (id: string, label: string, touch: string, watch: string, value: (scene: Scene) => number): Check => ({
    id,
    station: FIELD_WIRE,
    label,
    set: 'Battery earth off, field wire off at the generator and at the box.',
    touch,
    watch,
    instrument: 'ohmmeter',
    probe: { kind: 'figure', value },
    state: KEY_OFF,
    needs: [FIELD_WIRE],
    minutes: 3,
    opens: [],
    cautions: ['battery'],
  });
  return [
    {
      id: 'charge-field-wire-look',
      station: FIELD_WIRE,
      label: 'Field wire from generator to box',
      set: 'Engine off.',
      touch: 'Follow the thin wire; tug its ends; look where it passes metal.',
      watch: 'An end off, green or loose; insulation rubbed through.',
      instrument: 'eyes',
      probe: {
        kind: 'look',
        sees: (scene) => {
          const { ohms: through, earthOhms } = figuresAt(scene.params, FIELD_WIRE);
          const bare = seen(earthOhms < 1e3, 0.55);
          const end = (1 - bare) * seen(through > 1, 0.6);
          return { sound: 1 - bare - end, 'an end bad': end, 'rubbed through': bare };
        },
      },
      state: KEY_OFF,
      words: ['sound', 'an end bad', 'rubbed through'],
      needs: [FIELD_WIRE],
      minutes: 1.2,
      opens: [],
      cautions: [],
    },
    {
      ...running(machine, FAST, 'all off'),
      id: 'charge-field-volts',
      station: SOURCE,
      label: 'Volts at the generator’s field terminal, at speed',
      touch: 'From the field terminal, its wire on, to bare metal.',
      watch: a
        ? 'A good deal below the armature’s volts, and falling as lamps are switched on. Nothing: its field is earthed all the time. The armature’s own: nothing flows in it.'
        : 'A few volts, and rising as lamps are switched on. Nothing: nothing feeds it. The armature’s own: it is fed all the time.',
      instrument: 'voltmeter',
      probe: { kind: 'figure', value: fieldVolts },
      needs: [SOURCE, FIELD_WIRE],
      minutes: 1.5,
    },
    ohms(
      'charge-field-wire-ohms',
      'Ohms of the field wire, end to end',
      'A probe on either end of the wire.',
      'Next to nothing.',
      (scene) => figuresAt(scene.params, FIELD_WIRE).ohms,
    ),
    ohms(
      'charge-field-wire-earth',
      'Ohms from the field wire to bare metal',
      'One probe on the wire, the other on bare metal; move the wire about.',
      'OL.',
      (scene) => figuresAt(scene.params, FIELD_WIRE).earthOhms,
    ),
  ];
};
