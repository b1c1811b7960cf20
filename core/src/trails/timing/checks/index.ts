import { figuresAt, figuresIfAny } from '../../../machine/figures.ts';
import { looking, type Check, type CheckMaker } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import type { Scene } from '../../../machine/scene.ts';
import { seen, seenFrom } from '../../../machine/seen.ts';
import { KEY_OFF } from '../../../machine/state.ts';
import { timingLight } from './light.ts';
import { BODY, BOX, CHAIN, MARK, POD, WEIGHTS } from '../ids.ts';

const told = (machine: Machine) => machine.partById.has(BODY);
const look = (
  check: Omit<Check, 'instrument' | 'probe' | 'opens' | 'cautions' | 'state'> &
    Partial<Pick<Check, 'opens' | 'cautions' | 'state'>>,
  sees: (scene: Scene) => Readonly<Record<string, number>>,
): Check => looking({ state: KEY_OFF, opens: [], cautions: ['rotating parts'], ...check }, sees);

/** Without running it. */
const timingStill: CheckMaker = (machine) =>
  told(machine)
    ? [
        look(
          {
            id: 'timing-rotor',
            does: ['turned by hand'],
            station: BODY,
            label: 'Number one at top dead centre, firing: where does the rotor point?',
            set: 'Cap off. Turn by hand until number one pushes a finger off its plug hole and the mark stands at top centre.',
            touch: 'Look which tower the rotor faces.',
            watch: 'At the tower of number one. At the opposite one: half a turn out. Between two: turned, or a tooth.',
            words: ['at number one', 'opposite', 'well off'],
            needs: [BODY],
            minutes: 4,
            opens: ['cap off'],
          },
          ({ params }) => {
            const body = figuresAt(params, BODY);
            const half = seen((body.half ?? 0) > 0.5, 0.96);
            const out = Math.abs(body.turnedDegrees % 180) + (figuresIfAny(params, CHAIN)?.lateDegrees ?? 0);
            const off = (1 - half) * seenFrom(out, 4, 18, 0.85);
            return { 'at number one': 1 - half - off, opposite: half, 'well off': off };
          },
        ),
        look(
          {
            id: 'timing-clamp',
            station: BODY,
            label: 'Distributor clamp',
            set: 'Engine still.',
            touch: 'Try to turn the body by hand; look for bright metal beside a scribed line.',
            watch: 'Tight, its line unbroken.',
            words: ['fast', 'loose or moved'],
            needs: [BODY],
            minutes: 0.7,
            look: true,
          },
          ({ params }) => {
            const moved = seen(
              Math.abs(figuresAt(params, BODY).turnedDegrees) > 9 && figuresAt(params, MARK).slippedDegrees === 0,
              0.6,
            );
            return { fast: 1 - moved, 'loose or moved': moved };
          },
        ),
        look(
          {
            id: 'timing-stop',
            does: ['turned by hand'],
            station: MARK,
            label: 'Timing mark against a piston stop',
            set: 'Plugs out, a stop in number one’s hole, turned by hand both ways until it touches.',
            touch: 'Chalk the pulley at the pointer each time; top centre lies in the middle.',
            watch: 'The mark lies midway between the two stops.',
            words: ['in the middle', 'off'],
            needs: [MARK],
            minutes: 14,
            opens: ['plugs out'],
            cautions: ['rotating parts', 'hot coil'],
          },
          ({ params }) => {
            const off = seenFrom(Math.abs(figuresAt(params, MARK).slippedDegrees), 0.5, 3, 0.97);
            return { 'in the middle': 1 - off, off };
          },
        ),
        look(
          {
            id: 'timing-slack',
            does: ['turned by hand'],
            station: CHAIN,
            label: 'Crank rocked to and fro: when does the rotor follow?',
            set: 'Cap off, plugs out if it is stiff.',
            touch: 'Turn the crank by hand one way, then back, an eye on the rotor.',
            watch: 'Follows within five degrees of the crank.',
            words: ['follows at once', 'follows late'],
            needs: [CHAIN],
            minutes: 3,
            opens: ['cap off'],
          },
          ({ params }) => {
            const late = seen((figuresAt(params, CHAIN).play ?? 0) > 0.5, 0.9);
            return { 'follows at once': 1 - late, 'follows late': late };
          },
        ),
        look(
          {
            id: 'timing-cover',
            station: CHAIN,
            label: 'Timing marks of chain or belt',
            set: 'Cover off, number one at its top.',
            touch: 'Look at both marks.',
            watch: 'They point at each other, or at their pointers.',
            words: ['in line', 'a tooth off'],
            needs: [CHAIN],
            minutes: 20,
            opens: ['belt cover off'],
          },
          ({ params }) => {
            const off = seen((figuresAt(params, CHAIN).jumped ?? 0) > 0.5, 0.96);
            return { 'in line': 1 - off, 'a tooth off': off };
          },
        ),
      ]
    : [];

/** Weights and pod, by hand. */
const advanceByHand: CheckMaker = (machine) => [
  ...(machine.partById.has(WEIGHTS)
    ? [
        look(
          {
            id: 'timing-twist',
            station: WEIGHTS,
            label: 'Rotor twisted and let go',
            set: 'Cap off, engine still.',
            touch: 'Twist the rotor as far as it goes in its own direction, let go.',
            watch: 'Turns some ten degrees and springs back by itself.',
            words: ['springs back', 'does not move', 'stays, or flops'],
            needs: [WEIGHTS],
            minutes: 1,
            look: true,
            opens: ['cap off'],
          },
          ({ params }) => {
            const seized = seen((figuresAt(params, WEIGHTS).seized ?? 0) > 0.5, 0.93);
            const flops = (1 - seized) * seen((figuresAt(params, WEIGHTS).sprung ?? 0) > 0.5, 0.93);
            return { 'springs back': 1 - seized - flops, 'does not move': seized, 'stays, or flops': flops };
          },
        ),
      ]
    : []),
  ...(machine.partById.has(POD)
    ? [
        look(
          {
            id: 'timing-pod-hand',
            station: POD,
            label: 'Vacuum advance on a hand vacuum pump',
            set: 'Cap off, hose off the vacuum advance.',
            touch: 'Hand pump on the vacuum advance: pull to 50 kPa, hold for a minute; look at the plate.',
            watch: 'Holds, and the plate moves and comes back.',
            words: ['holds and moves', 'falls off'],
            needs: [POD],
            minutes: 2.5,
            opens: ['cap off'],
          },
          ({ params }) => {
            const falls = seen((figuresAt(params, POD).torn ?? 0) > 0.5, 0.95);
            return { 'holds and moves': 1 - falls, 'falls off': falls };
          },
        ),
        look(
          {
            id: 'timing-hose',
            station: POD,
            label: 'Vacuum advance hose',
            set: 'Engine still.',
            touch: 'Follow it from the vacuum advance to the throttle body; bend it.',
            watch: 'On at both ends, on the port just above the throttle’s edge, no cracks.',
            words: ['on and whole', 'off or split'],
            needs: [POD],
            minutes: 0.6,
            look: true,
          },
          ({ params }) => {
            const off = seen((figuresAt(params, POD).off ?? 0) > 0.5, 0.94);
            return { 'on and whole': 1 - off, 'off or split': off };
          },
        ),
      ]
    : []),
  ...(machine.partById.has(BOX)
    ? [
        look(
          {
            id: 'timing-sensor',
            station: BOX,
            label: 'Sensor connectors',
            set: 'Key off.',
            touch: 'Each off and on again; look for green; tug the wires.',
            watch: 'Clean, locked, no wire pulls out.',
            words: ['sound', 'off or broken'],
            needs: [BOX],
            minutes: 3,
          },
          ({ params }) => {
            const off = seen((figuresAt(params, BOX).sensorLost ?? 0) > 0.5, 0.85);
            return { sound: 1 - off, 'off or broken': off };
          },
        ),
      ]
    : []),
];

/** Checks of the timing trail, in the order in which one walks it. */
export const TIMING_CHECKS: readonly CheckMaker[] = [timingStill, timingLight, advanceByHand];
