import { figuresAt } from '../../../machine/figures.ts';
import { looking, type Check, type CheckMaker } from '../../../machine/check.ts';
import type { Scene } from '../../../machine/scene.ts';
import { logistic } from '../../../random/lcg.ts';
import { heldAfterMinute, vacuumAt } from '../holding.ts';
import { ACTUATOR, LINE, RESERVOIR, SOURCE, VALVE } from '../ids.ts';
import { STILL, running } from './state.ts';

/** Gauge along the vacuum line, its parts by themselves. */
export const vacuum: CheckMaker = (machine) => {
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
    set: 'Engine idling, key at stop. If it would die, a helper holds the lever at run.',
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
