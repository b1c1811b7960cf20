import { figuresAt, hasFigures, needed } from '../../machine/figures.ts';
import { idOf } from '../../machine/numbered.ts';
import { dumpedVolts, storeVolts, type CapacitorDischarge } from '../../ignition/index.ts';
import { deadOutput } from './parts/pack.ts';
import type { MachineState } from './parts/index.ts';
import { logistic } from '../../random/lcg.ts';
import { crankshaftRpm, emfAt, triggerPeakVolts } from './generated.ts';
import type { Known } from '../../machine/known.ts';
import type { Spark, SparkPlace } from '../../machine/observed.ts';
import { askedVolts, figuresOf, ownCoilPath, sparkOf, sparkPath, windingOhms, type CoilFigures } from './sparkPath.ts';

/** Swings of the charge coil in a turn; each cylinder's firing takes what has come in since the last one's. */
const POLE_PAIRS = 3;
const CHARGE_HENRIES = 0.5;
const COUPLING = 0.98;
const THYRISTOR_OHMS = 0.1;
/** Of ½CV², what is left to burn: the rest goes in the thyristor, the winding and the iron. */
const BURNED_SHARE = 0.45;

/** Volts at the far end of the charge coil's line: at the coil with the line off, at the pack with it on. */
export function chargePeakVolts(scene: Known, state: MachineState, at: 'chg' | 'pack-in'): number {
  const { share, ohms } = charging(scene, state, at);
  const peak = chargeEmf(scene, state) * share;
  const leak = at === 'pack-in' ? needed(figuresAt(scene.params, 'pack').leakOhms, 'leakOhms') : Infinity;
  return leak === Infinity ? peak : (peak * leak) / (leak + ohms);
}

const chargeEmf = (scene: Known, state: MachineState): number =>
  figuresAt(scene.params, 'charge-coil').voltsPerRpm *
  figuresAt(scene.params, 'flywheel').strength *
  crankshaftRpm(scene, state);

const charging = (scene: Known, state: MachineState, at: 'chg' | 'pack-in') =>
  emfAt(scene, state, { at: 'chg', ohms: figuresAt(scene.params, 'charge-coil').ohms }, at);

/** Chance that the pack fires a cylinder at all: its trigger's pulse, its thyristor. */
function fires(scene: Known, state: MachineState, cylinder: number): number {
  const pack = figuresAt(scene.params, 'pack');
  if (pack.dead > 0.5 || (pack[deadOutput(cylinder)] ?? 0) > 0.5) return 0;
  const need = pack.triggerVolts;
  return logistic((triggerPeakVolts(scene, state, 'trg-in') - need) / (0.05 * need));
}

/** Coil of a cylinder; another one, off the shelf, where a helper has clipped it in. */
const coilOf = (scene: Known, state: MachineState, cylinder: number) => figuresOf(scene, idOf('coil', cylinder), state);

/** Ohms in the loop that the store is dumped through: thyristor, wire to the coil, winding, earth of the pack. */
function loopOhms(scene: Known, cylinder: number, coil: Pick<CoilFigures, 'primaryOhms'>): number {
  const wire = figuresAt(scene.params, idOf('coil-wire', cylinder)).ohms;
  return THYRISTOR_OHMS + wire + coil.primaryOhms + figuresAt(scene.params, 'pack-earth').ohms;
}

/** Volts at which a battery-fed converter starts, and from which it gives all it can; of twelve. */
const CONVERTER = { from: 5, whole: 8 };

/** What the store holds when a cylinder is due: charged by a coil, or by a converter from the battery. */
function storedVolts(scene: Known, state: MachineState): number {
  const pack = figuresAt(scene.params, 'pack');
  if (!hasFigures(scene.params, 'charge-coil')) {
    const at = scene.solve(state);
    const volts = Math.abs(at.volts('pack-in') - at.volts('pack-earth')) * (12 / scene.machine.fit.volts);
    const share = (volts - CONVERTER.from) / (CONVERTER.whole - CONVERTER.from);
    return needed(pack.storeVolts, 'storeVolts') * Math.min(1, Math.max(0, share));
  }
  const rpm = crankshaftRpm(scene, state);
  const { share, ohms } = charging(scene, state, 'pack-in');
  const volts = storeVolts({
    peakVolts: chargeEmf(scene, state) * share,
    sourceOhms: ohms,
    swingSeconds: 60 / (rpm * POLE_PAIRS),
    swings: Math.max(1, Math.round(POLE_PAIRS / scene.machine.fit.cylinders)),
    farads: pack.farads,
    leakOhms: needed(pack.leakOhms, 'leakOhms'),
  });
  return Math.min(volts, needed(pack.limitVolts, 'limitVolts'));
}

/** Peak that a cylinder's output shows with its coil on; nothing when the pack does not fire it. */
export const outputPeakVolts = (scene: Known, state: MachineState, cylinder: number): number =>
  storedVolts(scene, state) * fires(scene, state, cylinder);

export function dischargeSpark(
  scene: Known,
  place: SparkPlace,
  state: MachineState,
  cylinder: number,
  gapMetres?: number,
): Spark {
  const coil = coilOf(scene, state, cylinder);
  const pack = figuresAt(scene.params, 'pack');
  const path = sparkPath(scene, ownCoilPath(place, cylinder), state);
  const volts = storedVolts(scene, state);
  const fired = fires(scene, state, cylinder);
  const raised = dumpedVolts({
    storeVolts: volts,
    farads: pack.farads,
    henries: coil.henries,
    turnsRatio: coil.turnsRatio,
    coupling: COUPLING,
    secondaryFarads: coil.farads,
    shuntOhms: path.shuntOhms,
    loopOhms: loopOhms(scene, cylinder, coil),
  });
  const damped = 1 / (1 + loopOhms(scene, cylinder, coil) / 8);
  const stored = 0.5 * pack.farads * volts ** 2 * BURNED_SHARE * damped * fired;
  // Over a bridged plug nothing is left of it: the winding's own ohms take it all.
  const left = path.shuntOhms / (path.shuntOhms + windingOhms(coil));
  return sparkOf(
    path,
    raised * fired * left,
    askedVolts(scene, state, place, cylinder, gapMetres),
    stored,
    coil.farads,
  );
}

/** A speed at which the store of a battery-fed pack is drawn filling, rev/min. */
export const FED_RPM = 300;

/** This machine's own charging and discharge for the transient. */
export function dischargeOf(scene: Known, state: MachineState, cylinder: number): CapacitorDischarge {
  const coil = coilOf(scene, state, cylinder);
  const pack = figuresAt(scene.params, 'pack');
  const path = sparkPath(scene, ownCoilPath('plug', cylinder), state);
  const fed = hasFigures(scene.params, 'charge-coil');
  // A converter fills its store long before it is asked: as a strong coil would.
  const { share, ohms } = fed ? charging(scene, state, 'pack-in') : { share: 1, ohms: 300 };
  const rpm = fed ? crankshaftRpm(scene, state) : FED_RPM;
  const peak = fed
    ? Math.min(chargeEmf(scene, state) * share, needed(pack.limitVolts, 'limitVolts'))
    : storedVolts(scene, state) + 1;
  return {
    voltsPerRpm: peak / rpm,
    polePairs: POLE_PAIRS,
    chargeOhms: ohms,
    chargeHenries: CHARGE_HENRIES,
    celsius: 20,
    chargeShuntOhms: 1e9,
    storeFarads: pack.farads,
    storeLeakOhms: pack.leakOhms ?? 1e7,
    thyristorOhms: THYRISTOR_OHMS,
    firingsPerTurn: scene.machine.fit.cylinders,
    primaryOhms: loopOhms(scene, cylinder, coil) - THYRISTOR_OHMS,
    henries: coil.henries,
    turnsRatio: coil.turnsRatio,
    coupling: COUPLING,
    secondaryOhms: windingOhms(coil),
    secondaryFarads: coil.farads,
    shuntOhms: path.shuntOhms,
  };
}

/** Whether the pack would fire this cylinder more often than not. */
export const isFired = (scene: Known, state: MachineState, cylinder: number): boolean =>
  fires(scene, state, cylinder) > 0.5;
