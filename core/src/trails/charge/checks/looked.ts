import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF } from '../../../machine/state.ts';
import type { CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';
import { BELT } from '../making.ts';

/** Press the belt. */
export const pressBelt: CheckMaker = () => [
  {
    id: 'charge-belt',
    station: BELT,
    label: 'Belt, pressed at mid-span',
    set: 'Engine off, key out.',
    touch: 'Press with a thumb halfway between the pulleys.',
    watch: 'Ten to fifteen millimetres; shiny flanks and black dust say that it slips.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const gives = figuresAt(scene.params, BELT).deflectionMetres;
        const gone = seen(gives > 0.1, 0.99);
        const slack = (1 - gone) * seen(gives > 0.016 && gives <= 0.1, 0.94);
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
        const bad = seen(figuresAt(scene.params, 'charge-wire').ohms > 0.15, 0.75);
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
