import { figuresAt } from '../../../machine/figures.ts';
import { FAST, KEY_OFF, KEY_ON_OPEN } from '../../../machine/state.ts';
import type { Check, CheckMaker } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import type { MachineState } from '../../../machine/part.ts';
import type { Scene } from '../../../machine/scene.ts';
import { seen } from '../../../machine/seen.ts';
import { logistic } from '../../../random/lcg.ts';
import { INDICATOR } from '../making.ts';
import { running } from './volts.ts';

const WORDS = ['lit', 'glows', 'out'] as const;
const hasLamp = ({ partById }: Machine) => partById.get(INDICATOR)?.kind.kind === 'charge lamp';

/** Shares of words from the share of its rated volts that a small lamp has. */
function glow(share: number): Record<(typeof WORDS)[number], number> {
  const out = logistic((0.12 - share) / 0.02);
  const lit = logistic((share - 0.55) / 0.05);
  return { lit, glows: Math.max(0, 1 - lit - out), out };
}

/** The lamp's states: key on, and running. */
export const chargeLampStates: CheckMaker = (machine) => {
  if (!hasLamp(machine)) return [];
  const state = (
    id: string,
    label: string,
    at: MachineState,
    how: Pick<Check, 'set' | 'state' | 'opens' | 'cautions'>,
    watch: string,
  ): Check => ({
    ...how,
    id,
    station: INDICATOR,
    label,
    touch: 'Look at it in the shade of a hand.',
    watch,
    instrument: 'eyes',
    probe: { kind: 'look', sees: (scene) => glow(scene.see('lampGlow', at)) },
    words: WORDS,
    needs: [INDICATOR],
    minutes: 0.4,
  });
  return [
    state(
      'charge-lamp-on',
      'Charge lamp, key on, engine still',
      KEY_ON_OPEN,
      { set: 'Key on, engine still.', state: KEY_ON_OPEN, opens: [], cautions: [] },
      'Lit. Out: bulb, wire, rotor or its brushes.',
    ),
    state(
      'charge-lamp-run',
      'Charge lamp, running at speed',
      FAST,
      running(machine, FAST),
      'Out. Lit: no charge. A glow: a diode, or a drop between its two sides.',
    ),
  ];
};

/** With less than this share of its volts at the key no lamp is seen to light. */
const FED_FROM = 0.3;
/** Whether the key gives the lamp anything. */
const fed = (scene: Scene): boolean => {
  const { nodes } = scene.machine.partById.get(INDICATOR)!;
  return Math.abs(scene.solve(KEY_ON_OPEN).volts(nodes['a']!)) > FED_FROM * scene.machine.fit.volts;
};

/** The lamp and its wire by themselves. */
export const chargeLampWire: CheckMaker = (machine) => lampWire(machine, machine.fit.charge?.kind !== 'generator');
/** `swapped`: a bulb without a filament is felt only where the lamp’s current excites the field. */
const lampWire = (machine: Machine, swapped: boolean): Check[] =>
  machine.partById.has(INDICATOR)
    ? [
        {
          id: 'charge-lamp-earthed',
          station: INDICATOR,
          label: hasLamp(machine)
            ? 'Charge lamp’s wire held to earth: does the lamp light?'
            : 'Wire from the key held to earth: does a test lamp in it light?',
          set: 'Key on, engine still, wire off at the other end.',
          touch: 'Hold the wire’s end to bare metal for a moment.',
          watch:
            'Lights: lamp, wire and feed are good, look at what it feeds. Stays out: bulb, wire, or nothing from the key.',
          instrument: 'eyes',
          probe: {
            kind: 'look',
            sees: (scene) => {
              const lamp = figuresAt(scene.params, INDICATOR);
              const broken = (lamp.out ?? 0) > 0.5 || (lamp.ohms ?? 0) > 1e6 || !fed(scene);
              const weak = (lamp.led ?? 0) > 0.5;
              return broken
                ? { lights: 0.02, 'stays out': 0.98 }
                : weak
                  ? { lights: 0.9, 'stays out': 0.1 }
                  : { lights: 0.97, 'stays out': 0.03 };
            },
          },
          state: KEY_ON_OPEN,
          words: ['lights', 'stays out'],
          needs: [INDICATOR],
          minutes: 2,
          opens: [],
          cautions: ['battery'],
        },
        ...(hasLamp(machine)
          ? [
              {
                id: 'charge-bulb',
                station: INDICATOR,
                label: 'Charge lamp bulb',
                set: 'Bulb out of its holder.',
                touch: 'Hold it to the light, or to a battery.',
                watch: 'Whole with its filament, blown, or something else that somebody fitted.',
                instrument: 'eyes',
                probe: {
                  kind: 'look',
                  sees: (scene) => {
                    const lamp = figuresAt(scene.params, INDICATOR);
                    const blown = seen((lamp.out ?? 0) > 0.5 && (lamp.off ?? 0) < 0.5, 0.96);
                    const led = (1 - blown) * seen((lamp.led ?? 0) > 0.5, 0.96);
                    return swapped
                      ? { whole: 1 - blown - led, blown, 'no filament': led }
                      : { whole: 1 - blown, blown };
                  },
                },
                state: KEY_OFF,
                words: ['whole', 'blown', ...(swapped ? ['no filament'] : [])],
                needs: [INDICATOR],
                minutes: 1.5,
                opens: ['behind the dash'],
                cautions: [],
              } satisfies Check,
            ]
          : []),
      ]
    : [];
