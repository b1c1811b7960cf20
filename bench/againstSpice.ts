import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  buildModel,
  drawSound,
  machineCircuit,
  readNetlist,
  Scene,
  solveOperatingPoint,
  solveTransient,
  withFault,
  writeNetlist,
  type MachineState,
} from '@pondu/core';
import { houseSchema, storedMachineSchema, type FitOut, type FitOutOne } from '@pondu/core/schema';
import { fluidNetworks } from './fluidSpice.ts';
import { KINDS } from './kinds.ts';
import { ngspice } from './ngspice.ts';

/** Volts below which a difference is the solvers' own leakage, not the circuit's. */
const NOISE_VOLTS = 1e-4;
const STATIC_GOAL = 1e-3;
const PEAK_GOAL = 1e-2;

const fit = (change: Partial<FitOutOne>): FitOutOne => ({
  layout: 'battery-points',
  volts: 12,
  earth: 'negative',
  cylinders: 6,
  ballast: 'external',
  fused: true,
  marine: false,
  compressionRatio: 8,
  ...change,
});
const FIT_OUTS: readonly [string, FitOut | FitOutOne][] = [
  ['12 V, ballast', fit({})],
  ['12 V, ballast bypassed while cranking', fit({ ballast: 'bypassed' })],
  ['12 V, no ballast', fit({ ballast: 'none', cylinders: 4 })],
  ['6 V, positive earth', fit({ volts: 6, earth: 'positive', ballast: 'none', fused: false, cylinders: 4 })],
  ...Object.entries(KINDS).filter(([, kind]) => !('layout' in kind) || kind.layout !== 'battery-points'),
];
const STILL: readonly MachineState[] = (['off', 'on', 'crank'] as const).flatMap((key) =>
  (['open', 'closed'] as const).map((points): MachineState => ({ key, points })),
);
/** As it charges: idling and fast, all off and all on, and the key just turned off. */
const CHARGING: readonly MachineState[] = [
  { key: 'run', points: 'open', loads: 'none' },
  { key: 'run', points: 'closed', speed: 'fast', loads: 'none' },
  { key: 'run', points: 'open', speed: 'fast', loads: 'all' },
  { key: 'run', points: 'open', speed: 'fast', at: { switch: 'out', key: 'out' } },
];

interface Difference {
  share: number;
  at: string;
  /** Nothing was cut off: what stands at its nodes are leaks through open ends. */
  dead?: boolean;
}
const worse = (a: Difference, b: Difference): Difference => (b.share > a.share ? b : a);

/** Largest difference of any node between our operating point and ngspice's, as a share of the larger. */
function operatingPoints(text: string, where: string): Difference {
  const read = readNetlist(text);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const own = solveOperatingPoint(read.netlist.elements);
  if (!own.ok) throw new Error(`${where}: ${own.code}`);
  const floating = new Set(own.floating);
  let worst: Difference = { share: 0, at: '' };
  for (const [name, values] of ngspice(text).columns) {
    const node = /^v\((.*)\)$/.exec(name)?.[1];
    if (node === undefined || floating.has(node)) continue;
    const [mine, theirs] = [own.volts(node), values[0]!];
    const share =
      Math.max(0, Math.abs(mine - theirs) - NOISE_VOLTS) / Math.max(Math.abs(mine), Math.abs(theirs), 1e-12);
    worst = worse(worst, { share, at: `${where}, ${node}: ${mine} against ${theirs}` });
  }
  return worst;
}

/** The leak of every node that our solver puts in, put in here too; ngspice's own across junctions then goes. */
const LEAK_OHMS = 1e12;
function withLeak(text: string, nodes: Iterable<string>): string {
  const leaks = [...nodes].map((node, i) => `rleak_${i} ${node} 0 ${LEAK_OHMS}`);
  const [title, ...rest] = text.split('\n');
  return [title, ...leaks, ...rest].join('\n');
}

/**
 * Peak of what lasts: the mean of each pair of neighbouring steps. A trapezoid whose coil was cut off swings about the
 * true value from one step to the next, in ngspice as here, by an amount that depends on the step alone.
 */
function lastingPeak(values: Float64Array, from = 0): number {
  let peak = 0;
  for (let k = from + 1; k < values.length; k++) peak = Math.max(peak, Math.abs(values[k]! + values[k - 1]!) / 2);
  return peak;
}

const SETTLES_SECONDS = 1e-9;
/** A coil that is cut off swings to hundreds of volts; where nothing passes this, nothing was. */
const FIRES_FROM_VOLTS = 40;

/** As `firingPlan` runs it. */
const LONGEST = 2e-5;

/** The firing of a machine while it runs, its lead off, as a netlist; 1 µs is a thirtieth of its fastest swing. */
function firingText(scene: Scene): string | undefined {
  const { circuit, at } = scene.machine.firing(scene, { key: 'run', points: 'turning' }, 1, false);
  const analysis = { kind: 'tran', step: 1e-6, longest: 1e-6, until: at + 1e-3, fromInitial: true } as const;
  const written = writeNetlist('firing', circuit, analysis);
  return written.ok ? written.text : undefined;
}

/** Largest difference of the peak of any node of a transient. */
function peaks(name: string, text: string, longest?: number): Difference {
  const read = readNetlist(text);
  if (!read.ok || read.netlist.analysis.kind !== 'tran') return { share: 0, at: '' };
  const { until, fromInitial } = read.netlist.analysis;
  const run = solveTransient(read.netlist, { until, fromInitial, ...(longest ? { longest } : {}) });
  if (!run.ok) throw new Error(`${name}: ${run.code}`);
  // A coil behind an open end is there for femtoseconds (L/R); ngspice's first step is far past it.
  const settled = run.at.findIndex((t) => t > SETTLES_SECONDS);
  const nodes = new Set(read.netlist.elements.flatMap((e) => [e.a, e.b]).filter((n) => n !== '0'));
  const { columns } = ngspice(withLeak(text, nodes), { gmin: 1e-16 });
  let worst: Difference = { share: 0, at: '' };
  let highest = 0;
  for (const [quantity, values] of columns) {
    const node = /^v\((.*)\)$/.exec(quantity)?.[1];
    if (node === undefined) continue;
    const [mine, theirs] = [lastingPeak(run.volts(node), settled), lastingPeak(values)];
    highest = Math.max(highest, theirs);
    if (theirs > NOISE_VOLTS)
      worst = worse(worst, {
        share: Math.abs(mine - theirs) / theirs,
        at: `${name}, ${node}: ${mine} against ${theirs}`,
      });
  }
  return highest < FIRES_FROM_VOLTS ? { ...worst, dead: true } : worst;
}

const stateWords = ({ key, points, speed, loads, at }: MachineState): string =>
  [`key ${key}`, `points ${points}`, speed ?? '', loads ? `loads ${loads}` : '', at ? 'switched off' : '']
    .filter(Boolean)
    .join(', ');

let missed = 0;
function report(label: string, worst: Difference, goal: number): void {
  if (worst.share > goal) missed++;
  console.log(
    `${worst.share <= goal ? 'ok  ' : 'MISS'} ${label}: ${(100 * worst.share).toFixed(4)} %${worst.share > goal ? `  (${worst.at})` : ''}`,
  );
}

const house = houseSchema.parse({});
for (const [label, fitOut] of FIT_OUTS) {
  const model = buildModel(storedMachineSchema.parse({ name: label, kind: 'car', fitOut }), house);
  const faults = [undefined, ...model.faults.filter((f) => !f.part.apart).map((f) => f.id)];
  for (const state of model.machine.fit.charge ? [...STILL, ...CHARGING] : STILL) {
    let worst: Difference = { share: 0, at: '' };
    for (const fault of faults) {
      const circuit = machineCircuit(label, model, state, fault);
      if (!circuit.ok) throw new Error(circuit.code);
      worst = worse(worst, operatingPoints(circuit.text, fault ?? 'sound'));
    }
    report(`${label}, ${stateWords(state)}, sound and ${faults.length - 1} faults`, worst, STATIC_GOAL);
  }
}
for (const [label, fitOut] of FIT_OUTS) {
  const model = buildModel(storedMachineSchema.parse({ name: label, kind: 'car', fitOut }), house);
  if (!model.machine.fit.spark) continue;
  const sound = drawSound(model, () => 0.5);
  const texts = new Map<string, string>();
  for (const fault of [undefined, ...model.faults]) {
    const scene = new Scene(model.machine, fault ? withFault(model, sound, fault, 0.5) : sound);
    const text = firingText(scene);
    if (text !== undefined && !texts.has(text)) texts.set(text, fault?.id ?? 'sound');
  }
  let worst: Difference = { share: 0, at: '' };
  const given: string[] = [];
  let dead = 0;
  for (const [text, name] of texts) {
    try {
      const found = peaks(name, text, LONGEST);
      if (found.dead) dead++;
      else worst = worse(worst, found);
    } catch (error) {
      // It gives up on some ("timestep too small"): said, not counted as agreement.
      if (!/aborted|too small|not parsed/.test(String(error))) throw error;
      given.push(name);
    }
  }
  const compared = `${texts.size - given.length - dead} of ${texts.size} different ones (${dead} do not fire)`;
  report(`${label}, one firing, ${compared}, peaks`, worst, PEAK_GOAL);
  if (given.length > 0) console.log(`     ngspice gave up on ${given.join(', ')}`);
}
const folder = join(import.meta.dirname, '../core/src/network/references');
for (const file of readdirSync(folder).filter((f) => f.includes('_tran_') && f.endsWith('.cir')))
  report(`${file}, peaks`, peaks(file, readFileSync(join(folder, file), 'utf8')), PEAK_GOAL);
for (const { label, ...found } of fluidNetworks()) report(label, found, STATIC_GOAL);
console.log(missed ? `${missed} missed their goal` : 'all within their goals');
process.exit(missed ? 1 : 0);
