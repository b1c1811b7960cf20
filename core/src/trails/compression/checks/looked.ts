import { figuresAt } from '../../../machine/figures.ts';
import { ATMOSPHERE } from '../../../fluids/index.ts';
import { cylinderFires } from '../../../engine/squeeze.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import { idOf, idsOf, partsOf } from '../../../machine/numbered.ts';
import { ofSeveral } from '../../../machine/several.ts';
import { seen, seenFrom } from '../../../machine/seen.ts';
import { CRANKING, IDLE, KEY_OFF } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { BORES, CRANKCASE, GASKET, PORT, REEDS, VALVES } from '../ids.ts';
import { EXHAUST } from '../pressing.ts';
import { strokesOf } from './which.ts';

/** How clearly a weak beat is heard. */
const HEARD = 0.9;

/** By ear as it is turned: costs nothing, and parts compression from all the rest. */
export const listen: CheckMaker = (machine) =>
  strokesOf(machine)
    ? [
        looking(
          {
            id: 'compression-listen',
            station: BORES,
            label: 'Turned over, by ear and hand: even beats?',
            set: machine.fit.spark
              ? 'Ignition off or earthed, throttle open.'
              : 'Stop held out so that no fuel is injected.',
            touch: 'Turn it over for five seconds with the starter, or by hand over each top.',
            watch: 'Every beat alike, and each holds. One that runs through; none that holds: it spins.',
            words: machine.fit.cylinders > 1 ? ['even', 'one runs through', 'spins freely'] : ['holds', 'runs through'],
            state: CRANKING,
            minutes: 0.5,
            opens: [],
            cautions: ['rotating parts'],
          },
          (scene) => {
            const { cylinders } = scene.machine.fit;
            const weak = Array.from({ length: cylinders }, (_, i) =>
              logistic((0.72 - scene.see('compression', CRANKING, { cylinder: i + 1 })) / 0.035),
            );
            if (cylinders === 1) {
              const runs = 0.02 + HEARD * weak[0]!;
              return { holds: 1 - runs, 'runs through': runs };
            }
            const { all, none } = ofSeveral(weak);
            const some = 1 - all - none;
            return {
              even: 0.96 - HEARD * (some + all),
              'one runs through': 0.02 + HEARD * some,
              'spins freely': 0.02 + HEARD * all,
            };
          },
        ),
      ]
    : [];

/** Valves of four strokes: their clearances. */
export const clearances: CheckMaker = (machine) => {
  if (strokesOf(machine) !== 'four-stroke') return [];
  const own = partsOf(machine, EXHAUST);
  const word = (n: number) => (own.length === 1 ? 'none at the exhaust' : `none at exhaust ${n}`);
  return [
    looking(
      {
        id: 'compression-clearances',
        does: ['turned by hand'],
        station: VALVES,
        label: 'Valve clearances, all',
        set: 'Engine cold, covers off; each valve on the back of its cam.',
        touch: 'Feeler between valve and lever or tappet, one after the other.',
        watch: 'Each within the book’s figures.',
        words: ['all in band', ...own.map((p) => word(p.oneOf!.n))],
        state: KEY_OFF,
        minutes: 1 + 0.6 * machine.fit.cylinders,
        opens: ['valve cover off'],
        cautions: [],
      },
      ({ params }) => {
        const tight = own.map((p): [string, number] => [
          word(p.oneOf!.n),
          figuresAt(params, idOf('compression-exhaust', p.oneOf!.n)).clearanceMetres < 0.05e-3
            ? 0.95
            : 0.02 / own.length,
        ]);
        const sum = tight.reduce((a, [, v]) => a + v, 0);
        const scale = Math.min(1, 0.98 / sum);
        return { ...Object.fromEntries(tight.map(([w, v]) => [w, v * scale])), 'all in band': 1 - sum * scale };
      },
    ),
  ];
};

/** What shows while it runs, or beside it. */
export const around: CheckMaker = (machine) => {
  const strokes = strokesOf(machine);
  if (!strokes) return [];
  const marine = machine.fit.marine ? (['marine'] as const) : [];
  const blows = looking(
    {
      id: 'compression-breather',
      station: BORES,
      label: 'A hand over the oil filler, idling',
      set: 'Engine warm, idling, filler cap off.',
      touch: 'A flat hand over the hole; look for smoke from it.',
      watch: 'Hardly any. Puffs in time with one cylinder, or a steady stream: blow-by past the rings.',
      words: ['hardly a breath', 'puffs'],
      state: IDLE,
      minutes: 0.7,
      opens: [],
      cautions: ['rotating parts', 'exhaust gas', 'hot coil', ...marine],
    },
    ({ params }) => {
      const past = ([BORES, ...idsOf(machine, 'compression-rings')] as const).some((id) => figuresAt(params, id).oil);
      const puffs = seen(past, 0.88);
      return { 'hardly a breath': 1 - puffs, puffs };
    },
  );
  const bubbles = looking(
    {
      id: 'compression-bubbles',
      does: ['opens cooling'],
      station: GASKET,
      label: 'Bubbles in the coolant, or oil and coolant mixed',
      set: 'Stone cold: coolant cap off, then start it. Never open it warm.',
      touch: 'Watch the water as it starts and is opened up; look at the dipstick.',
      watch: 'No bubbles, and the oil clean.',
      words: ['still and clean', 'bubbles or cream'],
      state: KEY_OFF,
      minutes: 1.5,
      opens: [],
      cautions: ['rotating parts', 'exhaust gas', ...marine],
    },
    ({ params }) => {
      const bad = seen((figuresAt(params, GASKET).water ?? 0) > 0.5, 0.85);
      return { 'still and clean': 1 - bad, 'bubbles or cream': bad };
    },
  );
  return [
    ...(strokes === 'four-stroke' ? [blows] : twoStrokeLooks(machine)),
    ...(machine.fit.compression?.cooling === 'water' ? [bubbles] : []),
  ];
};

/** What only two strokes have: crankcase, reeds, ports. */
const twoStrokeLooks: CheckMaker = (machine) => [
  {
    id: 'compression-crankcase',
    station: CRANKCASE,
    label: 'Crankcase pumped to 40 kPa: what is left after a minute',
    set: 'Carburettor off, intake and exhaust plugged, piston at the bottom.',
    touch: 'Pump it up by hand through one plug to 40 kPa; wait a minute; soap on the seals.',
    watch: 'Hardly falls. If it falls, soapy water shows where it leaks.',
    instrument: 'pressure gauge',
    probe: {
      kind: 'figure',
      value: (scene) => leftAfter(figuresAt(scene.params, CRANKCASE).leakSquareMetres, machine.fit.litres),
    },
    state: KEY_OFF,
    minutes: 6,
    opens: ['carburettor off'],
    cautions: ['fuel vapour'],
  },
  ...(machine.fit.compression?.reeds
    ? [
        looking(
          {
            id: 'compression-spit',
            station: REEDS,
            label: 'A card in front of the intake: does it spit back?',
            set: 'Filter off, cranked or running.',
            touch: 'A card a hand’s breadth in front of the intake.',
            watch: 'Dry. Wet with fuel: the reeds do not shut.',
            words: ['dry', 'wet'],
            state: CRANKING,
            minutes: 0.7,
            opens: ['air filter off'],
            cautions: ['fuel vapour', 'rotating parts'],
          },
          ({ params }) => {
            const wet = seenFrom(figuresAt(params, REEDS).share, 0.96, 0.7, 0.85);
            return { dry: 1 - wet, wet };
          },
        ),
        looking(
          {
            id: 'compression-reeds-look',
            station: REEDS,
            label: 'Reed petals, held to the light',
            set: 'Carburettor and reed block off.',
            touch: 'Look along each petal against its seat.',
            watch: 'All shut, none chipped.',
            words: ['all shut', 'one open or chipped'],
            state: KEY_OFF,
            minutes: 2,
            opens: ['carburettor off'],
            cautions: ['fuel vapour'],
          },
          ({ params }) => {
            const bad = seenFrom(figuresAt(params, REEDS).share, 0.96, 0.8, 0.96);
            return { 'all shut': 1 - bad, 'one open or chipped': bad };
          },
        ),
      ]
    : []),
  looking(
    {
      id: 'compression-port-look',
      station: PORT,
      label: 'Exhaust port, by eye',
      set: 'Exhaust off, piston below the port.',
      touch: 'Look in with a lamp.',
      watch: 'Bare metal all around.',
      words: ['clear', 'choked'],
      state: KEY_OFF,
      minutes: 1,
      opens: ['exhaust off'],
      cautions: ['hot coil'],
    },
    ({ params }) => {
      const bad = seenFrom(figuresAt(params, PORT).share, 0.93, 0.6, 0.95);
      return { clear: 1 - bad, choked: bad };
    },
  ),
];

/** A diesel's: an injector's union loosened, cylinder by cylinder. */
export const dieselDrop: CheckMaker = (machine) =>
  strokesOf(machine) && !machine.fit.spark && machine.fit.cylinders > 1
    ? [
        looking(
          {
            id: 'compression-unions',
            does: ['opens injection', 'touches what is hot'],
            station: BORES,
            label: 'Injector unions loosened in turn: which makes no difference?',
            set: 'Running at idle, or as well as it will. Goggles and gloves; a shield over the union, nobody beside it. Not on a common rail.',
            touch:
              'With a long spanner a quarter turn, listen, tighten again, the next; never a hand or a rag at the union.',
            watch: 'Each sound cylinder drops the revs alike.',
            words: [
              'all drop alike',
              ...Array.from({ length: machine.fit.cylinders }, (_, i) => `only ${i + 1} makes none`),
            ],
            state: IDLE,
            minutes: 3,
            opens: [],
            cautions: [
              'rotating parts',
              'exhaust gas',
              'hot coil',
              ...(machine.fit.marine ? (['marine'] as const) : []),
            ],
          },
          (scene) => {
            const none = Array.from({ length: machine.fit.cylinders }, (_, i) => 1 - cylinderFires(scene, IDLE, i + 1));
            const { alone: only } = ofSeveral(none);
            const sum = only.reduce((a, b) => a + b, 0);
            return {
              'all drop alike': 1 - 0.95 * sum,
              ...Object.fromEntries(only.map((o, k) => [`only ${k + 1} makes none`, 0.95 * o])),
            };
          },
        ),
      ]
    : [];

/** Pressure to which a crankcase is pumped, pascal; discharge of a crack; air's density, kilograms a cubic metre. */
const PUMPED = 40e3;
const DISCHARGE = 0.65;
const AIR = 1.2;
/** Crankcase over swept volume. */
const CASE = 2.4;

/**
 * What is left after a minute: Q = C_d·A·√(2p/ρ) out of a vessel gives √p falling evenly in time. Pascal.
 */
export function leftAfter(squareMetres: number, litres: number, seconds = 60): number {
  const slope = (ATMOSPHERE * DISCHARGE * squareMetres * Math.sqrt(2 / AIR)) / (CASE * litres * 1e-3);
  return Math.max(0, Math.sqrt(PUMPED) - (slope * seconds) / 2) ** 2;
}
