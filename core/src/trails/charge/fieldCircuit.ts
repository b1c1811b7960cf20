import { figuresAt, figuresIfAny, needed } from '../../machine/figures.ts';
import type { Known, MachineParams } from '../../machine/known.ts';
import { OPEN_OHMS } from '../../machine/part.ts';
import type { Scene } from '../../machine/scene.ts';
import { FAST } from '../../machine/state.ts';
import type { Charger } from '../../network/index.ts';
import type { Fit } from '../../schema/fit.ts';
import { fluxShare } from './exciting.ts';
import { BELT, engineRpm, FIELD_WIRE, makingOf, REGULATOR, REGULATOR_EARTH, SOURCE } from './making.ts';
import { turnedDown } from './turnedDown.ts';

/**
 * How a generator's field is closed. A: from the armature through the field and its wire to the regulator, which earths
 * it. B: from the armature through the regulator and the wire; the far end is earthed inside.
 */
export type FieldCircuit = 'A' | 'B';
export const circuitOf = (fit: Fit): FieldCircuit => fit.charge?.field ?? 'A';

/** Below this a chafed field wire lies on earth for all that a field takes. Ohms of twelve volts. */
const EARTHED_OHMS = 2;
/** Nothing holds it: a set point, in nominal volts, that no speed reaches with a battery on it. */
const UNREGULATED = 3;
/** Shunt winding of a regulator box of twelve volts, which measures through the box's earth; by judgement. Ohms. */
const SHUNT_OHMS = 45;
/** The winding that alone measures through the box's earth on a generator of circuit B; none where the field's current does too. */
export const shuntOhms = (fit: Fit): number | undefined =>
  fit.charge?.kind === 'generator' && circuitOf(fit) === 'B' ? SHUNT_OHMS * (fit.volts / 12) ** 2 : undefined;
/** The field's current through the regulator's earth, which it then measures too little by; amperes of twelve volts. */
const EARTH_AMPS = 2.4;

/** What a field can get at most, of its full flux; and whether the regulator has a hand in it. */
export interface FieldFed {
  readonly most: number;
  readonly regulated: boolean;
}

/** What feeds the field of a machine with these figures; of one without a field wire of its own, all it asks. */
export function fieldFed(fit: Fit, params: MachineParams): FieldFed {
  const wire = figuresIfAny(params, FIELD_WIRE);
  const earthOhms = figuresIfAny(params, REGULATOR_EARTH)?.ohms ?? 0;
  const dead = (figuresIfAny(params, REGULATOR)?.dead ?? 0) > 0.5;
  if (!wire) return { most: dead || earthOhms >= OPEN_OHMS ? 0 : 1, regulated: true };
  const a = circuitOf(fit) === 'A';
  const ofTwelve = (12 / fit.volts) ** 2;
  const earthed = wire.earthOhms * ofTwelve < EARTHED_OHMS;
  if (earthed) return a ? { most: 1, regulated: false } : { most: 0, regulated: true };
  if (wire.ohms >= OPEN_OHMS || dead) return { most: 0, regulated: true };
  // Without its earth the shunt winding measures nothing: what feeds its field through its contacts feeds it whole.
  if (earthOhms >= OPEN_OHMS) return a ? { most: 0, regulated: true } : { most: 1, regulated: false };
  const field = needed(figuresAt(params, SOURCE).fieldOhms, 'fieldOhms');
  const beside = wire.ohms + (a ? earthOhms : 0);
  return { most: fluxShare(field, field + beside), regulated: true };
}

/** Volts lost over the regulator's earth; `across` what the box is held at. */
export function regulatorEarthDrop(fit: Fit, ohms: number, across: number): number {
  const shunt = shuntOhms(fit);
  if (shunt !== undefined) return (across * ohms) / (shunt + ohms);
  return Math.min(across, EARTH_AMPS * ohms * (12 / fit.volts));
}

/** Volts that the machine is really held at: what its regulator means, and what it does not see of them. */
export function heldAt(fit: Fit, setVolts: number, earthOhms: number, fed: FieldFed): number {
  if (!fed.regulated) return UNREGULATED * fit.volts;
  if (earthOhms >= OPEN_OHMS) return setVolts;
  const shunt = shuntOhms(fit);
  if (shunt !== undefined) return setVolts * (1 + earthOhms / shunt);
  return setVolts + EARTH_AMPS * earthOhms * (12 / fit.volts);
}

/** Volts that the magnetism left in a generator's iron makes with its field off, fast. */
export function residualVolts({ machine: { fit }, params }: Known): number {
  const own = figuresAt(params, SOURCE);
  if (own.ohms >= OPEN_OHMS) return 0;
  const turned = engineRpm(fit, 'fast') * makingOf('generator', fit).ratio * figuresAt(params, BELT).carried;
  // Nothing is drawn, so that its volts are twice what stands in the averages of a machine that gives.
  return needed(own.residual, 'residual') * own.voltsPerRpm * turned * 2 * (own.share ?? 1);
}

/**
 * Volts from a generator's field terminal to bare metal, fast, all off. By the field's own current, which is the one that
 * just makes what is given (`turnedDown`) on Fröhlich's curve: B shows that current over the field, A what is left of the
 * armature's volts.
 */
export function fieldVolts(scene: Scene): number {
  const { fit } = scene.machine;
  const a = circuitOf(fit) === 'A';
  const fed = fieldFed(fit, scene.params);
  const wire = figuresAt(scene.params, FIELD_WIRE);
  const e = scene.elements(FAST).find((x): x is Charger => x.type === 'charger');
  if (a && !fed.regulated) return 0;
  if (!e) return a && fed.most === 0 && wire.earthOhms > EARTHED_OHMS ? residualVolts(scene) : 0;
  const at = scene.solve(FAST);
  const volts = e.sign * (at.volts(e.a) - at.volts(e.b));
  if (!fed.regulated) return volts;
  const flux = turnedDown(e, volts, Math.abs(at.amps(SOURCE))) * fed.most;
  const current = flux / (2 - flux);
  return a ? Math.max(0, volts - current * fit.volts) : Math.min(volts, current * fit.volts);
}
