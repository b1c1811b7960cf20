import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF } from '../../../machine/state.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import { seen, seenSo } from '../../../machine/seen.ts';
import { logistic } from '../../../random/lcg.ts';
import { BELT, REGULATOR } from '../making.ts';
import { isStator } from './which.ts';

/** A belt that gives more than its plate is called slack from here on, metres. */
const SLACK_FROM = 15e-3;
/** Press the belt. */
export const pressBelt: CheckMaker = () => [
  {
    id: 'charge-belt',
    station: BELT,
    label: 'Belt, pressed at mid-span',
    set: 'Engine off, key out.',
    touch: 'Press with a thumb halfway between the pulleys.',
    watch: 'It gives a little, as its plate says; shiny flanks and black dust say that it slips.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const gives = figuresAt(scene.params, BELT).deflectionMetres;
        const gone = seen(gives > 0.1, 0.99);
        const slack = (1 - gone) * (gives > 0.1 ? 0 : seenSo(logistic((gives - SLACK_FROM) / 1e-3), 0.94));
        return { firm: 1 - gone - slack, slack, gone };
      },
    },
    state: KEY_OFF,
    words: ['firm', 'slack', 'gone'],
    needs: [BELT],
    minutes: 0.6,
    opens: [],
    cautions: ['rotating parts'],
    look: true,
  },
];

/** Of rectifiers that have failed, those that show it. Judgement. */
const BURNT_SHOWS = 0.45;
/** A flywheel’s rectifier and its connectors: what burns there burns the winding, and the other way round. */
export const lookRectifier: CheckMaker = (machine) =>
  isStator(machine)
    ? [
        looking(
          {
            id: 'charge-rectifier-look',
            station: REGULATOR,
            label: 'Regulator-rectifier and its connectors',
            set: 'Engine off, its connectors apart.',
            touch:
              'Look at its cast back for blisters and a burnt smell; pull at its wires; look into both connectors.',
            watch: 'Clean metal, bright pins. Blistered resin or brown pins: it has been hot.',
            words: ['sound', 'burnt or blistered'],
            needs: [REGULATOR],
            state: KEY_OFF,
            minutes: 1.5,
            opens: ['connectors apart'],
            cautions: ['hot coil'],
            look: true,
          },
          ({ params }) => {
            const { dead = 0, leakOhms = Infinity } = figuresAt(params, REGULATOR);
            const burnt = seen(dead > 0 || leakOhms < LEAKS_UNDER, BURNT_SHOWS);
            return { sound: 1 - burnt, 'burnt or blistered': burnt };
          },
        ),
      ]
    : [];
/** A diode that leaks so is damaged, ohms. */
const LEAKS_UNDER = 1e3;

/** The joints of the charge wire by hand and eye. */
export const lookChargeWire: CheckMaker = () => [
  {
    id: 'charge-wire-look',
    station: 'charge-wire',
    label: 'Plugs, joints and fuse of the charge wire',
    set: 'Engine off.',
    touch: 'Pull apart, look into the plug, feel for what was hot.',
    watch: 'Brown or melted plastic, a fuse that is gone, a loose ring.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const bad = seenSo(logistic(Math.log(figuresAt(scene.params, 'charge-wire').ohms / 0.06) / 0.5), 0.74);
        return { sound: 1 - bad, 'melted, loose or open': bad };
      },
    },
    state: KEY_OFF,
    words: ['sound', 'melted, loose or open'],
    needs: ['charge-wire'],
    minutes: 1.5,
    opens: [],
    cautions: [],
    look: true,
  },
];
