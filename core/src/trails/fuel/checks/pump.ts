import { figuresAt } from '../../../machine/figures.ts';
import type { Check, CheckMaker } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import { seen, seenSo } from '../../../machine/seen.ts';
import { KEY_OFF, KEY_ON_OPEN } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { BULB, LINE, PUMP, TANK } from '../ids.ts';
import { runBack } from '../mixing.ts';
import { kindOf, look } from './feed.ts';

/** What the bulb and the pump say by themselves. */
export const bulbAndPump: CheckMaker = (machine) => {
  const kind = kindOf(machine);
  if (kind === 'bulb')
    return [
      look(
        machine,
        {
          id: 'fuel-bulb-firm',
          station: BULB,
          label: 'Primer bulb, squeezed',
          set: 'Outlet end of the bulb up, engine still.',
          touch: 'Squeeze it ten times, let go, wait half a minute.',
          watch: 'Firm, and stays so. Never firm: air, an empty tank or a needle that floods. Goes soft: its valves.',
          words: ['firm and stays', 'firm, then soft', 'never firm', 'stays flat'],
          needs: [BULB],
          minutes: 1,
          look: true,
        },
        (scene) => {
          const { params } = scene;
          const flat = seen(figuresAt(params, BULB).squareMetres < 3e-7 && figuresAt(params, BULB).holds > 0.5, 0.85);
          const soft = (1 - flat) * seen(figuresAt(params, BULB).holds < 0.5, 0.85);
          const fills = (figuresAt(params, LINE).airShare ?? 0) < 0.3 && figuresAt(params, TANK).level > 0.02;
          const never = (1 - flat - soft) * Math.max(seen(!fills, 0.9), 0.5 * scene.see('floods', KEY_OFF));
          return {
            'firm and stays': 1 - flat - soft - never,
            'firm, then soft': soft,
            'never firm': never,
            'stays flat': flat,
          };
        },
      ),
      pulseHose(machine),
    ];
  if (kind === 'pulse') return [pulseHose(machine), stoodFull(machine)];
  if (kind === 'electric')
    return [
      look(
        machine,
        {
          id: 'fuel-pump-heard',
          station: PUMP,
          label: 'Does the pump tick?',
          set: 'Key on, engine still, all quiet.',
          touch: 'A hand or a screwdriver’s handle on the pump.',
          watch: 'It ticks or hums, and slows as the bowl fills.',
          words: ['ticks', 'silent'],
          needs: [PUMP],
          minutes: 0.7,
          look: true,
          state: KEY_ON_OPEN,
          cautions: ['fuel vapour'],
        },
        ({ params }) => {
          const silent = seen(figuresAt(params, PUMP).runs < 0.5, 0.96);
          return { ticks: 1 - silent, silent };
        },
      ),
      look(
        machine,
        {
          id: 'fuel-pump-feed',
          station: PUMP,
          label: 'A lamp at the pump’s terminal',
          set: 'Key on, the pump’s own wire on it.',
          touch: 'Test lamp from its terminal to its body, and to a clean earth.',
          watch: 'Bright at both: the pump is fed. Dark or dim at one: its feed, or its earth.',
          words: ['bright', 'dark or dim'],
          needs: [PUMP],
          minutes: 2,
          state: KEY_ON_OPEN,
          cautions: ['fuel vapour', 'battery'],
        },
        ({ params }) => {
          const dark = seen((figuresAt(params, PUMP).noFeed ?? 0) > 0.5, 0.96);
          return { bright: 1 - dark, 'dark or dim': dark };
        },
      ),
    ];
  if (kind === 'mechanical')
    return [
      look(
        machine,
        {
          id: 'fuel-in-oil',
          station: PUMP,
          label: 'Oil on the dipstick: smell it',
          set: 'Engine still.',
          touch: 'Wipe, dip, smell; look at its level.',
          watch: 'Oil. Thin, over the mark and smelling of petrol: do not start it, change the oil first.',
          words: ['only oil', 'smells of petrol'],
          needs: [PUMP],
          minutes: 1,
          look: true,
          cautions: ['fuel vapour'],
        },
        ({ params }) => {
          const petrol = seen(figuresAt(params, PUMP).inOil > 0.5, 0.9);
          return { 'only oil': 1 - petrol, 'smells of petrol': petrol };
        },
      ),
      stoodFull(machine),
    ];
  return [];
};

/** A pump whose valves hold keeps the line full as it stands. */
const stoodFull = (machine: Machine): Check =>
  look(
    machine,
    {
      id: 'fuel-stood-full',
      station: PUMP,
      label: 'Hose at the carburettor after a night: full or empty?',
      set: 'Engine cold, not turned since the day before.',
      touch: 'Hose off at the carburettor, its end over a jar.',
      watch: 'Fuel at its end. Empty: it has run back through the pump’s valves, or air got in.',
      words: ['full', 'run empty'],
      needs: [PUMP, LINE],
      minutes: 3,
      opens: ['fuel hose off'],
    },
    ({ params }) => {
      const back = seenSo(logistic((runBack(params) - 0.25) / 0.05), 0.93);
      return { full: 1 - back, 'run empty': back };
    },
  );

const pulseHose = (machine: Machine): Check =>
  look(
    machine,
    {
      id: 'fuel-pulse-hose',
      station: PUMP,
      label: 'Pulse hose from the crankcase',
      set: 'Engine still.',
      touch: 'Follow it, bend it, pull at both ends.',
      watch: 'Soft, whole, and on at both ends.',
      words: ['sound', 'split or off'],
      needs: [PUMP],
      minutes: 1.5,
      cautions: ['fuel vapour'],
    },
    ({ params }) => {
      const split = seen((figuresAt(params, PUMP).hoseSplit ?? 0) > 0.5, 0.92);
      return { sound: 1 - split, 'split or off': split };
    },
  );
