import {
  availableVolts,
  burnJoules,
  chargeAtSpark,
  closedSeconds,
  currentAtBreak,
  requiredVolts,
  WRONG_POLARITY,
} from '../ignition/index.ts';
import { OPEN_OHMS, type MachineState } from '../parts/index.ts';
import type { Known, Spark, SparkPlace } from './layout.ts';

/** Crank speed while the starter turns a sound engine, and at a fast idle, rev/min. */
const CRANKING_RPM = 180;
const RUNNING_RPM = 1500;

const closed = (s: MachineState): MachineState => ({ ...s, points: 'closed' });
const open = (s: MachineState): MachineState => ({ ...s, points: 'open' });

/** Amperes the coil loses when the points open. */
function interruption(scene: Known, state: MachineState) {
  const dwell = scene.params['points']!['dwellDegrees']!;
  const rpm = state.key === 'run' ? RUNNING_RPM : CRANKING_RPM;
  const on = scene.solve(closed(state));
  const off = scene.solve(open(state));
  const coil = scene.params['coil']!;
  const loopOhms = loop(scene, state, coil['primaryOhms']!);
  const steady = Math.abs(on.amps('coil'));
  const standing = Math.abs(off.amps('coil'));
  const built = currentAtBreak(steady, loopOhms, coil['henries']!, closedSeconds(dwell, rpm / 2));
  return Math.max(0, built - standing);
}

/** Resistance of the loop the coil's current meets: the coil and everything outside it. */
function loop(scene: Known, state: MachineState, coilOhms: number): number {
  const on = scene.solve(closed(state));
  const drop = Math.abs(on.volts('coil+') - on.volts('coil-'));
  const source = Math.abs(on.volts('post'));
  return drop > 0 ? (coilOhms * source) / drop : OPEN_OHMS;
}

/** Parts that stand in the spark's way to a place, in order. */
function pathTo(place: SparkPlace, cylinder: number): string[] {
  const toLead = ['coil', 'coil-lead'];
  if (place === 'coil lead') return toLead;
  const toPlugLead = [...toLead, 'cap', 'rotor', `lead-${cylinder}`];
  return place === 'plug lead' ? toPlugLead : [...toPlugLead, `plug-${cylinder}`, 'plugs'];
}

/** Volts a place asks of the coil, before the gaps on the way there. */
function asked(scene: Known, place: SparkPlace, cylinder: number, gapMetres?: number): number {
  if (place !== 'plug') return requiredVolts(1, 300, gapMetres ?? 6e-3);
  const gap = scene.params[`plug-${cylinder}`]!['gapMetres']! + scene.params['plugs']!['extraGap']!;
  // Near atmospheric either way: cranking with the throttle open, or running under load, where it misses first.
  const { bar, kelvin } = chargeAtSpark(scene.layout.fit.compressionRatio, 0.95, 300);
  return requiredVolts(bar, kelvin, gap);
}

/** What the coil can raise at a place against what is asked there: battery, coil and breaker points. */
export function pointsSpark(
  scene: Known,
  place: SparkPlace,
  state: MachineState,
  cylinder: number,
  gapMetres?: number,
): Spark {
  const { layout, params } = scene;
  const coil = params['coil']!;
  const bypassed = new Set(state.clipped ?? []);
  const onTheWay = pathTo(place, cylinder).filter((id) => !bypassed.has(id));
  const steps = onTheWay.map((id) => {
    const part = layout.parts.find((p) => p.id === id)!;
    return part.kind.highTension!(params[id]!, layout.fit);
  });
  const amps = interruption(scene, state);
  const clippedFarads = state.clipped?.includes('condenser') ? 0.22e-6 : 0;
  const raised = availableVolts({
    amps,
    henries: coil['henries']!,
    turnsRatio: coil['turnsRatio']!,
    condenserFarads: params['condenser']!['farads']! + clippedFarads,
    secondaryFarads: coil['farads']!,
    shuntOhms: 1 / steps.reduce((sum, s) => sum + 1 / (s.shuntOhms ?? OPEN_OHMS), 0),
    primaryShuntOhms: params['condenser']!['leakOhms']!,
    transfer: coil['transfer']!,
  });
  const gaps = steps.reduce((sum, s) => sum + (s.gapVolts ?? 0), 0);
  const polarity = coil['reversed']! > 0.5 ? WRONG_POLARITY : 1;
  const required = asked(scene, place, cylinder, gapMetres) * polarity + gaps;
  const stored = 0.5 * coil['henries']! * amps ** 2 * coil['transfer']! ** 2;
  return {
    availableVolts: Math.min(raised, ...steps.map((s) => s.flashVolts ?? Infinity)),
    requiredVolts: required,
    joules: burnJoules(
      stored,
      coil['farads']!,
      required,
      steps.reduce((sum, s) => sum + (s.seriesOhms ?? 0), 0),
    ),
  };
}
