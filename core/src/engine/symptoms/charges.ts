import type { Scene } from '../../machine/scene.ts';
import type { MachineState } from '../../machine/part.ts';
import { FAST, KEY_OFF, KEY_ON_OPEN, LOADED } from '../../machine/state.ts';
import { logistic } from '../../random/lcg.ts';
import type { Symptom } from './symptom.ts';

/**
 * Of twelve volts. With all consumers on: below this they live off the battery, which rests at 12.4 to 12.75. With none:
 * below this it is never filled. Above the last it boils [10].
 */
const KEEPS_UP_FROM = 12.8;
const FILLS_FROM = 13.2;
const BOILS_FROM = 15;
/** More than this at rest empties a battery in a night or two, amperes. */
const EMPTIES = 0.35;
/** Rest volts, of twelve, of a battery that its owner finds flat. */
const FOUND_FLAT = 12.15;

/** Volts at the battery at a fast idle, of twelve. */
const ofTwelve = (scene: Scene, state: MachineState): number =>
  (scene.see('busVolts', state) * 12) / scene.machine.fit.volts;
const starved = (scene: Scene): number =>
  Math.max(
    logistic((KEEPS_UP_FROM - ofTwelve(scene, LOADED)) / 0.1),
    logistic((FILLS_FROM - ofTwelve(scene, FAST)) / 0.1),
  );
const lit = (share: number): number => logistic((share - 0.25) / 0.04);
const glows = (share: number): number => logistic((share - 0.14) / 0.02);

/** The battery is not filled as it runs. */
export const noCharge: Symptom = {
  id: 'no-charge',
  likelihood: (scene) => 0.003 + 0.85 * starved(scene),
  elsewhere: { charge: 0.6, crank: 0.02 },
};
/** Too many volts: the battery boils, lamps blow. */
export const overcharge: Symptom = {
  id: 'overcharge',
  likelihood: (scene) => 0.001 + 0.9 * logistic((ofTwelve(scene, FAST) - BOILS_FROM) / 0.15),
  elsewhere: { charge: 0.12 },
};
/** The lamp is on when it should be out, or out when it should be on. */
export const lampWrong: Symptom = {
  id: 'lamp-wrong',
  likelihood: (scene) => {
    const [on, running] = [lit(scene.see('lampGlow', KEY_ON_OPEN)), glows(scene.see('lampGlow', LOADED))];
    return 0.003 + 0.85 * (1 - on * (1 - running));
  },
  elsewhere: { charge: 0.4 },
};
/** Flat after a night: something takes, nothing is given, or nothing is kept. */
export const flatOvernight: Symptom = {
  id: 'flat-overnight',
  likelihood: (scene) => {
    const emptied = logistic((scene.see('drainAmps', KEY_OFF) - EMPTIES) / 0.06);
    const low = logistic((FOUND_FLAT - ofTwelve(scene, KEY_OFF)) / 0.08);
    const takesNone = logistic((1 - scene.see('chargeAmps', FAST)) / 0.2) * (1 - starved(scene));
    const otherwise = Math.max(0.3 * starved(scene), 0.5 * low, 0.5 * takesNone);
    return 0.004 + 0.9 * emptied + (1 - emptied) * otherwise;
  },
  elsewhere: { charge: 0.3, crank: 0.05 },
};
