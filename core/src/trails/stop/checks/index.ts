import { figuresAt } from '../../../machine/figures.ts';
import { looking, type Check, type CheckMaker } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import type { Scene } from '../../../machine/scene.ts';
import { seen } from '../../../machine/seen.ts';
import { OPEN_OHMS } from '../../../machine/part.ts';
import { IDLE, KEY_OFF, KEY_ON_OPEN } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { heldAfterMinute, rackAtStop, vacuumAt } from '../holding.ts';
import { ACTUATOR, CABLE, FEED, LINE, RACK, RESERVOIR, SOLENOID, SOURCE, VALVE } from '../ids.ts';

const STILL = { state: KEY_OFF, opens: [], cautions: [] } as const;
const running = (machine: Machine) => ({
  state: IDLE,
  opens: [],
  cautions: [
    'rotating parts',
    'exhaust gas',
    ...(machine.fit.marine ? (['marine'] as const) : []),
  ] as Check['cautions'],
});

/** The lever on the pump, by hand: what everything else ends at, and what stops a runaway. */
const lever: CheckMaker = (machine) =>
  machine.partById.has(RACK)
    ? [
        looking(
          {
            ...STILL,
            id: 'stop-lever',
            station: RACK,
            label: 'Stop lever on the pump, by hand',
            set: 'Engine still.',
            touch: 'Move the lever to stop and let it go.',
            watch: 'Moves freely and comes back to run.',
            words: ['free, back at run', 'stays at run', 'stays at stop'],
            needs: [RACK],
            minutes: 1,
            look: true,
          },
          ({ params }) => {
            const open = seen(figuresAt(params, RACK).stuckOpen > 0.5, 0.95);
            const shut = (1 - open) * seen(figuresAt(params, RACK).stuckShut > 0.5, 0.95);
            return { 'free, back at run': 1 - open - shut, 'stays at run': open, 'stays at stop': shut };
          },
        ),
        looking(
          {
            ...STILL,
            id: 'stop-where',
            station: RACK,
            label: 'Where does the stop lever stand with the key on?',
            set: 'Key on, or the cable pushed home; engine still.',
            touch: 'Look at it; move nothing.',
            watch: 'At run. At stop: whatever draws it there is doing so now.',
            words: ['at run', 'at stop'],
            needs: [RACK],
            minutes: 0.7,
            look: true,
            state: KEY_ON_OPEN,
          },
          (scene) => {
            const stop = 0.01 + 0.97 * rackAtStop(scene, 'run');
            return { 'at run': 1 - stop, 'at stop': stop };
          },
        ),
      ]
    : [];

/** Gauge along the vacuum line, its parts by themselves. */
const vacuum: CheckMaker = (machine) => {
  if (!machine.partById.has(SOURCE)) return [];
  const gauge = (
    id: string,
    station: string,
    label: string,
    touch: string,
    watch: string,
    value: (scene: Scene) => number,
  ): Check => ({
    ...running(machine),
    id,
    station,
    label,
    set: 'Engine idling, key turned to stop (the lever held at run by a helper where it would die).',
    touch,
    watch,
    instrument: 'pressure gauge',
    probe: { kind: 'figure', value },
    needs: [station],
    minutes: 2.5,
  });
  const holds = (
    id: string,
    station: string,
    part: typeof LINE | typeof ACTUATOR | typeof RESERVOIR,
    label: string,
    touch: string,
    minutes: number,
  ): Check =>
    looking(
      {
        ...STILL,
        id,
        station,
        label,
        set: 'Engine still, hand pump at hand.',
        touch,
        watch: 'Sixty seconds without the needle moving. If no vacuum can be drawn: torn, cracked or off.',
        words: ['holds a minute', 'falls off', 'cannot be drawn'],
        needs: [part],
        minutes,
      },
      ({ params }) => {
        const hole = figuresAt(params, part).leakSquareMetres;
        const held = heldAfterMinute(hole);
        const never = logistic((Math.log(hole) - Math.log(1e-6)) / 0.4);
        const good = (1 - never) * logistic((held - 0.7) / 0.06);
        return {
          'holds a minute': 0.02 + 0.94 * good,
          'falls off': 0.02 + 0.94 * (1 - never - good),
          'cannot be drawn': 0.02 + 0.94 * never,
        };
      },
    );
  return [
    gauge(
      'stop-at-source',
      SOURCE,
      'Vacuum at its source',
      'Gauge in place of the hose on the pump.',
      'Seventy kilopascals and more.',
      ({ params }) => -figuresAt(params, SOURCE).pascals,
    ),
    gauge(
      'stop-at-check',
      RESERVOIR,
      'Vacuum after the check valve',
      'Gauge on a tee after the check valve.',
      'As much as at the source. Less: the valve or its reservoir leaks.',
      (scene) => -vacuumAt(scene, 'stop').source,
    ),
    gauge(
      'stop-at-valve',
      VALVE,
      'Vacuum after the key valve',
      'Gauge on the valve’s outlet, key at stop.',
      'As much as before it. None: the valve.',
      (scene) => -vacuumAt(scene, 'stop').valve,
    ),
    gauge(
      'stop-at-actuator',
      ACTUATOR,
      'Vacuum at the actuator',
      'Gauge on a tee at the actuator, key at stop.',
      'As much as after the valve. Less: the line leaks, or the diaphragm.',
      (scene) => -vacuumAt(scene, 'stop').actuator,
    ),
    {
      ...gauge(
        'stop-vents',
        VALVE,
        'Vacuum after the key valve, key at run',
        'Gauge on the valve’s outlet, key at run.',
        'None at all: the valve must vent.',
        (scene) => -vacuumAt(scene, 'run').valve,
      ),
      set: 'Engine idling or, where it will not, another source on the line; key at run.',
    },
    holds(
      'stop-actuator-holds',
      ACTUATOR,
      ACTUATOR,
      'Stop actuator on a hand vacuum pump',
      'Hose off at the actuator, the pump on its pipe: draw to sixty, watch needle and lever.',
      2.5,
    ),
    holds(
      'stop-line-holds',
      LINE,
      LINE,
      'Vacuum line on a hand vacuum pump',
      'Both ends off, one plugged: draw to sixty, watch the needle.',
      4,
    ),
  ];
};

/** Solenoid and its feed. */
const solenoid: CheckMaker = (machine) => {
  if (!machine.partById.has(SOLENOID)) return [];
  const toRun = machine.fit.stop?.kind === 'cut-to-run';
  return [
    looking(
      {
        ...STILL,
        id: 'stop-click',
        station: SOLENOID,
        label: toRun
          ? 'Does the stop solenoid click as the key goes on?'
          : 'Does the stop solenoid click as the key is turned to stop?',
        set: 'Engine still, all quiet.',
        touch: toRun ? 'A hand on it; key on, off, on.' : 'A hand on it; told to stop twice.',
        watch: 'A click each time.',
        words: ['clicks', 'silent'],
        needs: [SOLENOID],
        minutes: 0.7,
        look: true,
        state: KEY_ON_OPEN,
      },
      ({ params }) => {
        const own = figuresAt(params, SOLENOID);
        const silent = seen(own.stuck > 0.5 || own.coil < 0.5 || figuresAt(params, FEED).carries < 0.5, 0.95);
        return { clicks: 1 - silent, silent };
      },
    ),
    looking(
      {
        ...STILL,
        id: 'stop-feed-lamp',
        station: FEED,
        label: toRun ? 'Test lamp at the stop solenoid, key on' : 'Test lamp at the stop solenoid, key at stop',
        set: 'Engine still.',
        touch: 'Test lamp from the solenoid’s terminal to its body.',
        watch: 'Bright.',
        words: ['bright', 'dark'],
        needs: [FEED],
        minutes: 1.2,
        state: KEY_ON_OPEN,
      },
      ({ params }) => {
        const dark = seen(figuresAt(params, FEED).carries < 0.5, 0.97);
        return { bright: 1 - dark, dark };
      },
    ),
    looking(
      {
        ...running(machine),
        id: 'stop-feed-back',
        station: FEED,
        label: toRun
          ? 'Test lamp at the stop solenoid, key turned off while it runs'
          : 'Test lamp at the stop solenoid, running',
        set: 'Engine idling, somebody at the lever.',
        touch: 'Test lamp on the solenoid’s terminal; key off.',
        watch: toRun
          ? 'Goes dark with the key. Stays lit: something feeds it back; pull the lamp’s and the alternator’s wire in turn.'
          : 'Dark.',
        words: ['dark', 'stays lit'],
        needs: [FEED],
        minutes: 1.5,
      },
      ({ params }) => {
        const lit = seen(figuresAt(params, FEED).staysLive > 0.5, 0.96);
        return { dark: 1 - lit, 'stays lit': lit };
      },
    ),
    {
      ...STILL,
      id: 'stop-coil-ohms',
      station: SOLENOID,
      label: 'Stop solenoid coil',
      set: 'Its wire off.',
      touch: 'Ohmmeter from its terminal to its body.',
      watch: 'Some ohms. OL: its coil is open.',
      instrument: 'ohmmeter',
      probe: { kind: 'figure', value: ({ params }) => (figuresAt(params, SOLENOID).coil > 0.5 ? 6 : OPEN_OHMS) },
      needs: [SOLENOID],
      minutes: 1.5,
    },
  ];
};

const cable: CheckMaker = (machine) =>
  machine.partById.has(CABLE)
    ? [
        looking(
          {
            ...STILL,
            id: 'stop-cable-look',
            station: CABLE,
            label: 'Stop cable, pulled and pushed home',
            set: 'Engine still, an eye on the lever.',
            touch: 'Pull the knob, push it home.',
            watch: 'The lever follows both ways.',
            words: ['follows both ways', 'does not pull', 'does not come back'],
            needs: [CABLE],
            minutes: 1,
            look: true,
          },
          ({ params }) => {
            const broken = seen(figuresAt(params, CABLE).pulls < 0.5, 0.96);
            const seized = (1 - broken) * seen(figuresAt(params, CABLE).stays > 0.5, 0.96);
            return { 'follows both ways': 1 - broken - seized, 'does not pull': broken, 'does not come back': seized };
          },
        ),
      ]
    : [];

/** Checks of the stop trail, in the order in which one walks it. */
export const STOP_CHECKS: readonly CheckMaker[] = [lever, cable, solenoid, vacuum];
