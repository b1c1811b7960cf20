import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  buildModel,
  drawSound,
  machineCircuit,
  Prepared,
  readNetlist,
  Scene,
  solveOperatingPoint,
  solveTransient,
  withFault,
  type Element,
  type Netlist,
} from '@pondu/core';
import { houseSchema, storedMachineSchema } from '@pondu/core/schema';
import { manyOperatingPoints, ngspice } from './ngspice.ts';

const folder = join(import.meta.dirname, '../core/src/network/references');
const round = (v: number, digits = 1) => Number(v.toFixed(digits));

/** Shortest of a few goes, milliseconds: what the machine does when nothing else runs. */
function shortest(goes: number, work: () => void): number {
  let best = Infinity;
  for (let i = 0; i < goes; i++) {
    const started = performance.now();
    work();
    best = Math.min(best, performance.now() - started);
  }
  return best;
}
const microseconds = (work: () => void): number => {
  const rounds = 1000;
  return shortest(6, () => {
    for (let i = 0; i < rounds; i++) work();
  });
};

function netlistOf(text: string): Netlist {
  const read = readNetlist(text);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.netlist;
}

function operatingPoint(text: string) {
  const { elements } = netlistOf(text);
  const ours = microseconds(() => solveOperatingPoint(elements));
  const process = Math.min(...[1, 2, 3].map(() => ngspice(text).processSeconds)) * 1e6;
  const analysis = Math.min(...[1, 2, 3].map(() => manyOperatingPoints(text, 1000))) * 1e6;
  return against(ours, process, analysis);
}

function transient(text: string) {
  const netlist = netlistOf(text);
  if (netlist.analysis.kind !== 'tran') throw new Error('Not a transient');
  const { until, fromInitial } = netlist.analysis;
  const ours = shortest(5, () => solveTransient(netlist, { until, fromInitial })) * 1000;
  const runs = [1, 2, 3].map(() => ngspice(text));
  const least = (of: (r: (typeof runs)[number]) => number) => Math.min(...runs.map(of)) * 1e6;
  return against(
    ours,
    least((r) => r.processSeconds),
    least((r) => r.analysisSeconds),
  );
}

const against = (ours: number, process: number, analysis: number) => ({
  ourMicroseconds: round(ours),
  ngspiceProcessMicroseconds: round(process, 0),
  ngspiceAnalysisMicroseconds: round(analysis, 0),
  timesFasterThanProcess: round(process / ours),
  timesFasterThanAnalysis: round(analysis / ours),
});

/** Ten thousand operating points of a machine, each with another fault or severity, as the trace asks for them. */
function tenThousand() {
  const fitOut = { volts: 12, earth: 'negative', cylinders: 8, ballast: 'bypassed', fused: true, compressionRatio: 8 };
  const body = storedMachineSchema.parse({ name: 'V8', kind: 'car', fitOut: { layout: 'battery-points', ...fitOut } });
  const model = buildModel(body, houseSchema.parse({}));
  const sound = drawSound(model, () => 0.5);
  const base = new Scene(model.machine, sound);
  const faults = model.faults.filter((f) => !f.part.apart);
  const state = { key: 'on', points: 'closed' } as const;
  const seconds =
    shortest(2, () => {
      for (let i = 0; i < 10_000; i++) {
        const fault = faults[i % faults.length]!;
        new Scene(model.machine, withFault(model, sound, fault, (i % 97) / 97), base).solve(state);
      }
    }) / 1000;
  const elements = base.elements(state);
  const prepared = new Prepared(elements);
  const other: Element = { ...elements.find((e) => e.type === 'resistor')! };
  const circuit = machineCircuit('largest', model, state);
  if (!circuit.ok) throw new Error(circuit.code);
  return {
    seconds: round(seconds, 3),
    plainMicroseconds: round(microseconds(() => solveOperatingPoint(elements))),
    changedMicroseconds: round(microseconds(() => prepared.changed([other])!.operatingPoint())),
    besideNgspice: operatingPoint(circuit.text),
  };
}

/** Our solver beside ngspice on the same files, in one run. */
export function solverFigures() {
  const files = readdirSync(folder).filter((f) => f.endsWith('.cir'));
  const figures = (kind: string, of: (text: string) => ReturnType<typeof against>) =>
    Object.fromEntries(
      files.filter((f) => f.includes(kind)).map((f) => [f, of(readFileSync(join(folder, f), 'utf8'))]),
    );
  return {
    operatingPoints: figures('_op_', operatingPoint),
    transients: figures('_tran_', transient),
    tenThousandOperatingPoints: tenThousand(),
  };
}
