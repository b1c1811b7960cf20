import { figuresAt, figuresIfAny, hasFigures, needed, withFigures, type PartFigures } from '../../machine/figures.ts';
import type { AsFound, Known, MachineParams } from '../../machine/known.ts';
import type { Offers } from '../../machine/observed.ts';
import { OPEN_OHMS, type MachineState } from '../../machine/part.ts';
import { KEY_OFF, KEY_ON_OPEN, RUNNING } from '../../machine/state.ts';
import { startsAtRpm } from './exciting.ts';
import { fieldFed, heldAt } from './fieldCircuit.ts';
import { chargerAt } from './parts/index.ts';
import { BELT, CUTOUT, engineRpm, INDICATOR, REGULATOR, REGULATOR_EARTH, SOURCE } from './making.ts';

/** Below this share of its flux a generator does not start itself. */
const RESIDUAL_FROM = 0.008;

const earthOf = (scene: Known) => scene.machine.partById.get(SOURCE)!.nodes['b']!;

/** Whether the machine excites at all, by its lamp's current before it is held fast, or by what magnetism is left. */
function excites(found: AsFound, params: MachineParams): boolean {
  const own = figuresAt(params, SOURCE);
  if (own.residual !== undefined) return own.residual > RESIDUAL_FROM && needed(own.fieldOhms, 'fieldOhms') < OPEN_OHMS;
  if (own.fieldOhms === undefined) return true;
  if (own.fieldOhms >= OPEN_OHMS || !hasFigures(params, INDICATOR)) return false;
  const scene = found(params);
  const amps = Math.abs(scene.solve(KEY_ON_OPEN).amps(INDICATOR));
  const { fit } = scene.machine;
  return startsAtRpm(fit, own.fieldOhms, amps, own.share, own.voltsPerRpm) < engineRpm(fit, 'fast');
}

/** What a regulator holds at its own terminals: its set point, as warm as it is, and what its sense wire keeps from it. */
const heldBy = ({ setVolts, warmthVolts, senseVolts = 0 }: PartFigures['charge-regulator']): number =>
  setVolts > 0 ? setVolts + warmthVolts + senseVolts : 0;

/** What follows from belt, regulator and exciting current: put into the machine's figures before anyone measures. */
export function settleCharge(found: AsFound, params: MachineParams): MachineParams {
  const source = figuresAt(params, SOURCE);
  const regulator = figuresIfAny(params, REGULATOR);
  const earth = figuresIfAny(params, REGULATOR_EARTH)?.ohms ?? 0;
  const { fit } = found(params).machine;
  const fed = fieldFed(fit, params);
  const works = fed.most > 0 && excites(found, params);
  const put = {
    works: works ? 1 : 0,
    carried: figuresIfAny(params, BELT)?.carried ?? 1,
    setVolts: heldAt(fit, regulator ? heldBy(regulator) : fit.volts * 1.2, earth, fed),
    ...(fed.most < 1 ? { most: fed.most } : {}),
  };
  const settled = withFigures(params, SOURCE, { ...source, ...put });
  const cutOut = figuresIfAny(params, CUTOUT);
  if (!cutOut) return settled;
  const { nodes } = found(params).machine.partById.get(SOURCE)!;
  const context = { id: SOURCE, nodes, fit, state: RUNNING };
  const turns = put.works > 0.5 && source.ohms < OPEN_OHMS;
  const emf = (speed: 'idle' | 'fast') =>
    turns ? chargerAt({ ...source, ...put }, context, engineRpm(fit, speed)).emfVolts : 0;
  const closes = (speed: 'idle' | 'fast') => Number(emf(speed) > (13 * fit.volts) / 12);
  return withFigures(settled, CUTOUT, { ...cutOut, closesIdle: closes('idle'), closesFast: closes('fast') });
}

/** Volts at the battery's posts. */
export function batteryVolts(scene: Known, state: MachineState): number {
  const { nodes } = scene.machine.partById.get('battery')!;
  const at = scene.solve(state);
  return Math.abs(at.volts(nodes['a']!) - at.volts(nodes['b']!));
}
/** Amperes out of the battery with all switched off. */
function drain(scene: Known): number {
  const at = scene.solve(KEY_OFF);
  return Math.abs(at.amps('live-clamp'));
}
const sign = (scene: Known) => (scene.machine.fit.earth === 'positive' ? -1 : 1);
/** Amperes into the battery as it runs. */
export const intoBattery = (scene: Known, state: MachineState): number =>
  -sign(scene) * scene.solve(state).amps('live-clamp');
/** Amperes that the machine gives. */
export const given = (scene: Known, state: MachineState): number => Math.abs(scene.solve(state).amps('charge-wire'));
/** Volts at the machine's own output. */
export function sourceVolts(scene: Known, state: MachineState): number {
  const at = scene.solve(state);
  return Math.abs(at.volts(scene.machine.partById.get(SOURCE)!.nodes['a']!) - at.volts(earthOf(scene)));
}
/** Share of its rated volts that the lamp has; of one that is told by an ammeter or by nothing, none. */
function lampShare(scene: Known, state: MachineState): number {
  const lamp = scene.machine.partById.get(INDICATOR);
  const figures = figuresIfAny(scene.params, INDICATOR);
  if (!lamp || figures?.watts === undefined) return state.key === 'on' ? 1 : 0;
  if ((figures.out ?? 0) > 0.5) return 0;
  const at = scene.solve(state);
  return Math.abs(at.volts(lamp.nodes['a']!) - at.volts(lamp.nodes['b']!)) / scene.machine.fit.volts;
}

export const chargeOffers: Offers = {
  busVolts: (scene, state) => batteryVolts(scene, state),
  chargeAmps: (scene, state) => (state.key === 'run' ? intoBattery(scene, state) : 0),
  lampGlow: (scene, state) => lampShare(scene, state),
  drainAmps: (scene) => drain(scene),
};
/** Without a battery there is only what reaches the lamps, and nothing to be flat. */
export const lightingOffers: Offers = {
  busVolts: (scene, state) => {
    const { volts } = scene.machine.fit;
    if (state.key !== 'run') return (volts * 12.6) / 12;
    const at = scene.solve(state);
    const lit = figuresAt(scene.params, 'lamps').watts > 1;
    return lit ? Math.abs(at.volts('lamps') - at.volts(earthOf(scene))) : 0;
  },
};
