import { looking, touch, type CheckMaker } from '../../../machine/check.ts';
import { figuresAt } from '../../../machine/figures.ts';
import { firstSeen } from '../../../machine/seen.ts';
import { KEY_OFF } from '../../../machine/state.ts';
import { HEAT_NODE, HEATING, heatVolts, PREHEATING } from '../heating.ts';

/** What heats a cold diesel: volts at it, what it draws, and each by itself. */
export const heatingChecks: CheckMaker = (machine) => {
  const part = machine.partById.get(PREHEATING);
  if (!part) return [];
  const plugs = machine.fit.crank?.heat !== 'intake heater';
  const it = plugs ? 'glow plugs' : 'intake heater';
  const set = 'Engine cold and still. A helper holds the key at heat; read within ten seconds.';
  const held = { station: PREHEATING, set, state: HEATING, opens: [], cautions: ['battery'] } as const;
  return [
    {
      ...held,
      id: 'heat-volts',
      label: `Volts at the ${it}, key at heat`,
      touch: touch(machine, HEAT_NODE, part.nodes['b']!),
      watch: 'Within a volt and a half of the battery. Nothing: relay, fuse or wire.',
      instrument: 'voltmeter',
      probe: { kind: 'across', live: HEAT_NODE, earth: part.nodes['b']! },
      minutes: 1.2,
    },
    {
      ...held,
      id: 'heat-amps',
      label: `Current of the ${it}, key at heat`,
      touch: 'Clamp around their feed, zeroed beside it first.',
      watch: plugs ? 'As many times ten as it has plugs, about; each dead one is missing.' : 'Sixty amperes, about.',
      instrument: 'clamp meter',
      probe: {
        kind: 'figure',
        value: (scene) =>
          (heatVolts(scene, HEATING) * figuresAt(scene.params, PREHEATING).amps) / scene.machine.fit.volts,
      },
      needs: [PREHEATING],
      minutes: 1.2,
    },
    ...(plugs
      ? [
          looking(
            {
              id: 'heat-each',
              station: PREHEATING,
              label: 'Each glow plug by a lamp',
              set: 'Key off, the rail or link off the plugs.',
              touch: 'Test lamp from the live battery post to one plug after the other.',
              watch: 'Lights: its filament is whole. Dark: dead.',
              words: ['all light', 'some dark', 'all dark'],
              needs: [PREHEATING],
              state: KEY_OFF,
              minutes: 6,
              opens: [],
              cautions: ['battery'],
            },
            ({ params }) => {
              const { alive = 1 } = figuresAt(params, PREHEATING);
              return firstSeen(
                [
                  ['all dark', alive < 0.01 ? 0.97 : 0.005],
                  ['some dark', alive < 0.999 ? 0.97 : 0.01],
                ],
                'all light',
              );
            },
          ),
        ]
      : []),
  ];
};
