import { figuresAt, figuresIfAny, hasFigures, needed, withFigures } from '../../machine/figures.ts';
import { motorAt, type Motor, type OperatingPoint } from '../../network/index.ts';
import type { Known, MachineParams } from '../../machine/known.ts';
import { CRANK_WORDS, type CrankWord, type Offers } from '../../machine/observed.ts';
import { OPEN_OHMS, type MachineState } from '../../machine/part.ts';
import { changedState, keyOf } from '../../machine/state.ts';
import { logistic } from '../../random/lcg.ts';
import { settleDecompressor } from './decompressing.ts';
import { DRIVE, ENGINE, MOTOR, RELAY, SOLENOID, START_SWITCH } from './ids.ts';
import { startingOf } from './starting.ts';

const CRANK: Pick<MachineState, 'key' | 'points'> = { key: 'crank', points: 'closed' };
const toRpm = (speed: number) => (speed * 30) / Math.PI;

/** A pinion that is jammed holds the motor as an engine would that asks for so many times its torque. */
const HELD = 40;

/** What the motor must turn, from engine and drive: put into its figures before anyone measures. */
export function settleStarter(given: MachineParams): MachineParams {
  const params = settleDecompressor(given);
  const [motor, engine] = [figuresIfAny(params, MOTOR), figuresIfAny(params, ENGINE)];
  const drive = figuresIfAny(params, DRIVE);
  if (!motor || !engine || !drive) return params;
  const carried = drive.grip;
  const load = {
    stillTorque: engine.stillTorque * ((drive.jammed ?? 0) > 0 ? HELD : carried),
    torquePerRadian: engine.torquePerRadian * Math.max(carried, 0.05) * (motor.braked ?? 1),
  };
  return withFigures(params, MOTOR, { ...motor, ...load });
}

/**
 * Two windings of as many turns pull as one over their resistances: .2–.6 Ω against .8–1.8 Ω (SOURCES, solenoid).
 * Without its hold winding a plunger still goes home, and lets go there: it chatters.
 */
const PULLS = { pull: 0.74, hold: 0.26 } as const;
/** Volts of the small terminal that pull the plunger: one part of them on either winding. */
function pullShare(scene: Known, at: OperatingPoint): number {
  const s = Math.abs(at.volts('sol-s') - at.volts(scene.machine.partById.get(SOLENOID)!.nodes['earth']!));
  const across = Math.abs(at.volts('sol-s') - at.volts('motor'));
  const figures = figuresAt(scene.params, SOLENOID);
  const [pull, hold] = [figures.pullOhms < OPEN_OHMS ? across : 0, figures.holdOhms < OPEN_OHMS ? s : 0];
  return (PULLS.pull * pull + PULLS.hold * hold) / figures.pullInVolts;
}

/** Below this share of what it asks the plunger does not even move the pinion to the ring. */
const HALF_FROM = 0.55;

export interface Engaged {
  readonly relay: boolean;
  /** How much of what it asks the plunger is given: from 1 on it goes home. */
  readonly pull: number;
  /** Volts of the small terminal before it moves, and whether its current then turns the motor a little. */
  readonly at: { readonly volts: number; readonly turning: boolean };
  /** Whether it stays home once the motor draws its current. */
  readonly held: number;
  readonly home: OperatingPoint;
}

/** Asked for by each observable in turn: worked out once for each state of a machine. */
const kept = new WeakMap<Known, Map<string, Engaged>>();

/** From the key on: relay, plunger, and whether it stays in. */
export function engagement(scene: Known, state: MachineState): Engaged {
  let own = kept.get(scene);
  if (!own) kept.set(scene, (own = new Map()));
  const key = keyOf(state);
  let known = own.get(key);
  if (!known) own.set(key, (known = engaged(scene, state)));
  return known;
}
function engaged(scene: Known, state: MachineState): Engaged {
  const still = changedState(state, CRANK);
  const relayed = hasFigures(scene.params, RELAY);
  const earth = scene.machine.partById.get(SOLENOID)!.nodes['earth']!;
  let relay = true;
  if (relayed) {
    const open = scene.solve(changedState(still, { at: { [RELAY]: 'out', [SOLENOID]: 'out' } }));
    const figures = figuresAt(scene.params, RELAY);
    relay = figures.coilOhms < OPEN_OHMS && Math.abs(open.volts('relay-s') - open.volts(earth)) >= figures.pullInVolts;
  }
  const told = relayed ? ({ [RELAY]: relay ? 'in' : 'out' } as const) : {};
  const out = scene.solve(changedState(still, { at: { ...told, [SOLENOID]: 'out' } }));
  const pull = pullShare(scene, out);
  const at = {
    volts: Math.abs(out.volts('sol-s') - out.volts(earth)),
    turning: figuresAt(scene.params, SOLENOID).pullOhms < OPEN_OHMS && figuresAt(scene.params, MOTOR).ohms < OPEN_OHMS,
  };
  const home = scene.solve(changedState(still, { at: { ...told, [SOLENOID]: 'in' } }));
  const hold = figuresAt(scene.params, SOLENOID);
  const volts = hold.holdOhms < OPEN_OHMS ? Math.abs(home.volts('sol-s') - home.volts(earth)) : 0;
  return { relay, pull, at, held: volts / hold.holdVolts, home };
}

/** Below this share of the nominal volts at the small terminal the plunger is starved, not weak. */
const STARVED = 0.74;
/** How a starved plunger is heard, where it does not merely tick. Judgement. */
const STARVED_AS = { grinds: 0.55, chatters: 0.15 } as const;

/** Where relay and plunger come to stand; one that chatters stands out. */
const positions: Offers['positions'] = (scene, state) => {
  const { relay, pull, held } = engagement(scene, state);
  return {
    ...(hasFigures(scene.params, RELAY) ? { [RELAY]: relay ? 'in' : 'out' } : {}),
    [SOLENOID]: pull >= 1 && held >= 1 ? 'in' : 'out',
  };
};

/** The motor's speed and amperes with the plunger home, rev/min at the crank. */
export function motorIn(scene: Known, home: OperatingPoint): { rpm: number; amps: number } {
  const part = scene.machine.partById.get(MOTOR)!;
  const figures = figuresAt(scene.params, MOTOR);
  const amps = Math.abs(home.amps(MOTOR));
  if (figures.ohms >= OPEN_OHMS) return { rpm: 0, amps };
  const element: Motor = {
    type: 'motor',
    id: MOTOR,
    a: part.nodes['a']!,
    b: part.nodes['b']!,
    ohms: figures.ohms,
    voltsPerRadian: figures.voltsPerRadian,
    saturationAmps: figures.saturationAmps,
    stillTorque: needed(figures.stillTorque, 'stillTorque'),
    torquePerRadian: needed(figures.torquePerRadian, 'torquePerRadian'),
  };
  return { rpm: toRpm(motorAt(element, home.volts(element.a) - home.volts(element.b)).speed), amps };
}

/** Speeds against what the starter was made for: under the first it is called slow, under the second it does not turn. */
const SLOW = 0.68;
const TURNS = 0.06;

const none = (): Record<CrankWord, number> =>
  Object.fromEntries(CRANK_WORDS.map((w) => [w, 0])) as Record<CrankWord, number>;

/** What is heard and seen with the key at start. */
const cranking: Offers['cranking'] = (scene, state) => {
  const { relay, pull, held, home, at } = engagement(scene, state);
  const { rpm } = motorIn(scene, home);
  const made = startingOf(scene.machine.fit).rpm;
  const drive = figuresAt(scene.params, DRIVE);
  const goesHome = logistic((pull - 1) / 0.03);
  const half = (1 - goesHome) * logistic((pull - HALF_FROM) / 0.03);
  const stays = goesHome * logistic((held - 1) / 0.06);
  const words = none();
  // Starved, the plunger goes half in and the pinion strikes the ring while the pull-in current turns it; with all its
  // volts and half its strength it only ticks.
  const starved = logistic((STARVED - at.volts / scene.machine.fit.volts) / 0.04) * (at.turning ? 1 : 0);
  words.grinds += STARVED_AS.grinds * starved * half;
  const ticks = (1 - (STARVED_AS.grinds + STARVED_AS.chatters) * starved) * half;
  words['clicks once'] += 0.6 * ticks;
  words.nothing += 0.4 * ticks;
  words.chatters += STARVED_AS.chatters * starved * half + goesHome - stays;
  const left = 1 - goesHome - half;
  words['clicks once'] += left * (hasFigures(scene.params, RELAY) && relay ? 0.5 : 0.04);
  words.nothing += left * (hasFigures(scene.params, RELAY) && relay ? 0.5 : 0.96);
  const free = stays * logistic((0.5 - drive.grip) / 0.05);
  words['spins free'] += free;
  const caught = (stays - free) * (1 - drive.gone);
  words.grinds += (stays - free) * drive.gone;
  const turns = caught * logistic((rpm / made - TURNS) / 0.015);
  words['clicks once'] += caught - turns;
  const slow = logistic((SLOW - rpm / made) / 0.05);
  words['turns slowly'] += turns * slow;
  words['turns well'] += turns * (1 - slow);
  return words;
};

/** Under this share of the speed a starter was made for, an engine seldom fires: 60–80 rev/min of 200. */
const FIRES_FROM = 0.36;

/** What keeps the starter turning with the key let go. */
const keepsCranking: Offers['keepsCranking'] = ({ params }) => {
  if ((figuresAt(params, SOLENOID).welded ?? 0) > 0) return 'contacts';
  if ((figuresIfAny(params, RELAY)?.welded ?? 0) > 0) return 'relay';
  return (figuresIfAny(params, START_SWITCH)?.stuck ?? 0) > 0 ? 'switch' : 'nothing';
};

/** What the trail tells of itself to the engine and to the other trails. */
export const crankOffers: Offers = {
  keepsCranking,
  positions,
  cranking,
  crankingRpm: (scene, state) => {
    const { pull, held, home } = engagement(scene, state);
    return pull >= 1 && held >= 1 && figuresAt(scene.params, DRIVE).grip > 0.5 ? motorIn(scene, home).rpm : 0;
  },
  turns: (scene, state) => {
    const words = scene.see('cranking', state);
    const { rpm } = motorIn(scene, engagement(scene, state).home);
    const fast = logistic((rpm / startingOf(scene.machine.fit).rpm - FIRES_FROM) / 0.04);
    return words['turns well'] + words['turns slowly'] * fast;
  },
};

/** A hand feels an engine that is stiff long before it can no longer turn it. */
const STIFF_FELT = 0.9;

/** Turned by hand: what a person gives against what the engine asks. */
export const handOffers: Offers = {
  cranking: (scene) => {
    const words = none();
    const hand = figuresAt(scene.params, 'hand-start');
    const engine = figuresAt(scene.params, ENGINE);
    const pulls = logistic((hand.newtonMetres - 5) / 2);
    const catches = pulls * logistic((hand.grip - 0.5) / 0.05);
    words.nothing = 1 - pulls;
    words['spins free'] = pulls - catches;
    const share = hand.newtonMetres / (engine.stillTorque * 1.6);
    const turns = catches * logistic((share - 1) / 0.08);
    words['clicks once'] = catches - turns;
    const slow = Math.max(logistic((1.9 - share) / 0.15), STIFF_FELT * (engine.stiff ?? 0));
    words['turns slowly'] = turns * slow;
    words['turns well'] = turns * (1 - slow);
    return words;
  },
  crankingRpm: (scene, state) => {
    const words = scene.see('cranking', state);
    const made =
      figuresIfAny(scene.params, 'flywheel')?.crankRpm ?? figuresIfAny(scene.params, 'magnet-rotor')?.crankRpm ?? 250;
    return made * (words['turns well'] + 0.5 * words['turns slowly']);
  },
  turns: (scene, state) => {
    const words = scene.see('cranking', state);
    return words['turns well'] + 0.6 * words['turns slowly'];
  },
};
