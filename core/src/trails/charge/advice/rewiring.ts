import { figuresAt, figuresIfAny } from '../../../machine/figures.ts';
import { chargerCan, type Charger } from '../../../network/index.ts';
import type { Scene } from '../../../machine/scene.ts';
import { RUNNING } from '../../../machine/state.ts';
import type { Fit } from '../../../schema/fit.ts';
import { engineRpm, REGULATOR, SOURCE } from '../making.ts';
import { chargerAt, wattsOf } from '../parts/index.ts';
import { copperFor, type Copper } from './copper.ts';

/** A way of wiring a permanent-magnet machine to a unit that can still be had. */
export interface Way {
  readonly id: string;
  readonly label: string;
  /** Legs that lead to the unit; with one, the coil's other end stays on the core. */
  readonly legs: 1 | 2 | 3;
  /** What is too much is shorted, or switched off. */
  readonly control: 'shunt' | 'series';
  /** What has to be done to the machine itself. */
  readonly alters: string | undefined;
}

/** At one speed of the engine, all consumers on. */
export interface WayAt {
  readonly rpm: number;
  /** Most that it gives at the set point, and what is then taken of it; amperes. */
  readonly mostAmps: number;
  readonly takenAmps: number;
  /** Into the battery, less than nothing where the consumers take more than it gives. */
  readonly batteryAmps: number;
  /** Heat in the unit and in the winding, watts; what one leg carries, amperes effective. */
  readonly unitWatts: number;
  readonly windingWatts: number;
  readonly legAmps: number;
  /** Highest volts that a leg shows while the unit has it switched off; of a shunt, the battery's. */
  readonly openVolts: number;
}

export interface Wired {
  readonly way: Way;
  readonly idle: WayAt;
  readonly fast: WayAt;
  readonly toBattery: Copper;
  readonly leg: Copper;
  readonly verdict: 'carries all' | 'carries all but at idle' | 'not enough';
}

/** Ways that this machine's winding allows, the plainest first. */
function waysFor(fit: Fit): readonly Way[] {
  const kind = fit.charge?.kind;
  const units = ['shunt', 'series'] as const;
  const words = { shunt: 'shunt unit', series: 'series unit' };
  const with_ = (id: string, legs: Way['legs'], label: string, alters?: string): Way[] =>
    units.map((control) => ({ id: `${id}-${control}`, label: `${label}, ${words[control]}`, legs, control, alters }));
  if (kind === 'stator-three')
    return [
      ...with_('three', 3, 'All three phases'),
      ...with_('two', 2, 'Two of the three phases', 'Insulate the end of the third wire and tie it back.'),
    ];
  if (kind !== 'stator-single' && kind !== 'lighting-coil') return [];
  const lifted = earthed(fit)
    ? 'Lift the coil’s earthed end off the core, insulate it and lead it out as a second wire.'
    : undefined;
  const single = 'One wire, half wave';
  return [
    ...with_('both', 2, 'Both ends, full wave', lifted),
    ...with_('one', 1, single, earthed(fit) ? undefined : 'Put one end of the coil to the core.'),
  ];
}
/** Whether one end of the coil is on the core as the machine was made. */
const earthed = (fit: Fit): boolean => fit.charge?.kind === 'lighting-coil' || fit.charge?.wave === 'half';

/** Volts of one junction at some amperes, and of a switched one (a thyristor) that shorts a leg. */
const JUNCTION = 0.8;
const SHORTED = 1.2;
/** Direct current over the effective one of a leg: three sines through a bridge, and one. */
const FORM = { 3: 1.35, 2: 0.9, 1: 0.9 } as const;
/** A flat battery takes so many amperes besides, of twelve volts. */
const FILLING_AMPS = 3;
/** Two legs of a star give the volts of two phases, √3 of one, behind two windings. */
const TWO_OF_THREE = Math.sqrt(3);

/** The winding as this way meets it. */
export function chargerOn(scene: Scene, way: Way, rpm: number): Charger {
  const { machine, params } = scene;
  const context = { id: SOURCE, nodes: machine.partById.get(SOURCE)!.nodes, fit: machine.fit, state: RUNNING } as const;
  const whole = chargerAt(figuresAt(params, SOURCE), context, rpm);
  const junctions = way.legs === 1 ? JUNCTION : 2 * JUNCTION;
  const one = { ...whole, halfWave: way.legs === 1, diodeVolts: junctions };
  if (way.legs === 3) return one;
  if (machine.fit.charge!.kind !== 'stator-three') return { ...one, winding: 'single' };
  return {
    ...one,
    winding: 'single',
    emfVolts: whole.emfVolts * TWO_OF_THREE,
    ohms: 2 * whole.ohms,
    reactanceOhms: 2 * whole.reactanceOhms,
  };
}

/** Amperes effective in a winding that is shorted: of a phase to its star's middle. */
const shortAmps = (e: Charger): number => e.emfVolts / Math.hypot(e.ohms, e.reactanceOhms);

function wayAt(scene: Scene, way: Way, rpm: number, setVolts: number): WayAt {
  const { fit } = scene.machine;
  const e = chargerOn(scene, way, rpm);
  const most = Math.max(0, chargerCan(e, setVolts).amps);
  const takes = (wattsOf(fit) / fit.volts ** 2) * setVolts;
  const taken = Math.min(most, takes + (FILLING_AMPS * 12) / fit.volts);
  // What is not taken is shorted, or switched off, for that share of the time.
  const share = most > 0 ? taken / most : 0;
  // A half-wave unit lets half of the swings through, and those run full: what shops find. A winding whose iron never
  // saturated would give more.
  const full = (most * (way.legs === 1 ? 2 : 1)) / FORM[way.legs];
  const swings = way.legs === 1 ? 0.5 : 1;
  const shorted = way.control === 'shunt' ? shortAmps(e) : 0;
  const squares = (way.legs === 3 ? 1 : swings) * share * full ** 2 + (1 - share) * shorted ** 2;
  const windings = way.legs === 3 ? 3 : 1;
  return {
    rpm,
    mostAmps: most,
    takenAmps: taken,
    batteryAmps: taken - takes,
    unitWatts: e.diodeVolts * taken + (way.control === 'shunt' ? SHORTED * FORM[way.legs] * shorted * (1 - share) : 0),
    windingWatts: windings * e.ohms * squares,
    legAmps: Math.sqrt(squares),
    openVolts: way.control === 'series' ? e.emfVolts * Math.SQRT2 * (way.legs === 3 ? TWO_OF_THREE : 1) : setVolts,
  };
}

const METRES = 1.5;

/** Every way on this machine, at idle and fast. Nothing where its magnets are not permanent. Metres: of the wires. */
export function wiredWays(scene: Scene, metres = METRES): readonly Wired[] {
  const { fit } = scene.machine;
  const setVolts = figuresIfAny(scene.params, REGULATOR)?.setVolts ?? 1.19 * fit.volts;
  return waysFor(fit).map((way) => {
    const idle = wayAt(scene, way, engineRpm(fit), setVolts);
    const fast = wayAt(scene, way, engineRpm(fit, 'fast'), setVolts);
    const worst = Math.max(idle.takenAmps, fast.takenAmps, 0.5);
    return {
      way,
      idle,
      fast,
      toBattery: copperFor(worst, metres, fit.volts),
      leg: copperFor(Math.max(idle.legAmps, fast.legAmps, 0.5), metres, fit.volts),
      verdict: fast.batteryAmps <= 0 ? 'not enough' : idle.batteryAmps < 0 ? 'carries all but at idle' : 'carries all',
    };
  });
}

const RANKS = ['carries all', 'carries all but at idle', 'not enough'] as const;

/** The one to fit: carries most; then the one that leaves the machine as it is; then the cooler. */
export function bestWay(of: readonly Wired[]): Wired | undefined {
  const heat = (w: Wired) => w.fast.unitWatts + w.fast.windingWatts;
  return [...of].sort(
    (a, b) =>
      RANKS.indexOf(a.verdict) - RANKS.indexOf(b.verdict) ||
      Number(a.way.alters !== undefined) - Number(b.way.alters !== undefined) ||
      heat(a) - heat(b),
  )[0];
}
