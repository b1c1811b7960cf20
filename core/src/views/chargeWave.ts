import { turnedDown } from '../trails/charge/turnedDown.ts';
import { figuresIfAny } from '../machine/figures.ts';
import type { Scene } from '../machine/scene.ts';
import { LOADED } from '../machine/state.ts';
import { solveTransient, type Charger, type Element, type OperatingPoint } from '../network/index.ts';
import { engineRpm, makingOf, SOURCE } from '../trails/charge/making.ts';
import { LOOP_HENRIES, POLE_PAIRS, rectifier, tie, windings, type Harmed } from '../trails/charge/waves.ts';

const BUS = 'rectified';
/** Where the meter touches: what the loop of the wire holds up shows there. */
const TERMINAL = 'terminal';
const CLAMP = 'clamp';
const PERIODS = 14;
/** Of them shown: the first ones are the machine getting under way. */
const SHOWN = 3;
const STEPS_A_PERIOD = 150;

export interface ChargeTrace {
  readonly id: 'leg' | 'ripple' | 'charge amps';
  readonly at: readonly number[];
  readonly values: readonly number[];
}

/** Above it a leg to the core takes nothing that shows. */
const LEAKS_OHMS = 1e4;

function harmedBy(own: Readonly<Record<string, number>>): Harmed {
  const is = (name: string) => (own[name] ?? 0) > 0.5;
  const open = own['openDiode'] ?? 0;
  return {
    ...(is('openLeg') ? { openLeg: true } : {}),
    ...(open > 0
      ? { diode: 'open', open: open < 2 ? 1 : open < 3 ? 2 : 3 }
      : is('shortedDiode')
        ? { diode: 'shorted' }
        : {}),
    ...(own.coreOhms === undefined || own.coreOhms > LEAKS_OHMS ? {} : { coreOhms: own.coreOhms }),
  };
}

/**
 * A trace as a scope samples it: the mean over each of so many even windows. What a diode that snaps off throws up behind
 * an inductance for part of a microsecond, as high as the step is short, no scope of a workshop shows.
 */
function sampled(at: Float64Array, values: ArrayLike<number>, from: number, until: number, windows: number): number[] {
  const width = (until - from) / windows;
  const sums = new Float64Array(windows);
  for (let k = 1; k < at.length; k++) {
    const [t0, t1] = [Math.max(at[k - 1]!, from), Math.min(at[k]!, until)];
    if (!(t1 > t0)) continue;
    const slope = (values[k]! - values[k - 1]!) / (at[k]! - at[k - 1]!);
    const reads = (t: number) => values[k - 1]! + slope * (t - at[k - 1]!);
    for (let w = Math.min(windows - 1, Math.floor((t0 - from) / width)); w < windows && from + w * width < t1; w++) {
      const [a, b] = [Math.max(t0, from + w * width), Math.min(t1, from + (w + 1) * width)];
      if (b > a) sums[w]! += (b - a) * reads((a + b) / 2);
    }
  }
  return Array.from(sums, (s) => s / width);
}

/** The rest of the machine over a few milliseconds: what is slow stands still, a battery is its volts behind its ohms. */
function standing(elements: readonly Element[], at: OperatingPoint): Element[] {
  return elements.flatMap((e): Element[] => {
    if (e.type === 'charger') return [];
    const [volts, amps] = [at.volts(e.a) - at.volts(e.b), at.amps(e.id)];
    if (e.type === 'accumulator') {
      const inside = `${e.id}:quick`;
      return [
        { type: 'resistor', id: `${e.id}.quick`, a: e.a, b: inside, ohms: e.ohms },
        { type: 'voltage', id: `${e.id}.volts`, a: inside, b: e.b, volts: volts - amps * e.ohms },
      ];
    }
    if (e.type === 'resistor' || e.type === 'voltage' || e.type === 'switch' || e.type === 'diode') return [e];
    return Math.abs(amps) > 1e-6
      ? [{ type: 'resistor', id: e.id, a: e.a, b: e.b, ohms: Math.max(1e-3, Math.abs(volts / amps)) }]
      : [];
  });
}

/**
 * What a scope shows of the charge, fast with all on: the first leg against earth, what rides on the output's volts,
 * the amperes through a clamp. Of magnets while their unit lets all through: shorted, nothing is to be seen. Seconds, volts, amperes; none where a commutator makes it or nothing turns.
 */
export function chargeWaves(scene: Scene): readonly ChargeTrace[] | { readonly code: string } {
  const { fit } = scene.machine;
  const own = figuresIfAny(scene.params, SOURCE);
  const elements = scene.elements(LOADED);
  const e = elements.find((x): x is Charger => x.type === 'charger' && x.id === SOURCE);
  if (!own || !e || e.winding === 'direct' || fit.charge?.kind === 'lighting-coil') return [];
  const making = makingOf(fit.charge!.kind, fit);
  const hertz = (engineRpm(fit, 'fast') / 60) * making.ratio * POLE_PAIRS;
  const at = scene.solve(LOADED);
  const volts = e.sign * (at.volts(e.a) - at.volts(e.b));
  const harmed = harmedBy(own);
  const turned = own.fieldOhms === undefined ? 1 : turnedDown(e, volts, Math.abs(at.amps(SOURCE)));
  // The waves lose by themselves what the averages put down as a share; weak magnets and shorted turns are in the volts.
  const lost = Object.keys(harmed).length > 0 ? (own.share ?? 1) : 1;
  const winding: Charger = { ...e, emfVolts: lost > 0 ? (e.emfVolts / lost) * turned : e.emfVolts };
  const single = e.winding === 'single';
  const back = single ? 'leg2' : 'star';
  const legs = single ? (e.halfWave ? ['leg1'] : ['leg1', 'leg2']) : ['leg1', 'leg2', 'leg3'];
  const circuit: Element[] = [
    ...standing(elements, at),
    ...windings(winding, hertz, back, harmed),
    ...rectifier(e, legs, BUS, e.b, harmed),
    tie(e, back, e.b),
    { type: 'voltage', id: CLAMP, a: BUS, b: TERMINAL, volts: 0 },
    { type: 'inductor', id: 'loop', a: TERMINAL, b: e.a, henries: LOOP_HENRIES },
  ];
  const until = PERIODS / hertz;
  const run = solveTransient(
    { elements: circuit, couplings: [] },
    { until, fromInitial: true, longest: 1 / (STEPS_A_PERIOD * hertz) },
  );
  if (!run.ok) return { code: run.code };
  const from = until - SHOWN / hertz;
  const windows = SHOWN * STEPS_A_PERIOD;
  const shown = (values: ArrayLike<number>) => sampled(run.at, values, from, until, windows);
  const times = Array.from({ length: windows }, (_, w) => ((w + 0.5) * (until - from)) / windows);
  const earth = shown(run.volts(e.b));
  const against = (node: string) => shown(run.volts(node)).map((v, k) => v - earth[k]!);
  const out = against(TERMINAL);
  const mean = out.reduce((sum, v) => sum + v, 0) / out.length;
  return [
    { id: 'leg', at: times, values: against('leg1') },
    { id: 'ripple', at: times, values: out.map((v) => v - mean) },
    { id: 'charge amps', at: times, values: shown(run.amps(CLAMP)).map(Math.abs) },
  ];
}
