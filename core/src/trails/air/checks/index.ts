import { atSpeed } from '../../../engine/speeds.ts';
import { figuresAt, figuresIfAny } from '../../../machine/figures.ts';
import type { Scene } from '../../../machine/scene.ts';
import { looking, type Check, type CheckMaker } from '../../../machine/check.ts';
import { seenFrom, seenSo } from '../../../machine/seen.ts';
import { FAST, IDLE, KEY_OFF } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { fastVacuum, idleVacuum } from '../breathing.ts';
import { EXHAUST, FILTER, GASKET, HOSE, PURGE, SCREW, SERVO, STOP } from '../ids.ts';
import { balanceChecks } from './balance.ts';
import { breatherChecks } from './breather.ts';
import { governorChecks } from './governor.ts';
import { needle } from './needle.ts';
import { told, warm } from './which.ts';

/** Share of an idle's passages that is blocked, and of its opening that a throttle stands, from which a screw does nothing. */
const SHUT_FROM = 0.85;
const OPEN_FROM = 1.9;
/** Whether what the screw meters is not what feeds the idle. Chance. */
const noIdleFuel = ({ params }: Scene): number =>
  Math.max(
    logistic(((figuresIfAny(params, 'fuel-idle-jet')?.blocked ?? 0) - SHUT_FROM) / 0.04),
    logistic(((figuresIfAny(params, 'fuel-idle-cut-off')?.shut ?? 0) - SHUT_FROM) / 0.04),
    logistic((figuresAt(params, STOP).openShare - OPEN_FROM) / 0.12),
  );

/** Gauge and tachometer. */
const measured: CheckMaker = (machine) =>
  told(machine)
    ? [
        {
          ...warm(machine),
          id: 'air-vacuum-idle',
          station: GASKET,
          label: 'Vacuum gauge, idling',
          touch: 'Gauge on a tap below the throttle. Where it does not idle, hold it just running with the throttle.',
          watch: 'A steady needle. Low and steady: a leak or a late spark; swaying: mixture.',
          instrument: 'pressure gauge',
          probe: { kind: 'figure', value: (scene) => -idleVacuum(scene) },
          needs: [GASKET],
          minutes: 2,
        },
        {
          ...warm(machine),
          id: 'air-vacuum-fast',
          station: EXHAUST,
          label: 'Vacuum gauge, held at speed for half a minute',
          set: `Engine warm, held ${atSpeed(machine.fit, FAST)} without a load.`,
          touch: 'Gauge as before; watch it for half a minute.',
          watch: 'As at idle or more, and it stays. Falls away: the exhaust is blocked.',
          instrument: 'pressure gauge',
          probe: { kind: 'figure', value: (scene) => -fastVacuum(scene) },
          state: FAST,
          needs: [EXHAUST],
          minutes: 2,
        },
        {
          ...warm(machine),
          id: 'air-rpm-idle',
          station: STOP,
          label: 'Idle speed',
          touch: 'Tachometer on, everything electrical off.',
          watch: 'Steady, as it was set.',
          atNothing: 'does not idle',
          instrument: 'tachometer',
          probe: { kind: 'figure', value: (scene) => scene.see('idles', IDLE).rpm },
          needs: [STOP],
          minutes: 1,
        },
      ]
    : [];

/** By hand, by spray, by eye. */
/** Where air may be drawn in beside the throttle. */
type Leak = typeof GASKET | typeof HOSE | typeof PURGE | typeof SERVO;
const tried: CheckMaker = (machine) => {
  if (!told(machine)) return [];
  const spray = (id: string, part: Leak, label: string, touch: string): Check[] =>
    machine.partById.has(part) ? [sprayed(id, part, label, touch)] : [];
  const sprayed = (id: string, part: Leak, label: string, touch: string): Check =>
    looking(
      {
        ...warm(machine),
        id,
        station: part,
        label,
        touch,
        watch: 'No change. Where it speeds up, slows down or steadies, it draws air.',
        words: ['no change', 'it changes'],
        needs: [part],
        minutes: 2,
        cautions: [...warm(machine).cautions, 'fuel vapour', 'hot coil'],
      },
      ({ params }) => {
        const changes = 0.012 + 0.94 * logistic((figuresAt(params, part).leakShare - 0.14) / 0.03);
        return { 'no change': 1 - changes, 'it changes': changes };
      },
    );
  return [
    ...spray(
      'air-spray-joint',
      GASKET,
      'Intake joints, sprayed',
      'Short puffs of a spray that does not burn easily, or water from a brush, on each joint and shaft.',
    ),
    ...spray(
      'air-hoses',
      HOSE,
      'Vacuum hoses pinched in turn',
      'Pinch each hose at the manifold with soft pliers; follow it to its end.',
    ),
    ...spray('air-purge-pinch', PURGE, 'Purge valve hose pinched', 'Pinch the hose to the canister near the manifold.'),
    ...spray(
      'air-servo-pinch',
      SERVO,
      'Brake servo hose pinched',
      'Pinch it with soft pliers, foot off the brake; let go and press the pedal.',
    ),
    looking(
      {
        state: KEY_OFF,
        opens: ['air filter off'],
        cautions: [],
        id: 'air-filter-look',
        station: FILTER,
        label: 'Air filter, held to the light',
        set: 'Filter out.',
        touch: 'Hold it to the light.',
        watch: 'Light comes through all around.',
        words: ['clear', 'blocked'],
        needs: [FILTER],
        minutes: 0.7,
        look: true,
      },
      ({ params }) => {
        const blocked = seenSo(logistic((0.6 - figuresAt(params, FILTER).openShare) / 0.06), 0.95);
        return { clear: 1 - blocked, blocked };
      },
    ),
    looking(
      {
        ...warm(machine),
        id: 'air-screw-turned',
        station: SCREW,
        label: 'Idle mixture screw, half a turn each way',
        touch: 'Count from where it stands; a half turn out, back, a half turn in, back.',
        watch:
          'Falls off both ways. Better one way: it was not right, or air leaks in. No difference: its passages are shut, or the throttle stands too far open for it.',
        words: ['falls off both ways', 'better richer', 'better weaker', 'no difference'],
        needs: [SCREW],
        minutes: 2,
      },
      (scene) => {
        const rich = scene.see('richness', IDLE);
        const weak = logistic((0.9 - rich) / 0.03);
        const over = logistic((rich - 1.2) / 0.05);
        const dead = 0.93 * noIdleFuel(scene);
        const turns = 1 - dead;
        return {
          'falls off both ways': turns * (0.95 - 0.93 * (weak + over)),
          'better richer': turns * (0.02 + 0.93 * weak),
          'better weaker': turns * (0.02 + 0.93 * over),
          'no difference': dead + 0.01 * turns,
        };
      },
    ),
    looking(
      {
        state: KEY_OFF,
        opens: ['air filter off'],
        cautions: [],
        id: 'air-stop-look',
        station: STOP,
        label: 'Throttle plate and its stop',
        set: 'Engine still, filter off.',
        touch: 'Work the throttle, let it go; look how far the stop’s screw is in.',
        watch: 'Closes by itself, right down to its stop.',
        words: ['on its stop', 'backed off', 'does not shut'],
        needs: [STOP],
        minutes: 1.2,
      },
      ({ params }) => {
        const open = figuresAt(params, STOP).openShare;
        const shut = seenFrom(open, 0.93, 0.65, 0.85);
        const hangs = (1 - shut) * seenFrom(open, 1.07, 1.5, 0.9);
        return { 'on its stop': 1 - shut - hangs, 'backed off': shut, 'does not shut': hangs };
      },
    ),
    looking(
      {
        ...warm(machine),
        id: 'air-exhaust-hand',
        station: EXHAUST,
        label: 'A hand near the end of the exhaust',
        set: 'Engine cold or just started, held a little fast.',
        touch: 'A gloved hand a foot behind the pipe; listen along it.',
        watch: 'Strong, even puffs.',
        words: ['strong', 'hardly anything'],
        needs: [EXHAUST],
        minutes: 0.7,
        state: FAST,
      },
      ({ params }) => {
        const weak = seenFrom(figuresAt(params, EXHAUST).openShare, 0.92, 0.3, 0.8);
        return { strong: 1 - weak, 'hardly anything': weak };
      },
    ),
  ];
};

/** Checks of the air trail, in the order in which one walks it. */
export const AIR_CHECKS: readonly CheckMaker[] = [
  tried,
  breatherChecks,
  governorChecks,
  needle,
  measured,
  balanceChecks,
];
