import {
  buildModel,
  follow,
  HiddenMachine,
  seededRandom,
  Tracer,
  type Check,
  type Complaint,
  type House,
  type MachineBody,
  type ModelFault,
  type Random,
} from '@pondu/core';
import { calibrationError, complaintOf, EXPLAINS } from './tracing.ts';

/** Worse machines and clumsier hands than the model assumes. */
export const WORSE = {
  stretch: 2,
  misprobe: 0.08,
  mistold: 0.08,
  misread: 0.01,
  wrongPlates: 0.1,
  wrongBy: 1.5,
  cannotTell: 0.2,
} as const;
const MOST = 40;
/** Machines drawn for a fault before it is left out. */
const DRAWS = 20;
/** What the system's volts say: no variant has another. */
const OF_THE_SYSTEM: ReadonlySet<string> = new Set(['restVolts']);

/** The machine as it really is: one plate figure in ten is that of another variant. */
function anotherVariant(machine: MachineBody, house: House, random: Random): MachineBody {
  const plates = { ...machine.plates };
  for (const { id, spec, low, high, range } of buildModel(machine, house).plates.values()) {
    if (spec.hidden || OF_THE_SYSTEM.has(spec.id) || random() > WORSE.wrongPlates) continue;
    const by = random() < 0.5 ? WORSE.wrongBy : 1 / WORSE.wrongBy;
    const within = (v: number) => Math.min(range.high, Math.max(range.low, v * by));
    plates[id] = { low: within(low), high: within(high), source: 'measured on a good one', note: '' };
  }
  return { ...machine, plates };
}

interface Brought {
  hidden: HiddenMachine;
  complaint: Complaint;
}
/** One that ran until this fault: what it is brought in for is the fault's doing, not that of its own figures. */
export function brought(machine: MachineBody, house: House, fault: ModelFault, seed: number): Brought | undefined {
  for (let draw = 0; draw < DRAWS; draw++) {
    const own = seed + 100_000 * draw;
    const real = buildModel(anotherVariant(machine, house, seededRandom(own)), house);
    const drawn = (faults: readonly ModelFault[]) => new HiddenMachine(real, faults, seededRandom(own + 1), WORSE);
    const hidden = drawn(real.faults.filter((f) => f.id === fault.id));
    const complaint = complaintOf(hidden);
    if (complaint && drawn([]).brings(complaint) < EXPLAINS) return { hidden, complaint };
  }
  return undefined;
}

/** Every `every`th fault of a kind once, as assumed and under stress. */
export function stressOf(machine: MachineBody, house: House, dearFrom: number, every: number) {
  const tracer = new Tracer(machine, house);
  const runs: { right: boolean; share: number; wrongDear: boolean; name: string }[] = [];
  tracer.model.faults.forEach((fault, k) => {
    if (k % every) return;
    const seed = 7000 + k;
    const found = brought(machine, house, fault, seed);
    if (!found) return;
    const told = seededRandom(seed);
    const cannotTell = (check: Check) => check.instrument === 'eyes' && told() < WORSE.cannotTell;
    const { named, share } = follow(tracer, found.complaint, found.hidden, { most: MOST, cannotTell });
    const right = named === fault.repairId;
    const dear = !right && (tracer.model.repairs.get(named)?.money ?? 0) >= dearFrom;
    runs.push({ right, share, wrongDear: dear, name: `${fault.id} → ${named}` });
  });
  const part = (of: (r: (typeof runs)[number]) => boolean) => Number((runs.filter(of).length / runs.length).toFixed(4));
  const meanShare = runs.reduce((sum, r) => sum + r.share, 0) / runs.length;
  return {
    runs: runs.length,
    rightRepair: part((r) => r.right),
    wrongDear: part((r) => r.wrongDear),
    meanBelief: Number(meanShare.toFixed(4)),
    calibrationError: Number(calibrationError(runs).toFixed(4)),
    wrong: runs.filter((r) => !r.right).map((r) => r.name),
  };
}
