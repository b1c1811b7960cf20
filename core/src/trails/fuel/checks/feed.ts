import { figuresAt } from '../../../machine/figures.ts';
import { looking, type CautionId, type Check, type CheckMaker } from '../../../machine/check.ts';
import type { Fit } from '../../../schema/fit.ts';
import type { Machine } from '../../../machine/machine.ts';
import type { Scene } from '../../../machine/scene.ts';
import type { MachineState } from '../../../machine/part.ts';
import { seen, seenFrom, seenSo } from '../../../machine/seen.ts';
import { CRANKING, KEY_OFF, KEY_ON_OPEN } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { drinks, feedOf, flowOf, pressureAt, suctionAt } from '../feeding.ts';
import { LINE, PUMP, TANK, VENT } from '../ids.ts';
import { freeArea, ventNeeds } from '../parts/supply.ts';

export const kindOf = (machine: Machine) => machine.fit.fuel?.kind;
const wet = (machine: Machine): CautionId[] => [
  'open fuel',
  'fuel vapour',
  ...(machine.fit.marine ? (['marine'] as const) : []),
];
/** So long fuel runs into a can. */
const CAN_SECONDS = 30;
const HOW_LONG = 'half a minute';

const tapSet = ({ fit }: Machine): string => (fit.fuel?.vacuumTap ? 'Tap on prime.' : 'Tap on.');

/** What makes the fuel move: nothing but a tap, the key, or the engine turning. */
export function moving(machine: Machine): { set: string; state: MachineState; cautions: CautionId[] } {
  const kind = kindOf(machine);
  if (kind === 'gravity') return { set: tapSet(machine), state: KEY_OFF, cautions: wet(machine) };
  if (kind === 'electric') return { set: 'Key on, engine still.', state: KEY_ON_OPEN, cautions: wet(machine) };
  return {
    set: `Crank in bursts of ten seconds, ${HOW_LONG} in all, no spark anywhere near.`,
    state: CRANKING,
    cautions: [...wet(machine), 'rotating parts'],
  };
}

const look = (
  machine: Machine,
  check: Omit<Check, 'instrument' | 'probe' | 'state' | 'opens' | 'cautions'> &
    Partial<Pick<Check, 'state' | 'opens' | 'cautions'>>,
  sees: (scene: Scene) => Readonly<Record<string, number>>,
): Check => looking({ state: KEY_OFF, opens: [], cautions: wet(machine), ...check }, sees);

/** How plainly a vent of so many square metres is too narrow for such an engine, 0…1. */
export const ventShut = (squareMetres: number, fit: Fit): number =>
  logistic(Math.log(ventNeeds(fit) / (2 * squareMetres)) / 0.5);

export const fuelInTank: CheckMaker = (machine) =>
  kindOf(machine)
    ? [
        look(
          machine,
          {
            id: 'fuel-level',
            does: ['opens fuel'],
            station: TANK,
            label: 'Fuel in the tank',
            set: 'Cap off, a torch, never a flame, or a dipstick.',
            touch: 'Look in. The gauge does not count.',
            watch: 'Over the pick-up, and a hand’s breadth more.',
            words: ['enough', 'empty'],
            needs: [TANK],
            minutes: 0.7,
            look: true,
          },
          ({ params }) => {
            const empty = seen(figuresAt(params, TANK).level < 0.05, 0.97);
            return { enough: 1 - empty, empty };
          },
        ),
        look(
          machine,
          {
            id: 'fuel-sample',
            does: ['opens fuel'],
            station: TANK,
            label: 'A sample of the fuel, in glass',
            set: 'From the lowest place it can be drawn at, into a clear jar; let it stand a minute.',
            touch: 'Look through it, smell it.',
            watch: machine.fit.fuel?.mixed
              ? 'Clear, and a sharp smell. Beads at the bottom are water; stale fuel smells of varnish. A drop on paper dries and leaves a faint ring of oil: a wide one is too much, none is too little.'
              : 'Clear, and a sharp smell. Beads at the bottom are water; stale fuel smells of varnish.',
            words: [
              'fresh',
              'smells of varnish',
              'water under it',
              ...(machine.fit.fuel?.mixed ? ['thick with oil', 'no oil in it'] : []),
              'nothing comes',
            ],
            needs: [TANK],
            minutes: 3,
          },
          ({ params }) => {
            const tank = figuresAt(params, TANK);
            const none = seen(tank.level < 0.05, 0.97);
            const water = (1 - none) * seenFrom(tank.water, 0, 0.1, 0.96);
            const oily = machine.fit.fuel?.mixed ? (1 - none - water) * seenFrom(tank.oil ?? 0, 0, 0.4, 0.85) : 0;
            const lean = machine.fit.fuel?.mixed
              ? (1 - none - water - oily) * seenFrom(tank.lean ?? 0, 0, 0.5, 0.85)
              : 0;
            const stale = (1 - none - water - oily - lean) * seenFrom(tank.light, 0.9, 0.65, 0.9);
            return {
              ...(machine.fit.fuel?.mixed ? { 'thick with oil': oily, 'no oil in it': lean } : {}),
              fresh: 1 - none - water - stale - oily - lean,
              'smells of varnish': stale,
              'water under it': water,
              'nothing comes': none,
            };
          },
        ),
        look(
          machine,
          {
            id: 'fuel-cap',
            station: VENT,
            label: 'Cap opened when it has stalled: does it breathe in?',
            set: 'Drive or run it until it stalls, then at once.',
            touch: 'Open the fuel cap slowly, an ear to it.',
            watch: 'A hiss, and it starts again at once: the tank could not breathe.',
            words: ['hisses', 'no hiss'],
            needs: [VENT],
            minutes: 6,
          },
          ({ params, machine: { fit } }) => {
            const hisses = seenSo(ventShut(figuresAt(params, VENT).squareMetres, fit), 0.95);
            return { hisses, 'no hiss': 1 - hisses };
          },
        ),
      ]
    : [];

/** Half a minute of flow into a can, its hose off the carburettor. */
export const flowIntoCan: CheckMaker = (machine) =>
  kindOf(machine)
    ? [
        {
          ...moving(machine),
          id: 'fuel-can',
          station: kindOf(machine) === 'gravity' ? LINE : PUMP,
          label: 'Flow into a can, half a minute in all',
          touch: 'Hose off the carburettor, its end low in a metal can well away from the engine.',
          watch: 'A full, even stream. Spurts with froth: it sucks air.',
          instrument: 'measuring can',
          probe: {
            kind: 'figure',
            value: ({ params }) => {
              const feed = feedOf(params, 'on prime');
              return CAN_SECONDS * flowOf({ ...feed, after: feed.after.slice(0, -1) });
            },
          },
          needs: [TANK],
          minutes: 3,
          opens: ['fuel hose off'],
        },
      ]
    : [];

/** Gauges before the carburettor and before the pump. */
export const pumpPressures: CheckMaker = (machine) => {
  if (!kindOf(machine) || kindOf(machine) === 'gravity') return [];
  const running = (
    id: string,
    station: string,
    label: string,
    touch: string,
    watch: string,
    value: (scene: Scene) => number,
  ): Check => ({
    ...moving(machine),
    id,
    station,
    label,
    touch,
    watch,
    instrument: 'pressure gauge',
    probe: { kind: 'figure', value },
    needs: [PUMP],
    minutes: 3,
    opens: ['fuel hose off'],
  });
  return [
    running(
      'fuel-pressure',
      PUMP,
      'Fuel pressure at the carburettor',
      'Gauge on a tee in the hose at the carburettor.',
      'Steady, as the plate says. None with a good suction side: the pump.',
      ({ params, machine: { fit } }) => pressureAt(feedOf(params), drinks(fit, 'crank')),
    ),
    running(
      'fuel-suction',
      LINE,
      'Vacuum before the pump, hose to the can',
      'Gauge on a tee before the pump, the carburettor’s hose into a can.',
      'Hardly any. Much of it: something is blocked between here and the tank. None and no flow: pump, or air.',
      ({ params }) => {
        const feed = feedOf(params);
        return suctionAt(feed, flowOf({ ...feed, after: feed.after.slice(0, -1) }));
      },
    ),
    look(
      machine,
      {
        ...moving(machine),
        id: 'fuel-bubbles',
        station: LINE,
        label: 'Clear hose before the pump',
        touch: 'A length of clear hose put in before the pump.',
        watch: 'Solid fuel. A string of bubbles: air gets in nearer the tank.',
        words: ['solid fuel', 'bubbles', 'stays empty'],
        needs: [LINE, PUMP],
        minutes: 4,
        opens: ['fuel hose off'],
      },
      ({ params }) => {
        const air = figuresAt(params, LINE).airShare ?? 0;
        const feed = feedOf(params);
        const flows = logistic((flowOf(feed) / 2e-7 - 1) / 0.3);
        const bubbles = air < 0.97 ? seenFrom(air, 0, 0.15, 0.9) : seen(false, 0.9);
        const empty = (1 - bubbles) * (1 - flows);
        return { 'solid fuel': Math.max(0, 1 - bubbles - empty), bubbles, 'stays empty': empty };
      },
    ),
  ];
};

/** Of its free area, what a filter or hose must have left to look clear. */
const HALF_SHUT = 0.45;
/** What narrows the way, opened: tap, hose, filter. */
export const wayOpened: CheckMaker = (machine) =>
  kindOf(machine)
    ? (
        [
          [
            'fuel-strainer-look',
            TANK,
            'fuel-strainer',
            'Strainer on the pick-up in the tank',
            'Tank below half, its pick-up out.',
            12,
          ],
          ['fuel-tap-look', 'fuel-tap', 'fuel-tap', 'Fuel tap strainer', 'Tap out, tank drained into a can.', 8],
          ['fuel-hose-look', LINE, LINE, 'Fuel hose, bent and blown through', 'Off at both ends.', 5],
          ['fuel-filter-look', 'fuel-filter', 'fuel-filter', 'Filter, blown through', 'Out, both hoses clamped.', 3],
        ] as const
      ).map(([id, station, part, label, set, minutes]) =>
        look(
          machine,
          {
            id,
            station,
            label,
            set,
            touch: 'Look through it; blow gently with a hose, never with the mouth on it.',
            watch: 'Air passes as if nothing were there.',
            words: ['clear', 'blocked'],
            needs: [part],
            minutes,
            opens: ['fuel hose off'],
          },
          ({ params, machine: { fit } }) => {
            // Half shut is seen by half.
            const open = figuresAt(params, part).squareMetres / freeArea(fit).low;
            const blocked = seenSo(logistic((HALF_SHUT - open) / 0.08), 0.95);
            return { clear: 1 - blocked, blocked };
          },
        ),
      )
    : [];
export { look };
