import { figuresAt, figuresIfAny } from '../../machine/figures.ts';
import { outsideOf } from '../../engine/altitude.ts';
import { idleHole, idling, pressureAtSpeed, type Idling } from '../../engine/manifold.ts';
import { idleRpm } from '../../engine/speeds.ts';
import { burns } from '../../engine/burns.ts';
import { squeezed } from '../../engine/squeeze.ts';
import { logistic } from '../../random/lcg.ts';
import type { Known, MachineParams } from '../../machine/known.ts';
import type { Offers } from '../../machine/observed.ts';
import type { MachineState } from '../../machine/part.ts';
import { IDLE } from '../../machine/state.ts';
import type { Fit } from '../../schema/fit.ts';
import { BALANCE, BREATHER, EXHAUST, FILTER, GASKET, GOVERNOR, HOSE, PURGE, SCREW, SERVO, STOP } from './ids.ts';

/** Play of a governor from which the speed swings; pull of its spring under which it opens the throttle too little. */
const HUNTS_FROM = 0.2;
const PULLS_UNDER = 0.8;
/** Chance that its governor makes it hunt. */
export const governorHunts = (p: MachineParams): number =>
  logistic(((figuresIfAny(p, GOVERNOR)?.drag ?? 0) - HUNTS_FROM) / 0.04);

/** What may let air in beside the throttle; not every machine has all of them. */
const LEAKS = [GASKET, HOSE, BREATHER, PURGE, SERVO] as const;

/** Pressure that stands before the exhaust's ports fast, for a silencer of this share open: as the square of the flow. */
const BACK_FAST = 6e3;

/** Share of an idle’s air that comes through the crankcase’s valve. Judgement: a sixth to a third. */
const VENTED = 0.25;

/** What the throttle leaves open, and what comes in beside it; square metres. */
function holes(fit: Fit, p: MachineParams) {
  const meant = idleHole(fit.litres, idleRpm(fit), outsideOf(fit));
  const vented = figuresIfAny(p, BREATHER)?.openShare ?? 1;
  return {
    throttle: meant * Math.max(0.05, figuresAt(p, STOP).openShare - VENTED * (1 - vented)),
    leak: meant * LEAKS.reduce((sum, id) => sum + (figuresIfAny(p, id)?.leakShare ?? 0), 0),
  };
}

/** Fuel over air, against what it is without a leak: at idle what comes in beside the throttle brings no fuel with it. */
function leaned(fit: Fit, p: MachineParams, state: MachineState): number {
  const { throttle, leak } = holes(fit, p);
  const screw = figuresAt(p, SCREW).richness;
  const filter = figuresAt(p, FILTER).openShare;
  // A filter that is nearly shut draws as a choke does.
  const choked = 1 + 0.55 * (1 - filter) ** 2;
  if (state.key !== 'run') return choked * (0.5 + 0.5 * screw) * (throttle / (throttle + 0.35 * leak));
  if (state.speed === 'fast') return choked * (0.9 + 0.1 * screw) * (1 / (1 + 0.06 * (leak / throttle)));
  return choked * screw * (throttle / (throttle + leak));
}

/** Share of its work that an engine makes whose throttles stand apart: one side drags the other. Judgement. */
const together = (p: MachineParams): number => 1 - 0.25 * Math.min(1, figuresIfAny(p, BALANCE)?.apart ?? 0);
/** How far apart throttles stand before the idle shakes, of an idle's opening. */
const SHAKES_FROM = 0.25;

/** Difference of vacuum between the sides of throttles that stand so far apart: their own holes, each for itself. Pascal. */
export function apartPascals(scene: Known): number {
  const { fit } = scene.machine;
  const { throttle, leak } = holes(fit, scene.params);
  const half = (figuresIfAny(scene.params, BALANCE)?.apart ?? 0) / 2;
  const { rpm } = scene.see('idles', IDLE);
  const at = (share: number) =>
    pressureAtSpeed(fit.litres, throttle * share + leak, Math.max(300, rpm), outsideOf(fit));
  return at(1 + half) - at(1 - half);
}

/** Share of its set idle under which an engine stops. Judgement. */
const STOPS_UNDER = 0.3;

/** Share of a sound engine’s work that it makes of a mixture that is right. */
function worksOnceMixed(scene: Known): number {
  const late = Math.max(0.3, 1 - Math.abs(scene.see('degreesOff', IDLE)) / 60);
  return late * squeezed(scene) * together(scene.params);
}

/** How it idles: by its holes, and by how much of a sound engine's work it makes of the air. */
function idle(scene: Known): Idling {
  const { fit } = scene.machine;
  const { throttle, leak } = holes(fit, scene.params);
  const rich = scene.see('richness', IDLE);
  // Weak burns slowly, late work is lost; sparks that are missing are seen elsewhere.
  const slow = 1 - 0.9 * Math.max(0, 1 - rich) - 0.25 * Math.max(0, rich - 1.15);
  const works = Math.max(0.05, slow) * burns(rich, IDLE) * worksOnceMixed(scene);
  const found = idling(fit.litres, throttle + leak, works, outsideOf(fit));
  // So slowly the next compression is not passed: it stops.
  return found.rpm < STOPS_UNDER * idleRpm(fit) ? { pascals: outsideOf(fit), rpm: 0 } : found;
}

/** Vacuum on the gauge, held fast without a load: friction and what the exhaust holds back. Pascal below the air outside. */
export function fastVacuum(scene: Known): number {
  const back = BACK_FAST / figuresAt(scene.params, EXHAUST).openShare ** 2;
  const { fit } = scene.machine;
  return outsideOf(fit) - idling(fit.litres, 1, 1.12, outsideOf(fit), back).pascals;
}
/** What does not idle is held at so many times its set idle by the throttle, as whoever reads the gauge does. */
const HELD_AT = 1.6;
/** Manifold pressure of an engine that is held so: what it needs to turn, or what its holes let in if that is more. */
function heldPascals(scene: Known): number {
  const { fit } = scene.machine;
  const { throttle, leak } = holes(fit, scene.params);
  const [rpm, outside] = [HELD_AT * idleRpm(fit), outsideOf(fit)];
  const needs = idling(fit.litres, 1, worksOnceMixed(scene), outside).pascals;
  const lets = pressureAtSpeed(fit.litres, Math.max(throttle + leak, idleHole(fit.litres, rpm, outside)), rpm, outside);
  return Math.max(needs, lets);
}
/** Vacuum as it idles, or as it is held where it does not. Pascal below the air outside. */
export function idleVacuum(scene: Known): number {
  const { pascals, rpm } = scene.see('idles', IDLE);
  return outsideOf(scene.machine.fit) - (rpm > 0 ? pascals : heldPascals(scene));
}

/** Share of the air that full load asks for which gets through filter and silencer. */
function breathes(p: MachineParams): number {
  const back = figuresAt(p, EXHAUST).openShare;
  return Math.min(1, figuresAt(p, FILTER).openShare * 2.2) * Math.min(1, back * 2.2);
}

export const airOffers: Offers = {
  richness: (scene, state) => leaned(scene.machine.fit, scene.params, state),
  idles: (scene) => idle(scene),
  breathes: ({ params }) => breathes(params) * Math.min(1, (figuresIfAny(params, GOVERNOR)?.pull ?? 1) / PULLS_UNDER),
  uneven: ({ params }) => logistic(((figuresIfAny(params, BALANCE)?.apart ?? 0) - SHAKES_FROM) / 0.05),
  hunts: ({ params }) => governorHunts(params),
};
