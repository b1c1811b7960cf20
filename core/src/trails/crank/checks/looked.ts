import { figuresAt, figuresIfAny } from '../../../machine/figures.ts';
import { logistic } from '../../../random/lcg.ts';
import { CRANKING_CLOSED, KEY_OFF } from '../../../machine/state.ts';
import { looking, type Check, type CheckMaker } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import { seen, seenFrom, seenSo } from '../../../machine/seen.ts';
import { DRIVE, ENGINE, MOTOR } from '../ids.ts';
import { marine, told } from './start.ts';

/** From about so much a cable's end is seen to be poor, ohms. */
const POOR_CABLE = 0.006;

/** By hand, before anything is turned with force. */
export const turnByHand: CheckMaker = (machine) => turnedThrough(machine, told(machine));
/** `started`: by a starter, which thick oil drags on; a hand hardly feels it. */
const turnedThrough = (machine: Machine, started: boolean): Check[] => [
  {
    id: 'crank-by-hand',
    does: ['turned by hand', 'turns what may be held'],
    station: 'engine',
    label: 'Turn the engine by hand',
    set: 'Battery earth off, out of gear. A bar on the pulley nut; never the starter.',
    touch: 'Turn it one whole turn, slowly.',
    watch: 'As usual from compression to compression, tight all round, or stopped dead at one place.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const engine = figuresAt(scene.params, ENGINE);
        const jammed = (figuresIfAny(scene.params, DRIVE)?.jammed ?? 0) > 0;
        const locked = seen((engine.locked ?? 0) > 0.5 || jammed, 0.97);
        const stiff = (1 - locked) * seenFrom(engine.stiff ?? 0, 0.1, 0.6, 0.9);
        const thick = started ? (1 - locked - stiff) * seenFrom(engine.thick ?? 0, 0.1, 0.6, 0.6) : 0;
        return {
          'as usual': 1 - locked - stiff - thick,
          'stiff all round': stiff,
          ...(started ? { 'drags evenly': thick } : {}),
          'stops dead': locked,
        };
      },
    },
    state: KEY_OFF,
    words: ['as usual', 'stiff all round', ...(started ? ['drags evenly'] : []), 'stops dead'],
    needs: [ENGINE],
    minutes: 3,
    opens: [],
    cautions: ['turning a locked engine', 'rotating parts', ...marine(machine)],
  },
];

/** A pinion that has bitten into the ring lets go when the engine is moved a little against it. */
export const freePinion: CheckMaker = (machine) =>
  told(machine)
    ? [
        looking(
          {
            id: 'crank-pinion',
            does: ['turned by hand', 'turns what may be held'],
            station: 'starter',
            label: 'Pinion: rocked free, or turned back by its shaft',
            set: 'Battery earth off, key out. Rock it in its highest gear, or turn the engine a little backwards by hand; where the starter’s shaft has a square, turn that.',
            touch: 'Feel and listen for a clack as the pinion lets go.',
            watch:
              'If it clacks and the engine turns by hand again, the pinion was jammed. If there is no clack, it was not.',
            words: ['nothing lets go', 'it lets go'],
            state: KEY_OFF,
            needs: [DRIVE],
            minutes: 3,
            opens: [],
            cautions: ['rotating parts', ...marine(machine)],
          },
          ({ params }) => {
            const jammed = seen((figuresAt(params, DRIVE).jammed ?? 0) > 0, 0.93);
            return { 'nothing lets go': 1 - jammed, 'it lets go': jammed };
          },
        ),
      ]
    : [];

/** What is seen with the starter out. */
export const starterOut: CheckMaker = (machine) =>
  told(machine)
    ? [
        {
          id: 'crank-starter-out',
          station: 'starter',
          label: 'Starter removed: brushes, drive, ring gear',
          set: 'Battery earth off first. Starter out on the bench.',
          touch: 'Brush length and springs, commutator, the drive by hand both ways, the ring all round.',
          watch: 'Brushes short, a drive that turns both ways, teeth gone.',
          instrument: 'eyes',
          probe: {
            kind: 'look',
            sees: (scene) => {
              const worn = seen((figuresAt(scene.params, MOTOR).worn ?? 0) > 0.5, 0.94);
              const slips = (1 - worn) * seenFrom(figuresAt(scene.params, DRIVE).grip, 1, 0.5, 0.9);
              const teeth = (1 - worn - slips) * seen(figuresAt(scene.params, DRIVE).gone > 0.05, 0.95);
              return {
                sound: 1 - worn - slips - teeth,
                'brushes worn': worn,
                'drive slips': slips,
                'teeth gone': teeth,
              };
            },
          },
          state: KEY_OFF,
          words: ['sound', 'brushes worn', 'drive slips', 'teeth gone'],
          needs: [MOTOR, DRIVE],
          minutes: 6,
          opens: ['starter off'],
          cautions: ['battery'],
        },
      ]
    : [];

/** Feel the joints after a few seconds of turning: what is hot drops volts. */
export const hotJoints: CheckMaker = (machine) =>
  told(machine)
    ? [
        {
          id: 'crank-hot-joints',
          station: 'terminals',
          label: 'Which joint feels hot',
          set: 'After ten seconds at start, key off.',
          touch: 'Clamps, cable ends, strap ends, by the back of the hand.',
          watch: 'A joint that is warm drops volts.',
          instrument: 'eyes',
          probe: {
            kind: 'look',
            sees: (scene) => {
              const at = scene.solve(CRANKING_CLOSED);
              const watts = (id: string) => {
                const part = machine.partById.get(id)!;
                return Math.abs((at.volts(part.nodes['a']!) - at.volts(part.nodes['b']!)) * at.amps(id));
              };
              const hot = (id: string) => logistic((watts(id) - 60) / 15);
              const [clamp, cable, strap] = [hot('live-clamp'), hot('starter-cable'), hot('strap')];
              return {
                'none hot': (1 - clamp) * (1 - cable) * (1 - strap),
                'clamp hot': clamp,
                'cable end hot': (1 - clamp) * cable,
                'strap hot': (1 - clamp) * (1 - cable) * strap,
              };
            },
          },
          state: KEY_OFF,
          words: ['none hot', 'clamp hot', 'cable end hot', 'strap hot'],
          needs: ['live-clamp', 'starter-cable', 'strap'],
          minutes: 0.8,
          opens: [],
          cautions: ['battery'],
          look: true,
        },
      ]
    : [];

/** Along the cable and at its ends. */
export const lookStarterCable: CheckMaker = () => [
  {
    id: 'crank-cable-look',
    station: 'starter-cable',
    label: 'Starter cable, along its length and at its ends',
    set: 'Battery earth off.',
    touch: 'Twist each end; bend the cable and feel along it; peel the jacket back at a lug.',
    watch: 'An end that turns or is green; a place that is stiff or swollen, green powder under the jacket.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const cable = figuresAt(scene.params, 'starter-cable');
        const poor = logistic(Math.log(cable.ohms / POOR_CABLE) / 0.5);
        const rotten = seen((cable.rotten ?? 0) > 0.5, 0.85);
        const end = (1 - rotten) * ((cable.rotten ?? 0) < 0.5 ? seenSo(poor, 0.84) : seenSo(0, 0));
        return { sound: 1 - rotten - end, 'an end is poor': end, 'rotten inside': rotten };
      },
    },
    state: KEY_OFF,
    words: ['sound', 'an end is poor', 'rotten inside'],
    needs: ['starter-cable'],
    minutes: 2,
    opens: [],
    cautions: ['battery'],
    look: true,
  },
];

/** What the cord or lever does in the hand. */
export const lookHandStart: CheckMaker = () => [
  {
    id: 'crank-cord',
    does: ['turned by hand'],
    station: 'hand-start',
    label: 'Cord, spring and pawls',
    set: 'Cover off, ignition off.',
    touch: 'Pull slowly and watch the pawls.',
    watch: 'Cord whole and drawn back, pawls out and catching.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const hand = figuresAt(scene.params, 'hand-start');
        const broken = seen(hand.newtonMetres < 5, 0.97);
        const pawls = (1 - broken) * seenFrom(hand.grip, 1, 0.5, 0.93);
        return { sound: 1 - broken - pawls, 'cord or spring gone': broken, 'pawls do not catch': pawls };
      },
    },
    state: KEY_OFF,
    words: ['sound', 'cord or spring gone', 'pawls do not catch'],
    needs: ['hand-start'],
    minutes: 2,
    opens: ['cowl off'],
    cautions: ['rotating parts'],
  },
];
