import { atSpeed } from '../../../engine/speeds.ts';
import type { CautionId, Check, CheckMaker } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import { CRANKING, FAST, IDLE } from '../../../machine/state.ts';
import { shownAt, shownBy } from '../advance.ts';
import { BODY, MARK, POD, WEIGHTS } from '../ids.ts';

/** Whether the machine's timing has been told: then a light shows it. */
export const takesLight = (machine: Machine): boolean => machine.partById.has(BODY);
const TOUCH = 'Light’s clamp on the lead of number one, the beam on the mark; sleeves and cable clear of fan and belt.';
const cautionsOf = ({ fit }: Machine): readonly CautionId[] => [
  'rotating parts',
  'exhaust gas',
  'high tension',
  ...(fit.marine ? (['marine'] as const) : []),
];

/** By the light: at idle and fast, the pod's hose off and on. */
export const timingLight: CheckMaker = (machine) => {
  if (!takesLight(machine)) return [];
  const pod = machine.partById.has(POD);
  const light = (
    id: string,
    station: string,
    label: string,
    state: Check['state'],
    hose: 'on' | 'off',
    watch: string,
  ): Check => ({
    id,
    ...(state === IDLE ? { figure: `${BODY}.baseDegrees` } : {}),
    station,
    label,
    set: `Engine warm, ${state.key === 'crank' ? 'turned by its starter' : atSpeed(machine.fit, state)}${pod ? `, vacuum advance hose ${hose}${hose === 'off' ? ' and plugged' : ''}` : ''}.`,
    touch: TOUCH,
    watch,
    instrument: 'timing light',
    probe: { kind: 'figure', value: (scene) => shownBy(scene.params, state, hose) },
    state,
    needs: [BODY, MARK],
    minutes: 3,
    opens: [],
    cautions: cautionsOf(machine),
  });
  return [
    light(
      'timing-crank',
      BODY,
      'Timing by the light, cranking',
      CRANKING,
      'off',
      'Within a few degrees of the book. Far out: the distributor was turned, a chain, half a turn.',
    ),
    light(
      'timing-idle',
      BODY,
      'Timing by the light, idling',
      IDLE,
      'off',
      'The book’s figure. Much more: springs. Off either way: the distributor was turned.',
    ),
    light(
      'timing-fast',
      machine.partById.has(WEIGHTS) ? WEIGHTS : BODY,
      'Timing by the light, at speed',
      FAST,
      'off',
      'It advances by what the book says. If it does not: weights seized, or no map.',
    ),
    ...(pod
      ? [
          light(
            'timing-fast-hose',
            POD,
            'Timing by the light, at speed, hose on',
            FAST,
            'on',
            'Some ten degrees more than with the hose off.',
          ),
        ]
      : []),
  ];
};

/** Above this the engine is held, below it idles: for what its state says of heat and charge. Rev/min. */
const HELD_FROM = 1300;
const MINUTES = 1.5;

/** The light at any speed that the engine is held at; undefined where no light shows anything, or without a speed. */
export function lightAt(machine: Machine, rpm: number | undefined, hose: 'on' | 'off'): Omit<Check, 'id'> | undefined {
  if (!takesLight(machine) || rpm === undefined) return undefined;
  const pod = machine.partById.has(POD);
  const has = pod ? hose : 'off';
  return {
    station: hose === 'on' && pod ? POD : machine.partById.has(WEIGHTS) ? WEIGHTS : BODY,
    label: `Timing by the light at ${rpm} rev/min${pod ? `, hose ${has}` : ''}`,
    set: `Engine warm, held at ${rpm} rev/min${pod ? `, vacuum advance hose ${has}${has === 'off' ? ' and plugged' : ''}` : ''}.`,
    touch: TOUCH,
    watch: 'The speed steady before it is read.',
    instrument: 'timing light',
    probe: { kind: 'figure', value: (scene) => shownAt(scene.params, rpm, has) },
    state: rpm < HELD_FROM ? IDLE : FAST,
    needs: [BODY, MARK],
    minutes: MINUTES,
    opens: [],
    cautions: cautionsOf(machine),
  };
}
